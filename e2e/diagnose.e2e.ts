import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { choose, expectAccessible, goTo, newGardenWithCase, newPlanting, signIn, openCase } from './gardener';

test('two causes and a beetle that came after one of them are told apart by the next looks alone', async ({ page }) => {
  // What is there: spider mite, and a rotten crown that has drawn sap beetles.
  const there = [
    'Heart leaves pull out of a rotten crown',
    'Stem base brown and soft',
    'Maggots in tissue that already rots',
    'Soft and foul smelling',
    'Moving specks under the leaf',
    'Fine webbing',
  ];
  await newGardenWithCase(page, 'Strawberry');
  await page.getByLabel('In your own words').fill('plants wilting. little beetles in split fruit. fine pale dots on the leaves');
  await page.getByRole('button', { name: /^Confirm all/ }).click();
  const causes = page.getByRole('region', { name: 'What it may be' });
  await expect(causes.getByRole('listitem').first().getByRole('heading')).toHaveText('Sap beetles');

  const looks = page.getByRole('region', { name: 'Look next' });
  const enough = looks.getByText('Enough looked.');
  for (let answers = 0; answers < 40 && !(await enough.isVisible()); answers++) {
    const open = looks.getByRole('group', { name: /./ }).filter({ hasNot: page.locator('[aria-pressed=true]') });
    // The first few signs of a look may all be answered while others are folded away.
    if ((await open.count()) === 0) await looks.getByRole('button', { name: /more signs$/ }).click();
    const name = (await open.first().getAttribute('aria-label'))!;
    await looks.getByRole('button', { name: `${there.includes(name) ? 'There' : 'Not there'}: ${name}`, exact: true }).click();
    await expect(page.getByRole('list', { name: 'Findings' }).getByText(name)).toBeVisible();
    await expect(causes).toHaveAttribute('aria-busy', 'false');
  }
  await expect(enough).toBeVisible();
  await expect(causes).toContainText('Behind Sap beetles: Crown rot (Phytophthora)');
  const names = await causes.getByRole('listitem').getByRole('heading').allTextContents();
  expect(names.slice(0, 3).map((name) => name.trim())).toEqual(
    expect.arrayContaining(['Spider mite', 'Crown rot (Phytophthora)', 'Sap beetles']),
  );
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Work with Spider mite' }).click();
  await page.getByRole('button', { name: 'Work with Crown rot (Phytophthora)' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /Spider mite and Crown rot \(Phytophthora\)/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Taken for Spider mite and Crown rot (Phytophthora)');
});

test('“why not”: any cause by name, with what speaks against it; two laid side by side', async ({ page }) => {
  await newGardenWithCase(page, 'Cucumber');
  await page.getByLabel('In your own words').fill('fine pale dots and webbing under the leaves');
  await page.getByLabel('Why not …').fill('powdery');
  await page.getByRole('option', { name: 'Powdery mildew', exact: true }).click();
  const answer = page.getByRole('heading', { name: /^Powdery mildew: / });
  await expect(answer).toBeVisible();
  const first = page.getByRole('region', { name: 'What it may be' }).getByRole('listitem').first();
  await expect(first).toContainText('Spider mite');
  await first.getByText('Why, and what it is taken for').click();
  await first.getByRole('link', { name: /^Beside / }).click();
  await expect(page.getByRole('region', { name: 'Tells them apart' }).getByRole('listitem').first()).toBeVisible();
  await expectAccessible(page);
});

test('an old scar says nothing of what is at work now; the sheet prints and goes out as a file', async ({ page }) => {
  await newGardenWithCase(page, 'Cabbage');
  await page.getByLabel('In your own words').fill('large ragged holes, slime trails');
  await page.getByRole('button', { name: /^Confirm all/ }).click();
  await page.getByRole('button', { name: 'Silvery slime trail', exact: true }).click();
  await page.getByRole('button', { name: 'An old scar: Silvery slime trail' }).click();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('Old scar: Silvery slime trail');
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Second opinion' }).click();
  await expect(page.getByText('Old scars: Silvery slime trail.')).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as a file' }).click()]);
  const sheet = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    format: string;
    findings: { state: string }[];
    causes: unknown[];
  };
  expect(sheet.format).toBe('field-nurse-case');
  expect(sheet.findings.map(({ state }) => state).sort()).toEqual(['old', 'seen']);
  expect(sheet.causes.length).toBeGreaterThan(3);
});

test('a grower with no Latin gets from plain words to the right page', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Library');
  await page.getByLabel('Name, or what you see').fill('mint leaves with orange dust underneath');
  await page
    .getByRole('link', { name: /Mint rust/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mint rust' })).toBeVisible();
  await page.getByRole('link', { name: /Orange or brown pustules/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Orange or brown pustules' })).toBeVisible();
  await expectAccessible(page);
});

test('a trouble of the garden’s own is written, counts in its cases, is shared and taken out', async ({ page }) => {
  await newGardenWithCase(page, 'Leek');
  const address = page.url();
  await goTo(page, 'Library');
  await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
  await page.getByRole('link', { name: 'Add a trouble' }).click();
  await page.getByLabel('Begin from a copy of').fill('Leek and garlic rust');
  await page.getByRole('option', { name: 'Leek and garlic rust' }).click();
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByRole('alert')).toContainText('Give it a name.');
  await page.getByLabel('Name', { exact: true }).fill('Tide rust');
  await page.getByLabel('Add a sign').fill('corky bumps');
  await page.getByRole('option', { name: 'Corky bumps under the leaf' }).click();
  await page.getByLabel('Orange or brown pustules', { exact: true }).selectOption('seldom');
  await page.getByLabel('Corky bumps under the leaf', { exact: true }).selectOption('always');
  await page.getByLabel('Add what helps').fill('soap');
  await page.getByRole('option', { name: 'Insecticidal soap' }).click();
  await page.getByLabel('Insecticidal soap', { exact: true }).selectOption('much');
  await page.getByLabel('Why: what it is based on').fill('Seen after two spring tides.');
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Tide rust' })).toBeVisible();

  await expect(page.getByText('50–75 % · folk practice')).toBeVisible();

  await page.goto(address);
  await page.getByLabel('In your own words').fill('corky bumps under the leaf');
  const causes = page.getByRole('region', { name: 'What it may be' });
  await expect(causes.getByRole('heading', { name: 'Tide rust' })).toBeVisible();

  await goTo(page, 'Library');
  await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
  await expect(page.getByText('Seen after two spring tides.')).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save them as a file to share' }).click(),
  ]);
  const file = await download.path();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByText('Nothing of its own yet.')).toBeVisible();
  await page
    .getByLabel('Take in a file')
    .setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: Buffer.from('dear diary') });
  await expect(page.getByText('This is not a JSON file.')).toBeVisible();
  await page.getByLabel('Take in a file').setInputFiles(file);
  await expect(page.getByText('Tide rust: taken in.')).toBeVisible();
});

