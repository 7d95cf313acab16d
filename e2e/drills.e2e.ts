import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { goTo, signIn } from './gardener';

// An eye is trained on drawn leaves; what it says too much is offered back where severity is written down.

/** Judge a drawn leaf at so much more than it seems, and read what was there. */
async function judge(page: Page, percent: number): Promise<number> {
  await page.getByRole('textbox', { name: 'Of the leaf' }).fill(String(percent));
  await page.getByRole('button', { name: `Say ${percent} %` }).click();
  const told = await page.getByText(/There is( gone)? /).innerText();
  return Number(/([\d.]+) %/.exec(told)![1]);
}

test('a new eye is tried on leaves, and its correction reaches the severity of a look', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  await goTo(page, 'Drills');
  await expect(page.getByText('A few leaves, a few animals', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: /^Damage on a leaf/ }).click();
  // Whatever is there, this eye calls it 60 percent: much too much where little is there.
  for (let i = 0; i < 14; i++) {
    const there = await judge(page, 60);
    expect(there).toBeGreaterThan(0);
    await page.getByRole('button', { name: 'Next' }).click();
  }
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByText(/\d+ of 14 well: Damage on a leaf/)).toBeVisible();
  await page.getByRole('link', { name: 'See how your eye does' }).click();
  await expect(page.getByRole('region', { name: 'How your eye does' })).toContainText(/Bias\s*[\d.]+ points too much/);
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Leek and garlic rust' }).first().click();
  await page.getByRole('link', { name: 'Recovery' }).click();
  const slider = page.getByRole('slider', { name: /^Severity/ });
  await slider.fill('60');
  const use = page.getByRole('button', { name: /^Use \d+ %$/ });
  const percent = /\d+/.exec(await use.innerText())![0];
  expect(Number(percent)).toBeLessThan(50);
  await use.click();
  await expect(slider).toHaveValue(percent);
  await expect(page.getByText('Corrected by your drills from 60 %.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to 60 %' }).click();
  await expect(slider).toHaveValue('60');
});

test('three minutes go through kinds by turns; animals stand for three seconds; a plant is named after looks', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Drills');
  await expect(page.getByRole('region', { name: 'How your eye does' })).toContainText('Concordance');
  await page.getByRole('link', { name: /^Counting/ }).click();
  await page.getByRole('button', { name: 'Show them' }).click();
  await expect(page.getByText('Look.', { exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'How many were there?' }).fill('12');
  await page.getByRole('button', { name: 'Say so' }).click();
  await expect(page.getByText(/There are \d+\. You said 12/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await page.getByRole('link', { name: 'See how your eye does' }).click();
  await page.getByRole('link', { name: /^Look-alikes/ }).click();
  await page.getByRole('region', { name: 'Look for' }).getByRole('button').first().click();
  await page.getByRole('region', { name: 'Then name it' }).getByRole('button').first().click();
  await expect(page.getByRole('heading', { name: 'What the looks were worth' })).toBeVisible();
  await expect(page.getByText(/bits expected/)).toBeVisible();
});
