import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { drawnDamage, drawnLeaf } from '../scripts/lib/drawnLeaf';
import { expectAccessible, goTo, newGarden, newPlace, newPlanting } from './gardener';

const photo = async () => ({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: await drawnLeaf() });

test.use({ serviceWorkers: 'allow' });

async function measured(page: Page): Promise<number> {
  const heading = page.getByRole('heading', { name: /% damaged/ });
  await expect(heading).toBeVisible();
  return Number.parseFloat((await heading.textContent())!);
}

test('a leaf is measured as it is, against the eye, with its size, and kept', async ({ page }) => {
  await newGarden(page, 'Measurer', 'Leaf garden');
  await goTo(page, 'Leaf gauge');
  const field = page.getByLabel('Take or choose a photo');
  await field.setInputFiles({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('dear diary') });
  await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP');
  const paper = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#f4f4f0' } })
    .png()
    .toBuffer();
  await field.setInputFiles({ name: 'paper.png', mimeType: 'image/png', buffer: paper });
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByRole('alert')).toContainText('No leaf stands out from the paper');
  await page.getByRole('button', { name: 'Another photo' }).click();

  await field.setInputFiles(await photo());
  await page.getByRole('slider').fill('30');
  await page.getByRole('checkbox', { name: 'Something of known length lies beside it' }).check();
  await page.getByLabel('Its length, mm').fill('5000');
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByRole('alert')).toContainText('from 1 to 2000 millimetres');
  await page.getByLabel('Its length, mm').fill('120');
  await page.getByRole('button', { name: /^End of the ruler, first/ }).press('ArrowLeft');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Measure it' }).click();
  expect(Math.abs((await measured(page)) - drawnDamage)).toBeLessThan(2);
  await expect(page.getByText(/cm², .* mm long/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this leaf' }).click();
  await expect(page.getByText('Leaf kept.')).toBeVisible();
  await expect(page.getByText(/^Your eye on these: [\d.]+ points too much on the average, give or take 0, over 1/)).toBeVisible();

  // The leaf itself is kept, and comes back to be judged again.
  await goTo(page, 'Drills');
  await page.getByRole('link', { name: /^Damage on a leaf/ }).click();
  await expect(page.getByRole('img', { name: 'A leaf of this garden' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Of the leaf' }).fill('30');
  await page.getByRole('button', { name: 'Say 30 %' }).click();
  await expect(page.getByText(/There is [\d.]+ %\. You said 30 %/)).toBeVisible();
});

test('on a round the measure goes back to the stop that asked for it, without signal too', async ({ page, context }) => {
  await newGarden(page, 'Walker', 'Leaf round');
  await newPlace(page, 'Bed');
  await newPlanting(page, 'Cabbage');
  await goTo(page, 'Round');
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.getByRole('button', { name: 'Begin the round' }).click();
  await page.getByRole('button', { name: 'Found something' }).click();
  await expect(page.getByRole('link', { name: 'Measure a leaf' })).toBeVisible();
  await expect(page.getByRole('link', { name: /waiting$/ })).toBeHidden();
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Measure a leaf' }).click();
  await page.getByLabel('Take or choose a photo').setInputFiles(await photo());
  await page.getByRole('button', { name: 'Measure it' }).click();
  const percent = await measured(page);
  await page.getByRole('button', { name: 'Keep it for the stop' }).click();
  await expect(page.getByText('by the leaf gauge')).toBeVisible();
  await expect(page.getByText(`${percent.toFixed(1)} % by the leaf gauge`)).toBeVisible();
  // The measure and the leaf's photo.
  await expect(page.getByRole('link', { name: '2 waiting' })).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('link', { name: /waiting$/ })).toBeHidden();
});
