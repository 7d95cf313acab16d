import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, newGarden, newPlace, newPlanting } from './gardener';

test('the prevention walk: a sum for the mulch, an answer in one tap, taken back, and on Today', async ({ page }) => {
  await newGarden(page, 'Preventer', 'Neat garden');
  await newPlace(page, 'Long bed', { area: '10' });
  await newPlanting(page, 'Cabbage');
  await goTo(page, 'Prevention');
  const all = page.getByRole('heading', { name: 'Depth of the mulch' });
  // Out of its season the mulch is folded away.
  if (!(await all.isVisible())) await page.getByText(/^Not due yet/).click();
  await page.getByLabel('Depth of the mulch, cm').fill('1');
  await expect(page.getByText('Bring 500 l of mulch')).toBeVisible();
  await page.getByLabel('Depth of the mulch, cm').fill('10');
  await expect(page.getByText('Take away 400 l of mulch')).toBeVisible();
  const debris = page.locator('fn-task-card').filter({ hasText: 'Spent and fallen matter' });
  await expect(debris).toContainText('Prevents: apple scab');
  await expectAccessible(page);
  await debris.getByRole('button', { name: 'Wants work' }).click();
  await expect(page.getByText('Spent and fallen matter, Long bed: noted.')).toBeVisible();
  await expect(debris).toContainText('due in 3 days');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(debris).not.toContainText('due in 3 days');
  await goTo(page, 'Today');
  await expect(page.getByRole('heading', { name: 'Prevention walk' })).toBeVisible();
  await page.getByRole('link', { name: 'Walk it' }).click();
  await expect(page.getByRole('heading', { name: 'Prevention walk', level: 1 })).toBeVisible();
});

test('a new arrival is held apart, looked at last, and let in after enough clean looks', async ({ page }) => {
  const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
  await newGarden(page, 'Receiver', 'Fair garden');
  await newPlace(page, 'Bench');
  await newPlanting(page, 'Cabbage', { plantedOn: ago(60) });
  await newPlanting(page, 'Fuchsia', { plantedOn: ago(30), heldFor: { days: '20', looks: '1', from: ago(25) } });
  await goTo(page, 'Today');
  await expect(page.getByRole('heading', { name: 'Held apart' })).toBeVisible();
  await goTo(page, 'Round');
  await expect(page.getByRole('listitem').nth(1)).toContainText('Held apart: a clean look');
  await page.getByRole('button', { name: 'Begin the round' }).click();
  await expect(page.getByRole('heading', { name: /^Cabbage/, level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Nothing found' }).click();
  await expect(page.getByRole('heading', { name: 'Fuchsia', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Nothing found' }).click();
  await page.getByRole('button', { name: 'End the round' }).click();
  // It leads to Today by itself: who goes on before that would be taken back.
  await page.waitForURL(/\/today$/);
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Fuchsia', exact: true }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Let it join the others' }).click();
  await expect(page.getByText('It may join the others.')).toBeVisible();
  await expect(page.getByText('Held apart')).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Held apart')).toBeVisible();
});
