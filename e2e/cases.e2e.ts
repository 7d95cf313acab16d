import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { expectAccessible, goTo, newGardenWithCase, signIn, openCase } from './gardener';

const toTab = (page: Page, name: string) => page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name }).click();
const causes = (page: Page) => page.getByRole('region', { name: 'What it may be' });

async function say(page: Page, words: string): Promise<void> {
  await page.getByLabel('In your own words').fill(words);
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await expect(causes(page)).toHaveAttribute('aria-busy', 'false');
}

test('a suspect that must be reported: the notice stands first, and neither treatment nor sample is offered', async ({ page }) => {
  await newGardenWithCase(page, 'Pear');
  await say(page, 'shoot tips black and bent like a crook, amber drops ooze from the bark');
  await page.getByRole('button', { name: /^Confirm all/ }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Report it' });
  await expect(notice).toContainText('Fire blight');
  await expect(notice).toContainText('Don’t move plants');
  const [above, below] = await Promise.all([
    notice.boundingBox(),
    page.getByRole('heading', { name: 'What you see', exact: true }).boundingBox(),
  ]);
  expect(above!.y).toBeLessThan(below!.y);
  await expectAccessible(page);

  await toTab(page, 'Plant clinic');
  await expect(page.getByRole('alert').filter({ hasText: 'Report it' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Register the sample' })).toBeHidden();

  await toTab(page, 'Signs and causes');
  await page.getByRole('button', { name: 'Work with Fire blight' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fire blight' })).toBeVisible();
  await toTab(page, 'Options');
  await expect(page.getByRole('alert').filter({ hasText: 'Report it first' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Choose/ })).toHaveAccessibleName('Choose Report it, and wait for officials');
});

test('“it looks sad”: nothing is guessed, and the next look is explained', async ({ page }) => {
  await newGardenWithCase(page, 'Tomato');
  await say(page, 'it looks sad 😢 <b>help</b>');
  await expect(page.getByText(/^Not understood: sad/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Findings' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Look next' }).getByRole('heading', { level: 3 }).first()).toBeVisible();
  await expect(page.getByText('Enough looked.')).toBeHidden();
});

test('what the gardener insists on is taken, whatever its chance, and the story says why', async ({ page }) => {
  const insist = async (cause: string) => {
    await page.getByLabel('Why not …').fill(cause);
    await page.getByRole('option', { name: cause, exact: true }).click();
    await page.getByRole('button', { name: `Work with ${cause} all the same` }).click();
  };
  await newGardenWithCase(page, 'Leek');
  await say(page, 'white strips along the leaves');
  await insist('Leek moth');
  await expect(page.getByRole('heading', { level: 1, name: 'Leek moth' })).toBeVisible();
  await say(page, 'white dots in a row, brown pupae between the layers');
  await insist('Allium leaf miner');
  await expect(page.getByRole('heading', { level: 1, name: 'Leek moth and Allium leaf miner' })).toBeVisible();
  await page.getByLabel('Why (if you like)').fill('Pupae, not a net cocoon.');
  await page.getByLabel('Why (if you like)').blur();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.reload();
  const story = page.getByRole('region', { name: 'How it went' });
  await expect(story).toContainText('Taken for Leek moth and Allium leaf miner');
  await expect(page.getByRole('region', { name: 'Working diagnosis' })).toContainText('Allium leaf miner');
  await toTab(page, 'Second opinion');
  await expect(page.getByText('Pupae, not a net cocoon.')).toBeVisible();
});

test('a case that is closed counts from then on: the garden’s history is shown and moves the next one', async ({ page }) => {
  await newGardenWithCase(page, 'Cucumber');
  await say(page, 'fine pale dots');
  const chance = async () => {
    const row = causes(page)
      .getByRole('listitem')
      .filter({ has: page.getByRole('link', { name: 'Spider mite', exact: true }) });
    return Number(/(\d+)\s%/.exec(await row.first().innerText())![1]);
  };
  const before = await chance();
  await page.getByRole('button', { name: 'Work with Spider mite' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Spider mite' })).toBeVisible();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await toTab(page, 'Recovery');
  await page.getByRole('button', { name: 'Close the case' }).click();
  await expect(page.getByRole('heading', { name: 'This case is closed' })).toBeVisible();

  await goTo(page, 'Library');
  await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
  await expect(page.getByRole('row', { name: 'Spider mite Cucumber 1' })).toBeVisible();

  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Cucumber', exact: true }).click();
  await openCase(page);
  await say(page, 'fine pale dots');
  await expect.poll(chance).toBeGreaterThan(before);
  await causes(page).getByText('Why, and what it is taken for').first().click();
  await expect(causes(page).getByText('What this garden has had before').first()).toBeVisible();
});

test('on a phone a look is answered where it is explained, with buttons that a thumb hits', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await newGardenWithCase(page, 'Cucumber');
  await say(page, 'fine pale dots on the leaves');
  const looks = page.getByRole('region', { name: 'Look next' });
  const there = looks.getByRole('button', { name: /^There: / }).first();
  const box = (await there.boundingBox())!;
  expect(box.height).toBeGreaterThanOrEqual(44);
  const sign = (await there.getAttribute('aria-label'))!.replace('There: ', '');
  await there.click();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(sign);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectAccessible(page);
});

test('on a phone the likeliest cause stays in sight while signs are tapped, and the next look is one tap away', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await newGardenWithCase(page, 'Cucumber');
  await page.getByLabel('In your own words').fill('fine pale dots on the leaves, tiny moving dots below');
  const cause = page.getByRole('button', { name: /^.+ % Spider mite$/ });
  const look = page.getByRole('button', { name: /^(Look next|Enough looked)$/ });
  await page.getByRole('button', { name: /^Under the leaf/ }).click();
  await page.getByRole('button', { name: /^Fine webbing/ }).scrollIntoViewIfNeeded();
  await expect(cause).toBeInViewport();
  await look.click();
  await expect(page.getByRole('heading', { name: 'Look next' })).toBeInViewport();
  await expect(page.getByRole('heading', { name: 'Look next' })).toBeFocused();
  await cause.click();
  await expect(page.getByRole('heading', { name: 'What it may be' })).toBeInViewport();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(look).toBeHidden();
});

test('the library says of a pest how it looks from egg to adult, and what it is taken for', async ({ page }) => {
  await newGardenWithCase(page, 'Cabbage');
  await goTo(page, 'Library');
  await page.getByLabel('Name, or what you see').fill('cabbage white');
  await page
    .getByRole('link', { name: /^Cabbage white/ })
    .first()
    .click();
  const stages = page.getByRole('region', { name: 'Its stages' });
  await expect(stages.getByRole('listitem')).toHaveCount(4);
  await expect(stages.locator('svg')).toHaveCount(4);
  await page.getByRole('region', { name: 'Taken for' }).getByRole('link', { name: 'Diamondback moth' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Diamondback/ })).toBeVisible();
  await page.getByRole('region', { name: 'Looks that settle it' }).getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expectAccessible(page);
});

test('something is wrong: from the planting that is looked at, by the key, and on a plant that is not written down', async ({ page }) => {
  await signIn(page);
  const rooms = page.getByRole('navigation', { name: 'Rooms' });
  await expect(rooms.getByRole('link', { name: /^Cases \d+ due$/ })).toBeVisible();
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Basil', exact: true }).click();
  await page.getByRole('main').getByRole('link', { name: 'Something is wrong' }).click();
  await expect(page.getByRole('combobox', { name: 'Which plant?' })).toHaveValue('Basil');
  await expect(page.getByRole('radio', { name: /^Basil/ }).first()).toBeChecked();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: 'Basil' })).toBeVisible();

  await goTo(page, 'Today');
  await page.keyboard.press('n');
  await page.getByRole('button', { name: 'What is it?' }).click();
  await expect(page.getByRole('alert')).toContainText('Name the plant');
  await page.getByRole('combobox', { name: 'Which plant?' }).fill('moth orchid');
  await page.getByLabel('What do you see?').fill('white fluff where the leaves meet, sticky');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'What is it?' }).click();
  await expect(page.getByRole('heading', { level: 3, name: 'Mealybug', exact: true })).toBeVisible();
  await expect(page.getByLabel('In your own words')).toHaveValue('white fluff where the leaves meet, sticky');
});
