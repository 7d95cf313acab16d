import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose, expectAccessible, goTo, newGarden, newPlace, signIn } from './gardener';

async function count(page: Page, what: string, times: number): Promise<void> {
  for (let i = 0; i < times; i++) await page.getByRole('button', { name: `One more: ${what}` }).click();
}

test('a trap is set, read, corrected, moved, rested and taken away', async ({ page }) => {
  await newGarden(page, 'Trapper', 'Trap garden');
  await newPlace(page, 'Long bed');
  await goTo(page, 'Traps');
  await page.getByRole('link', { name: 'Set the first trap' }).click();
  await expect(page.getByRole('heading', { name: 'New trap' })).toBeVisible();
  await page.getByRole('button', { name: 'Set the trap' }).click();
  await expect(page.getByText('Give it a name')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Card by the gate');
  await choose(page, 'What it is for', 'Fungus gnat');
  await page.getByLabel('Your own level, caught in a week').fill('3');
  await page.getByLabel('Set on').fill('2026-01-02');
  await page.getByLabel('Where in the place, in words').fill('gate post');
  await page.getByLabel('Metres from the left').fill('1.5');
  await page.getByLabel('Metres from the top').fill('1');
  await page.getByLabel('Metres from the top').blur();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Set the trap' }).click();
  await expect(page.getByRole('heading', { name: 'Card by the gate' })).toBeVisible();
  await expect(page.getByText('not read yet')).toBeVisible();

  // A day that lies ahead is refused, and what was counted stays.
  await count(page, 'fungus gnat', 2);
  await page.getByLabel('Day', { exact: true }).fill('2199-01-01');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText(/^Give a day up to/)).toBeVisible();
  await expect(page.getByRole('status', { name: 'fungus gnat' })).toHaveText('2');
  await page.getByLabel('Day', { exact: true }).fill('2026-01-09');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText('2 a week, below the level of 3')).toBeVisible();

  // A second kind, and over the level.
  await page.getByLabel('Something else').fill('thrips');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await count(page, 'fungus gnat', 4);
  await page.getByLabel('Day', { exact: true }).fill('2026-01-16');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText('5 a week, over the level of 3')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Catches: 2 in 7 days/ })).toBeVisible();

  // Corrected, and the correction taken back.
  await page.getByRole('button', { name: 'Correct the reading of 16 Jan' }).click();
  await page.getByRole('button', { name: 'One less: thrips' }).click();
  await page.getByRole('button', { name: 'One less: fungus gnat' }).click();
  await page.getByRole('button', { name: 'One less: fungus gnat' }).click();
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('2 a week, below the level of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('5 a week, over the level of 3')).toBeVisible();

  await page.getByRole('button', { name: 'Move it', exact: true }).click();
  await page.getByRole('button', { name: 'Move it here' }).click();
  await expect(page.getByRole('alert')).toContainText('Say in a word or two');
  await page.getByLabel('Where it stands now, in words').fill('shed wall');
  await page.getByRole('button', { name: 'Move it here' }).click();
  await expect(page.getByText(/Long bed, shed wall/)).toBeVisible();
  await page.getByRole('button', { name: 'Let it rest' }).click();
  await expect(page.getByText(/It rests since/)).toBeVisible();
  await page.getByRole('button', { name: 'Set it again' }).click();
  await expect(page.getByText(/It rests since/)).toBeHidden();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByText(/^Taken away on/)).toBeVisible();
});

test('a reading without signal waits on the device and counts once', async ({ page, context }) => {
  await newGarden(page, 'Trapper', 'Far garden');
  await newPlace(page, 'Long bed');
  await goTo(page, 'Traps');
  await page.getByRole('link', { name: 'Set the first trap' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Board');
  await page.getByLabel('Set on').fill('2026-01-02');
  await page.getByRole('button', { name: 'Set the trap' }).click();
  await expect(page.getByText('not read yet')).toBeVisible();
  await context.setOffline(true);
  await count(page, 'flies and small insects', 3);
  await page.getByLabel('Day', { exact: true }).fill('2026-01-09');
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText('Kept on this device until there is signal.')).toBeVisible();
  await expect(page.getByRole('link', { name: '1 waiting' })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('link', { name: '1 waiting' })).toBeHidden();
  await page.reload();
  await expect(page.getByText('3 a week')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Correct the reading/ })).toHaveCount(1);
});

test('the demo plan leads to a trap, and the traps say which spots catch', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Trap: Leek moth trap' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Leek moth trap' })).toBeVisible();
  await page.getByRole('link', { name: 'All traps' }).click();
  const spots = page.getByRole('listitem').filter({ hasText: 'Card at the far end: north end' });
  await expect(spots).toContainText('move it');
});
