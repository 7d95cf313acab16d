import { expect, test } from '@playwright/test';
import { choose, expectAccessible, goTo, newGarden, newPlace, newPlanting, signIn } from './gardener';

const csv = (rows: readonly string[]) => ({
  name: 'gauge.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(['time,temperature,rain', ...rows].join('\n')),
});

test('the demo garden has the weather of its station, with the hours to spray in', async ({ page }) => {
  await signIn(page);
  await expect(page.getByRole('img', { name: /Next hours to spray in: S(at 18|un 19)/ })).toBeVisible();
  await expect(page.getByText('Osier weir (simulated), read 18 Jul')).toBeVisible();
  await page.getByRole('link', { name: 'Where it comes from' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'simulated station' })).toContainText('hours, 4 Jan 2025');
});

test('a garden without weather says so; a file is refused in words, taken in, seen and taken out again', async ({ page }) => {
  await newGarden(page, 'Gauger', 'Wet garden');
  await newPlace(page, 'Bed');
  await newPlanting(page, 'Cabbage');
  await goTo(page, 'Today');
  await page.getByRole('link', { name: 'Bring in weather' }).click();
  await expect(page.getByText('No station is read for this garden.')).toBeVisible();
  await expectAccessible(page);

  const field = page.getByLabel('Read a file');
  await field.setInputFiles(csv(['2026-01-01 09:00,17,plenty']));
  await expect(page.getByRole('alert')).toContainText('Nothing was taken in. row 1, rain: “plenty” is not from 0 to 300');
  await field.setInputFiles(csv(['2199-01-01 09:00,17,1']));
  await expect(page.getByRole('alert')).toContainText('yet to come');

  // A file in two parts of which the second is refused: the first does not stay.
  const long = Array.from(
    { length: 2400 },
    (_, i) => `${new Date(Math.floor(Date.now() / 3_600_000 - 2300 + i) * 3_600_000).toISOString()},12,0`,
  );
  await field.setInputFiles(csv(long));
  await expect(page.getByRole('alert')).toContainText('yet to come');
  await expect(page.getByText('Nothing yet.')).toBeVisible();

  // Yesterday, but for three hours.
  const start = Math.floor(Date.now() / 3_600_000) - 30;
  const rows = Array.from(
    { length: 24 },
    (_, i) => `${new Date((start + i) * 3_600_000).toISOString()},${12 + (i % 6)},${i === 5 ? 2 : 0}`,
  );
  await field.setInputFiles(csv(rows.filter((_, i) => i < 10 || i > 12)));
  await expect(page.getByText('21 hours taken in from gauge.csv.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Weather of the last days/ })).toBeVisible();
  await expect(page.getByText(/^not measured \(/)).toBeVisible();
  await page.getByRole('button', { name: 'Take out gauge.csv' }).click();
  await expect(page.getByText('Nothing yet.')).toBeVisible();
  // Until then the note of before may be there, whose way back is another one.
  await expect(page.getByText('gauge.csv is taken out.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Take out gauge.csv' })).toBeVisible();
});

test('a station is chosen in Settings and read', async ({ page }) => {
  await newGarden(page, 'Watcher', 'Station garden');
  await goTo(page, 'Settings');
  await choose(page, 'Weather station', /Osier weir/);
  await page.getByRole('button', { name: 'Save the garden' }).click();
  await expect(page.getByText('Garden saved.')).toBeVisible();
  await goTo(page, 'Weather');
  await page.getByRole('button', { name: 'Read the station now' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Osier weir' })).toContainText(/1\d,\d{3} hours/);
  await expect(page.getByRole('img', { name: /^Weather of the last days/ })).toBeVisible();
});
