import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose, expectAccessible, goTo, newGardenWithCase } from './gardener';

const words = 'older leaves yellow between the veins';

/** A case in plain words, and its page of the plant clinic. */
async function toTheClinic(page: Page): Promise<void> {
  await newGardenWithCase(page, 'Tomato');
  await page.getByLabel('In your own words').fill(words);
  await page.getByRole('button', { name: /^Confirm all/ }).click();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Plant clinic' }).click();
  await expect(page.getByRole('heading', { name: 'Send a sample' })).toBeVisible();
}

const percent = (text: string) => Number(/(\d+)\s%/.exec(text)![1]);

test('a sample is registered, packed by its list and sent to the clinic, which takes it in', async ({ page }) => {
  await toTheClinic(page);
  await page.getByRole('button', { name: 'Register the sample' }).click();
  await expect(page.getByRole('alert')).toHaveText('Tick one trouble at least, 6 at most.');
  await page.getByLabel('Magnesium shortage').check();
  await page.getByRole('button', { name: 'Register the sample' }).click();

  await goTo(page, 'Today');
  await page.getByRole('region', { name: 'Plant clinic' }).getByRole('link').click();
  const packing = page.getByRole('region', { name: 'Packing' });
  await expect(packing).toContainText('lines are open');
  for (const line of await packing.getByRole('checkbox').all()) {
    await line.check();
    await expect(line).toBeChecked();
  }
  await expect(packing).toContainText('All of it is done.');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'It is on its way' }).click();
  const steps = page.getByRole('list', { name: 'How far it is' });
  await expect(steps.locator('[aria-current=step]')).toContainText('On its way');
  const ask = page.getByRole('button', { name: 'Ask the clinic now' });
  await Promise.all([page.waitForResponse((answer) => answer.url().includes('clinic')), ask.click()]);
  await expect(ask).toBeEnabled();
  await expect(page.getByText(/Number RB-/)).toBeVisible();
  await expectAccessible(page);
});

test('what another clinic wrote is typed in, moves the chances, and stands on the sheet', async ({ page }) => {
  await toTheClinic(page);
  const before = percent(await page.getByRole('listitem').filter({ hasText: 'Nitrogen shortage' }).innerText());
  await choose(page, 'Clinic', 'another, by letter');
  await page.getByLabel('Nitrogen shortage').check();
  await page.getByRole('button', { name: 'Register the sample' }).click();
  await expect(page.getByText('Give its name, 120 letters at most.')).toBeVisible();
  await page.getByLabel('Its name').fill('Laboratory on the hill');
  await page.getByRole('button', { name: 'Register the sample' }).click();
  await page.getByRole('button', { name: 'It is on its way' }).click();
  await page.getByRole('button', { name: 'Keep the result' }).click();
  await expect(page.getByText('Say what they found.')).toBeVisible();
  await choose(page, 'It was', /^found/);
  await page.getByLabel('Clears, of 100 that have it not').fill('98');
  await page.getByRole('button', { name: 'Keep the result' }).click();
  await expect(page.getByRole('row', { name: /Nitrogen shortage found finds 90 of 100/ })).toBeVisible();

  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Signs and causes' }).click();
  const cause = page.getByRole('button', { name: 'Work with Nitrogen shortage' }).locator('xpath=ancestor::li');
  await expect(cause).toContainText('What the plant clinic found');
  expect(percent(await cause.innerText())).toBeGreaterThan(before + 20);
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Clinic: Nitrogen shortage found');
  await page.getByRole('link', { name: 'Second opinion' }).click();
  await expect(page.getByRole('region', { name: 'From a plant clinic' })).toContainText('Laboratory on the hill');
});
