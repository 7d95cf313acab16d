import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { expectAccessible, expectAccessibleLayout, expectContrast, goTo, signIn } from './gardener';

type Step = (page: Page) => Promise<void>;

const openCase =
  (cause: string, tab?: string): Step =>
  async (page) => {
    await goTo(page, 'Cases');
    await page.getByRole('link', { name: cause, exact: true }).first().click();
    if (tab) await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: tab }).click();
  };

/** An entry of the library, by the finder. */
const openEntry =
  (typed: string, name: RegExp): Step =>
  async (page) => {
    await page.keyboard.press('/');
    await page.getByRole('combobox', { name: 'Name it, or say what to do' }).fill(typed);
    await page.getByRole('option', { name }).last().click();
  };

/** A view, how to come to it, and what shows that it is there. */
interface View {
  readonly name: string;
  readonly open: Step;
  readonly shows: Step;
}

const gardenViews: readonly View[] = [
  { name: 'Today', open: (page) => goTo(page, 'Today'), shows: heading('Looks') },
  { name: 'Round', open: (page) => goTo(page, 'Round'), shows: heading('Not yet') },
  { name: 'Ground', open: (page) => goTo(page, 'Ground'), shows: heading('Tunnel') },
  { name: 'Chart', open: (page) => goTo(page, 'Chart'), shows: heading('Planting chart') },
  { name: 'Rests', open: (page) => goTo(page, 'Rests'), shows: heading('Going in') },
  { name: 'Cases', open: (page) => goTo(page, 'Cases'), shows: heading('Open') },
  { name: 'Log', open: (page) => goTo(page, 'Log'), shows: (page) => expect(page.getByText('Copper hydroxide').first()).toBeVisible() },
  { name: 'Traps', open: (page) => goTo(page, 'Traps'), shows: heading('Which spots catch: Scent trap, leek moth') },
  {
    name: 'Trap',
    open: async (page) => {
      await goTo(page, 'Traps');
      await page.getByRole('link', { name: 'Moth trap in the cordons' }).click();
    },
    shows: heading('Readings'),
  },
  { name: 'Plan', open: (page) => goTo(page, 'Plan'), shows: heading('Jobs ahead') },
  {
    name: 'Job',
    open: async (page) => {
      await goTo(page, 'Plan');
      await page.getByRole('region', { name: 'Jobs ahead' }).getByRole('link', { name: 'Do it' }).first().click();
    },
    shows: (page) => expect(page.getByRole('button', { name: 'Begin' })).toBeVisible(),
  },
  { name: 'Shelf', open: (page) => goTo(page, 'Shelf'), shows: heading('Tool shed, top shelf') },
  {
    name: 'Product',
    open: async (page) => {
      await goTo(page, 'Shelf');
      await page.getByRole('link', { name: /Marshlight Sulphur 80/ }).click();
    },
    shows: heading('What its label allows'),
  },
  {
    name: 'Mix bench of the shed',
    open: async (page) => {
      await goTo(page, 'Shelf');
      await page.getByRole('link', { name: 'Mix bench' }).click();
    },
    shows: heading('What is left over'),
  },
  {
    name: 'Sprayers',
    open: async (page) => {
      await goTo(page, 'Shelf');
      await page.getByRole('link', { name: 'Sprayers' }).click();
    },
    shows: heading('Back sprayer'),
  },
  { name: 'Around', open: (page) => goTo(page, 'Around'), shows: heading('Traps, spot by spot') },
  {
    name: 'Checked as one',
    open: async (page) => {
      await goTo(page, 'Round');
      await page.getByRole('link', { name: 'Lean-to', exact: true }).click();
    },
    shows: heading('Crowding and reach'),
  },
  { name: 'Prevention', open: (page) => goTo(page, 'Prevention'), shows: heading('Tide bed') },
  { name: 'Leaf gauge', open: (page) => goTo(page, 'Leaf gauge'), shows: heading('Leaves measured before') },
  { name: 'Weather', open: (page) => goTo(page, 'Weather'), shows: heading('Sources') },
  { name: 'Settings', open: (page) => goTo(page, 'Settings'), shows: heading('This garden') },
  {
    name: 'Account',
    open: async (page) => {
      await goTo(page, 'Settings');
      await page.getByRole('link', { name: /^Password, devices/ }).click();
    },
    shows: heading('Devices'),
  },
];

