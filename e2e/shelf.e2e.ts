import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose, expectAccessible, goTo, newGarden, signIn } from './gardener';

const longestCopyMs = 120_000;

/** Type into the field that has the focus, and go on to the next. */
async function typed(page: Page, ...words: readonly (string | null)[]): Promise<void> {
  for (const word of words) {
    if (word) await page.keyboard.type(word);
    await page.keyboard.press('Tab');
  }
}

test('a label is copied by keys alone, in less than two minutes', async ({ page }) => {
  await newGarden(page, 'Copier', 'Shed garden');
  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: 'Put the first product on it' }).click();
  await page.getByLabel('Name on the pack').fill('Withy Copper');
  await page.getByLabel('Active ingredient').fill('copper');
  await page.keyboard.press('Tab');
  await choose(page, 'Measured in', 'g');
  await page.getByLabel('A full pack holds, g').fill('500');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('These are typical figures of the ingredient, and no label.')).toBeVisible();
  await page.getByRole('link', { name: 'Copy the label from the pack' }).click();

  const begun = Date.now();
  await page.getByLabel('On which plant or family').focus();
  // Plant, trouble; rate from, to, unit, in, of, water; days before picking, between, to, times, where, stages.
  await typed(page, 'potato', 'late blight', '25', '40', null, '10', null, '6', '10', '7', '10', '4', null, 'until the haulm dies down');
  await page.getByRole('button', { name: 'Another line like this' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('On which plant or family').nth(1)).toBeFocused();
  await typed(page, 'tomato', 'late blight', '20', '25', null, null, null, null, '7', '10', '14', '3');
  await page.getByLabel('Keep out, hours').focus();
  await typed(page, '24', '2', '5', '28', '12');
  await page.keyboard.type('10');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The label is copied, and counts from now on.')).toBeVisible();
  expect(Date.now() - begun).toBeLessThan(longestCopyMs);

  const row = page.getByRole('row', { name: /^Potato/ });
  for (const cell of ['Late blight', '25 to 40 g in 10 l', '7 to 10 days', '10 days', '4 times']) await expect(row).toContainText(cell);
  await expect(page.getByRole('row', { name: /^Tomato/ })).toContainText('20 to 25 g in 10 l');
  await expectAccessible(page);
});

test('what is logged goes off the shelf, waits by the label in hand, and names what it broke', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: /Marshlight Sulphur 80/ }).click();
  await expect(page.getByText('540 g').first()).toBeVisible();

  await goTo(page, 'Log');
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByLabel('What was done').fill('sulphur');
  await page.keyboard.press('Tab');
  await choose(page, 'On which plantings', /^Rose/);
  await page.keyboard.press('Escape');
  await choose(page, 'From the shelf', /Marshlight Sulphur 80/);
  await page.getByLabel('Product used (if any)').fill('100');
  await choose(page, 'in', 'g');
  await page.getByLabel('Water, l').fill('20');
  await expect(page.getByText('More than the label allows, which is 40 g in 10 l at most.')).toBeVisible();
  await page.getByLabel('Product used (if any)').fill('40');
  await expect(page.getByText('More than the label allows')).toBeHidden();
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('Application logged.')).toBeVisible();

  await goTo(page, 'Shelf');
  await expect(page.getByRole('link', { name: /Marshlight Sulphur 80/ })).toContainText('500 g left');
  await page.getByRole('link', { name: /Marshlight Sulphur 80/ }).click();
  await expect(page.getByRole('row', { name: /used: Rose/ }).first()).toContainText('−40 g');

  // More than is there is refused, with how much is left.
  await choose(page, 'What happened', 'given away');
  await page.getByLabel('How much, g').fill('501');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('500 g of Marshlight Sulphur 80 were left.', { exact: false })).toBeVisible();
  await page.getByLabel('How much, g').fill('100');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('400 g').first()).toBeVisible();
});

test('a product comes from the register with its label; what was amended is shown and not overwritten', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: 'New product' }).click();
  await page.getByLabel('Number, barcode or name').fill('withy');
  await page.getByRole('button', { name: 'Look it up' }).click();
  await page.getByRole('button', { name: 'Take over Withy Caterpillar Powder' }).click();
  await expect(page.getByLabel('Active ingredient')).toHaveValue('Bacillus thuringiensis kurstaki');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('button', { name: /^read from the register/i })).toContainText('this one counts');

  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: /Marshlight Sulphur 80/ }).click();
  await page.getByRole('button', { name: 'Read the register again' }).click();
  await expect(page.getByText('Cucumber, Spider mite: days before picking was 1 day, now 5 days.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it over' }).click();
  // The copy from the pack still counts, and what the register says otherwise stands beside it.
  await expect(page.getByRole('heading', { name: 'The register says otherwise than your copy' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^copied from the pack/i })).toContainText('this one counts');
});

test('options say what is on the shelf, for how many times, and what its label forbids', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Cases');
  await page
    .getByRole('link', { name: /Leek and garlic rust/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Options', exact: true }).click();
  const shelf = page.getByRole('list', { name: 'On the shelf' });
  await expect(shelf.filter({ hasText: 'Marshlight Sulphur 80' })).toContainText(/\d+ g left, enough for \d+ times/);
  await expect(page.getByRole('heading', { name: 'What each loses, and takes' })).toBeVisible();
  await expectAccessible(page);

  // At the bench the pack brings its strength, and its own label is the hard stop.
  await page.goto(page.url().replace(/options$/, 'mix/sulphur'));
  await expect(page.getByLabel('Strength on your pack')).toHaveValue('80');
  await expect(page.getByText('the label’s maximum 3 g')).toBeVisible();
  const sum = page.getByRole('region', { name: 'The sum' });
  await expect(sum.getByText(/^After it, \d+ g of Marshlight Sulphur 80 are left on the shelf/)).toBeVisible();
  await page.getByLabel('Rate, g per l').fill('3.1');
  await expect(sum.getByRole('alert')).toContainText('The label of your pack allows 3 g at most.');
  await page.getByLabel('Rate, g per l').fill('3');
  await sum.getByRole('link', { name: 'Log this application' }).click();
  await expect(page.getByRole('combobox', { name: 'From the shelf' })).toContainText('Marshlight Sulphur 80');
});
