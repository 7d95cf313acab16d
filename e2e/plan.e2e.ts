import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectAccessible, goTo, newGarden, newPlace, newPlanting, signIn } from './gardener';

const plan = (page: Page) => page.getByRole('group', { name: 'Ground plan' });

/** Add a bed by its form; it is laid out by itself. */
async function addBed(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: /New place|Add the first place/ }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Area in m²').fill('12');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(plan(page).getByRole('button', { name: `Bed ${name}` })).toBeVisible();
}

test('the demo ground: marks, a rest, and the season dragged back', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Ground');
  await expect(plan(page).getByRole('button', { name: /^Potato .*untreated row: open case, getting worse/ })).toBeVisible();
  await plan(page).getByRole('button', { name: 'Bed Tide bed, resting' }).press('Enter');
  await expect(page.getByText('White rot of alliums lasts in its soil.')).toBeVisible();
  await expectAccessible(page);
  // In the spring before, the garlic stood in the Tide bed and the chard did not.
  await page.getByRole('slider', { name: 'Today' }).fill('200');
  await expect(plan(page).getByRole('button', { name: /^Garlic/ })).toBeVisible();
  await expect(plan(page).getByRole('button', { name: /^Chard/ })).toBeHidden();
  await page.getByRole('button', { name: 'Back to today' }).click();
  await expect(plan(page).getByRole('button', { name: /^Chard/ })).toBeVisible();
});

test('beds are moved by keys and by hand, turned, undone, sent out and read back', async ({ page }) => {
  await newGarden(page, 'Planner', 'Drawn garden');
  await goTo(page, 'Ground');
  await addBed(page, 'North bed');
  await addBed(page, 'South bed');
  await page.getByRole('switch', { name: 'Move things' }).click();
  const bed = plan(page).getByRole('button', { name: 'Bed North bed' });
  await bed.press('Enter');
  await expect(page.getByText('It snaps to its neighbours.')).toBeVisible();
  await expectAccessible(page);
  const before = await bed.locator('path').first().getAttribute('d');
  await bed.press('Shift+ArrowRight');
  await expect(page.getByText('Moved North bed.')).toBeVisible();
  await expect(bed.locator('path').first()).not.toHaveAttribute('d', before!);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bed.locator('path').first()).toHaveAttribute('d', before!);

  const box = (await bed.locator('path').first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 90, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('Moved North bed.')).toBeVisible();
  await expect(bed.locator('path').first()).not.toHaveAttribute('d', before!);
  await page.getByRole('button', { name: 'Circle' }).click();
  await expect(page.getByRole('button', { name: 'Circle' })).toHaveAttribute('aria-pressed', 'true');

  const round = await bed.locator('path').first().getAttribute('d');
  const sent = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Plan as GeoJSON' }).click();
  const file = await readFile(await (await sent).path(), 'utf8');
  expect(JSON.parse(file)).toMatchObject({ type: 'FeatureCollection', coordinates: 'local-metres' });
  await page.getByRole('button', { name: 'Rectangle' }).click();
  await expect(bed.locator('path').first()).not.toHaveAttribute('d', round!);
  await page
    .getByLabel('Read GeoJSON')
    .setInputFiles({ name: 'plan.geojson', mimeType: 'application/geo+json', buffer: Buffer.from(file) });
  await expect(page.getByText('2 places read.')).toBeVisible();
  await expect(bed.locator('path').first()).toHaveAttribute('d', round!);
  await page
    .getByLabel('Read GeoJSON')
    .setInputFiles({ name: 'plan.geojson', mimeType: 'application/geo+json', buffer: Buffer.from('dear diary') });
  await expect(page.getByRole('alert')).toContainText('not JSON');
});

test('what was moved stays where it is when its name is changed; rows stay when the planting is', async ({ page }) => {
  await newGarden(page, 'Planner', 'Kept garden');
  await newPlace(page, 'Bed', { area: '12' });
  await newPlanting(page, 'Cabbage', { plants: '12', rows: '3' });
  await page.getByRole('switch', { name: 'Move things' }).click();
  const bed = plan(page).getByRole('button', { name: /^Bed / });
  const path = bed.locator('path').first();
  const before = await path.getAttribute('d');
  await bed.press('Shift+ArrowRight');
  await expect(page.getByText('Moved Bed.')).toBeVisible();
  await expect(path).not.toHaveAttribute('d', before!);
  const moved = await path.getAttribute('d');
  await page.getByRole('link', { name: 'Bed', exact: true }).click();
  await page.getByLabel('Name').fill('Long bed');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(path).toHaveAttribute('d', moved!);
  await page.getByRole('link', { name: 'Cabbage', exact: true }).click();
  await expect(page.getByText('12 in 3 rows')).toBeVisible();
  await page.getByRole('link', { name: 'Change it' }).click();
  await page.getByLabel('Cultivar').fill('Anvil');
  await page.getByRole('button', { name: 'Save the planting' }).click();
  await page.getByRole('link', { name: 'Cabbage', exact: true }).click();
  await expect(page.getByText('12 in 3 rows')).toBeVisible();
});
