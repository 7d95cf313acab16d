import { expect, test } from '@playwright/test';
import { goTo } from './gardener';

// A room with its shelves is checked as one: clean ones first, and what is sick is held apart.

test('the lean-to is checked as one, from clean to sick', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  await goTo(page, 'Round');
  await page.getByRole('region', { name: 'Check as one' }).getByRole('link', { name: 'Lean-to', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lean-to' })).toBeVisible();
  const order = page.getByRole('region', { name: 'Clean ones first' }).getByRole('listitem');
  await expect(order.first()).not.toContainText('Monstera');
  await expect(page.getByRole('img', { name: /plants from above/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What the warmth wakes' })).toBeVisible();
  const count = await order.count();
  await page.getByRole('button', { name: 'Check all of it' }).click();
  await expect(page.getByText(`Stop 1 of ${count}`)).toBeVisible();
  await goTo(page, 'Round');
  await expect(page.getByRole('region', { name: 'A round is under way' })).toContainText(`${count} stops to go`);
});
