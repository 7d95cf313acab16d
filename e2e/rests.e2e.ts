import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { goTo } from './gardener';

// Ground that rests: it is shown with its years, who goes in is written down, a test ends or renews it, and next season's crops go elsewhere.

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  await goTo(page, 'Rests');
});

const rest = (page: Page) => page.getByRole('region', { name: 'Tide bed: White rot of alliums' });

test('a test renews the rest or ends it; then the place is open to its plants again, and undo closes it', async ({ page }) => {
  await expect(rest(page)).toContainText('Closed to onion');
  await expect(rest(page).getByRole('img')).toHaveAttribute('aria-label', /closed until \d+ Jun 2040/);
  await expect(rest(page)).toContainText(/A crop now would lose \d+ % to \d+ %/);
  await rest(page).getByRole('button', { name: 'It is still there' }).click();
  await expect(rest(page).getByRole('img')).toHaveAttribute('aria-label', /closed until 18 Jul 2041/);
  await rest(page).getByRole('button', { name: 'A clinic’s test found nothing' }).click();
  await expect(page.getByRole('heading', { name: 'No ground rests' })).toBeVisible();
  await expect(page.getByText('Tide bed has rested from white rot of alliums', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rest(page)).toBeVisible();
});

test('who went in and what was cleaned is written down, with what disinfects and for how long', async ({ page }) => {
  const form = page.getByRole('form', { name: 'Went in' });
  await form.getByLabel('Cleaned with').selectOption('Household bleach, 1 part in 10');
  await expect(form).toContainText('It must act for 10 minutes');
  await form.getByRole('button', { name: 'fork' }).click();
  await form.getByRole('button', { name: 'Cleaned, it acted long enough' }).click();
  await expect(
    page.getByText('cleaned boots, spade, fork after Tide bed: Household bleach, 1 part in 10, 10 min.', { exact: false }),
  ).toBeVisible();
});

test('next season’s places keep families apart, and say what a swap costs', async ({ page }) => {
  const table = page.getByRole('region', { name: 'Next season’s places' });
  const onions = table.getByRole('row').filter({ hasText: 'Onion' });
  await expect(page.getByText('No other order breaks less: that is proven.', { exact: false })).toBeVisible();
  await expect(onions).toContainText('nothing');
  await onions.getByRole('combobox').selectOption({ label: 'Tide bed' });
  await expect(page.getByRole('status').filter({ hasText: 'worse' })).toContainText('white rot of alliums lasts in its soil');
  await page.getByRole('button', { name: 'Back to the best order' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'worse' })).toHaveCount(0);
});