const formViews: readonly View[] = [
  {
    name: 'Log form',
    open: async (page) => {
      await goTo(page, 'Log');
      await page.getByRole('link', { name: 'Log an application' }).click();
    },
    shows: heading('Log an application'),
  },
  {
    name: 'Label form',
    open: async (page) => {
      await goTo(page, 'Shelf');
      await page.getByRole('link', { name: /Marshlight Sulphur 80/ }).click();
      await page.getByRole('link', { name: 'Correct the copy' }).click();
    },
    shows: heading('The label itself'),
  },
  {
    name: 'Product form',
    open: async (page) => {
      await goTo(page, 'Shelf');
      await page.getByRole('link', { name: 'New product' }).click();
    },
    shows: heading('Is it in the register?'),
  },
  {
    name: 'Planting',
    open: async (page) => {
      await goTo(page, 'Ground');
      await page.getByRole('link', { name: 'Potato', exact: true }).first().click();
    },
    shows: heading('This season'),
  },
  {
    name: 'Place form',
    open: async (page) => {
      await goTo(page, 'Ground');
      await page.getByRole('link', { name: 'New place' }).click();
    },
    shows: heading('New place'),
  },
  {
    name: 'Something is wrong',
    open: (page) => page.getByRole('link', { name: 'Something is wrong' }).click(),
    shows: heading('Something is wrong'),
  },
  {
    name: 'Write a list',
    open: async (page) => {
      await goTo(page, 'Ground');
      await page.getByRole('link', { name: 'Write a list' }).click();
      await page.getByLabel('What grows where').fill('3 tomatoes Ferry Red in the tunnel, 7 flurbs by the gate');
    },
    shows: (page) => expect(page.getByText('One name was not understood.', { exact: false })).toBeVisible(),
  },
  {
    name: 'Planting form',
    open: async (page) => {
      await goTo(page, 'Ground');
      await page.getByRole('link', { name: 'New planting' }).click();
    },
    shows: heading('New planting'),
  },
];

const caseViews: readonly View[] = [
  {
    name: 'Case',
    open: openCase('Soft scale'),
    shows: (page) => expect(page.getByRole('button', { name: 'Let go of Soft scale' })).toBeVisible(),
  },
  { name: 'Options', open: openCase('Soft scale', 'Options'), shows: heading('Hands') },
  {
    name: 'Recovery',
    open: openCase('Thrips', 'Recovery'),
    shows: (page) => expect(page.getByRole('img', { name: /^Severity/ })).toBeVisible(),
  },
  { name: 'Second opinion', open: openCase('Late blight', 'Second opinion'), shows: heading('Found') },
  { name: 'Plant clinic', open: openCase('Spider mite', 'Plant clinic'), shows: heading('Send a sample') },
  {
    name: 'Two causes side by side',
    open: async (page) => {
      await openCase('Leek and garlic rust')(page);
      const first = page.getByRole('region', { name: 'What it may be' }).getByRole('listitem').first();
      await first.getByText('Why, and what it is taken for').click();
      await first.getByRole('link', { name: /^Beside / }).click();
    },
    shows: heading('Tells them apart'),
  },
  {
    name: 'Mix bench',
    open: async (page) => {
      await openCase('Leek and garlic rust')(page);
      await page.goto(`${page.url()}/mix/sulphur`);
    },
    shows: heading('Mix: Sulphur'),
  },
];