test('a plant, a sign and a product of the garden’s own are written, grown, and read in its cases', async ({ page }) => {
  await newGardenWithCase(page, 'Tomato');
  const own = async (link: string) => {
    await goTo(page, 'Library');
    await page.getByRole('link', { name: 'This garden’s own knowledge' }).click();
    await page.getByRole('link', { name: link }).click();
  };
  await own('Add a plant');
  await page.getByLabel('Begin from a copy of').fill('Tomato');
  await page.getByRole('option', { name: 'Tomato', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Reed tomato');
  await choose(page, 'Its leaf', 'strap-like');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reed tomato' })).toBeVisible();
  await newPlanting(page, 'Reed tomato', { plants: '6' });

  await own('Add a sign');
  await page.getByLabel('Name', { exact: true }).fill('Salt lace');
  await page.getByLabel('In growers’ words, one on each line').fill('salty lacework\nwhite lacework on the rim');
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Salt lace' })).toBeVisible();

  await own('Add what helps');
  await page.getByLabel('Name', { exact: true }).fill('Reed soap');
  await page.getByLabel('The most that the label allows').fill('5');
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByText('can’t be less than the rate').first()).toBeVisible();
  await page.getByLabel('Rate, ml to 1 l').fill('5');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep it for this garden' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reed soap' })).toBeVisible();

  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Reed tomato', exact: true }).click();
  await openCase(page);
  await page.getByLabel('In your own words').fill('salty lacework, and older leaves yellow between the veins');
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('Salt lace');
  await expect(page.getByRole('region', { name: 'What it may be' }).getByRole('heading', { name: 'Magnesium shortage' })).toBeVisible();
});

test('the library is browsed by kind, by plant and by words, and the address keeps the search', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Library');
  const count = async () => Number((await page.getByRole('status').filter({ hasText: /entr/ }).innerText()).split(' ')[0]);
  const all = await count();
  await page.getByRole('button', { name: 'Friends and harmless' }).click();
  await expect.poll(count).toBeLessThan(all / 3);
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await choose(page, 'On this plant', /^Leek$/);
  await expect.poll(count).toBeLessThan(all / 2);
  await page.getByLabel('Name, or what you see').fill('orange dust');
  await page.getByLabel('Name, or what you see').blur();
  await expect(page.getByRole('link', { name: /^Leek and garlic rust/ })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name, or what you see')).toHaveValue('orange dust');
  await expect(page.getByRole('link', { name: /^Leek and garlic rust/ })).toBeVisible();
  await page.getByRole('button', { name: 'Signs' }).click();
  await expect(page.getByRole('link', { name: /^Orange or brown pustules/ })).toBeVisible();
});
