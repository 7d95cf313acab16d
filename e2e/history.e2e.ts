import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose, goTo, signIn } from './gardener';

const openRecovery = async (page: Page, cause: string) => {
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: cause, exact: true }).first().click();
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Recovery' }).click();
};

test('the chart shows both seasons, each planting with its story in words', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Chart');
  await page.getByRole('button', { name: 'As a table' }).click();
  await expect(
    page.getByRole('row', { name: /Potato Reeve’s Maincrop Potato ground .*opened 13 Jul 4 % Copper hydroxide 13 Jul from 5 Sep/ }),
  ).toBeVisible();
  await choose(page, 'Season', '2025');
  await expect(page.getByRole('link', { name: 'Garlic' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Garlic .*Tide bed .* 35 %/ })).toBeVisible();
});

test('a look can be corrected, and taken back', async ({ page }) => {
  await signIn(page);
  await openRecovery(page, 'Rose black spot');
  await page.getByRole('button', { name: 'Correct the look of 9 Jul' }).click();
  const look = page.getByRole('region', { name: 'Correct the look of 9 Jul' });
  await expect(look.getByLabel('Severity')).toHaveValue('12');
  await look.getByLabel('Severity').fill('15');
  await look.getByRole('button', { name: 'Save the look' }).click();
  await expect(page.getByRole('cell', { name: '15 %' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('cell', { name: '12 %' })).toBeVisible();
});

test('a count that can’t be is refused where it stands', async ({ page }) => {
  await signIn(page);
  await openRecovery(page, 'Rose black spot');
  await page.getByLabel('Count').fill('2.5');
  await expect(page.getByText('A whole number from 0, or empty.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Log this look' })).toBeDisabled();
});

test('the next look comes sooner when it gets worse', async ({ page }) => {
  await signIn(page);
  await openRecovery(page, 'Rose black spot');
  const next = page.getByLabel('Look again on');
  await page.getByRole('slider').fill('5');
  const better = await next.inputValue();
  await page.getByRole('slider').fill('60');
  await expect(next).not.toHaveValue(better);
  expect(Date.parse(await next.inputValue())).toBeLessThan(Date.parse(better));
});

test('a log entry is corrected from the log, and stays one entry', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Log');
  await page.getByRole('link', { name: '11 Jul, 17:00' }).click();
  await expect(page.getByRole('heading', { name: 'Correct the log entry' })).toBeVisible();
  await page.getByLabel('Which part of them').fill('15 bored fruits');
  await page.getByRole('button', { name: 'Save the entry' }).click();
  await goTo(page, 'Log');
  await expect(page.getByText('15 bored fruits')).toHaveCount(1);
  await expect(page.getByText('14 bored fruits')).toHaveCount(0);
});

test('two causes are kept together, and the plan covers both', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Leek and garlic rust and Leek moth' }).click();
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Options' }).click();
  const plan = page.getByRole('region', { name: 'Together, in this order' });
  await expect(plan).toContainText('Leek moth');
  await expect(plan).toContainText('Leek and garlic rust');
  expect(await plan.getByRole('listitem').count()).toBeGreaterThan(1);
});

test('what is said of today changes the verdicts', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Soft scale' }).click();
  await page.getByRole('link', { name: 'See the options' }).click();
  await expect(page.getByRole('button', { name: 'Choose Insecticidal soap' })).toBeVisible();
  await page.getByLabel('Warmest, °C').fill('31');
  await page.getByLabel('Warmest, °C').blur();
  await expect(page.getByRole('button', { name: 'Choose Insecticidal soap' })).toBeHidden();
  const out = page.locator('details', { hasText: 'Insecticidal soap' }).first();
  await out.locator('summary').click();
  await expect(out.getByText('Above 27 °C it burns leaves or fails, and 31 °C is expected.').first()).toBeVisible();
});

test('the garden’s own settings are saved, and taken back', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Settings');
  await choose(page, 'Stance', 'Hands only');
  await page.getByRole('button', { name: 'Save the garden' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Taken back.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Stance', { exact: true })).toContainText('Organic');
});