const yearViews: readonly View[] = [
  { name: 'Almanac', open: (page) => goTo(page, 'Almanac'), shows: heading('When it comes') },
  { name: 'Season', open: (page) => goTo(page, 'Season'), shows: heading('What decides between the first two') },
  { name: 'Drills', open: (page) => goTo(page, 'Drills'), shows: heading('How your eye does') },
  {
    name: 'Drill on a leaf',
    open: openDrill(/^Damage on a leaf/),
    shows: (page) => expect(page.getByRole('button', { name: 'Say how much' })).toBeVisible(),
  },
  { name: 'Drill on look-alikes', open: openDrill(/^Look-alikes/), shows: heading('Then name it') },
  { name: 'Report', open: (page) => goTo(page, 'Report'), shows: heading('What happened') },
];

const libraryViews: readonly View[] = [
  { name: 'Library', open: (page) => goTo(page, 'Library'), shows: heading('Library') },
  {
    name: 'Library entry',
    open: async (page) => {
      await goTo(page, 'Library');
      await page.getByLabel('Name, or what you see').fill('leek moth');
      await page
        .getByRole('link', { name: /^Leek moth/ })
        .first()
        .click();
    },
    shows: heading('Leek moth'),
  },
  { name: 'Library sign', open: openEntry('silvery slime', /^Silvery slime trail/), shows: heading('Silvery slime trail') },
  { name: 'Library plant', open: openEntry('monstera', /^Monstera/), shows: heading('Monstera') },
  { name: 'Library treatment', open: openEntry('fine mesh', /^Cover with fine mesh/), shows: heading('Cover with fine mesh') },
  { name: 'Library look', open: openEntry('turn three', /^Turn three leaves over/), shows: heading('Turn three leaves over') },
  {
    name: 'Own knowledge',
    open: async (page) => {
      await goTo(page, 'Library');
      await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
    },
    shows: heading('This garden’s own knowledge'),
  },
  {
    name: 'Own trouble',
    open: async (page) => {
      await goTo(page, 'Library');
      await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
      await page.getByRole('link', { name: 'Add a trouble' }).click();
    },
    shows: (page) => expect(page.getByLabel('Begin from a copy of')).toBeVisible(),
  },
];

function openDrill(name: RegExp): Step {
  return async (page) => {
    await goTo(page, 'Drills');
    await page.getByRole('link', { name }).click();
  };
}

function heading(name: string): Step {
  return (page) => expect(page.getByRole('heading', { name, exact: true }).first()).toBeVisible();
}

const parts = { 'The garden': gardenViews, Forms: formViews, Cases: caseViews, 'The year': yearViews, Library: libraryViews };

for (const [part, views] of Object.entries(parts)) {
  test(`${part}: axe finds nothing on any view, and colours stand apart in every look`, async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('field-nurse-theme', 'light'));
    await signIn(page);
    for (const { name, open, shows } of views)
      await test.step(name, async () => {
        await open(page);
        await shows(page);
        await expectAccessible(page);
        for (const look of ['dark', 'sun', 'light']) {
          await page.evaluate((theme) => document.documentElement.setAttribute('data-theme', theme), look);
          if (look !== 'light') await expectContrast(page);
        }
      });
  });

  test(`${part}: every view fits a phone: nothing is wider than 390 px, and axe finds nothing`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page);
    for (const { name, open, shows } of views)
      await test.step(name, async () => {
        await open(page);
        await shows(page);
        await expectAccessibleLayout(page);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      });
  });
}

test('keys: go to a view, find a planting, list the keys', async ({ page }) => {
  await signIn(page);
  await page.keyboard.press('g');
  await page.keyboard.press('l');
  await expect(page.getByRole('heading', { name: 'Log', level: 1 })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Find a page');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Name it, or say what to do' }).fill('monstera');
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Name it, or say what to do' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Monstera', level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Name it, or say what to do' }).fill('diamondb');
  await page.getByRole('option', { name: /^Diamondback moth/ }).click();
  await expect(page.getByRole('heading', { name: /^Diamondback moth/, level: 1 })).toBeVisible();
});
