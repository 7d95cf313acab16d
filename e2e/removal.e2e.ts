import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, newGardenWithCase } from './gardener';

// Plants are taken out on a phone, step by step; the case is closed with it, the planting ends, and the ground stays closed for years.

test('white rot is taken out on the phone, ticked by who did it, and its bed stays closed to alliums five years on', async ({
  page,
  context,
}) => {
  await newGardenWithCase(page, 'Garlic');
  await page.getByLabel('Why not …').fill('White rot of alliums');
  await page.getByRole('option', { name: 'White rot of alliums', exact: true }).click();
  await page.getByRole('button', { name: 'Work with White rot of alliums all the same' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'White rot of alliums' })).toBeVisible();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Recovery' }).click();
  await page.getByRole('link', { name: 'Take it out, step by step' }).click();

  await expect(page.getByLabel('How many plants')).toHaveValue('12');
  await page.getByRole('button', { name: 'Begin' }).click();
  const finish = page.getByRole('button', { name: 'It is out: close the case' });
  await expect(finish).toBeDisabled();
  await expect(page.getByRole('listitem').filter({ hasText: 'Earth with it' })).toContainText('a spade wide and deep');
  await expect(page.getByRole('listitem').filter({ hasText: 'Tools' })).toContainText('one part to 9 of water, for 10 minutes');
  const ticks = page.getByRole('checkbox');
  for (let at = 0; at < (await ticks.count()); at++) {
    await ticks.nth(at).click();
    await expect(ticks.nth(at)).toHaveAttribute('aria-checked', 'true');
  }
  await expect(page.getByText(/^Done .*Asa Sallow$/).first()).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(ticks.first()).toHaveAttribute('aria-checked', 'true');
  // Where it stands there is no signal.
  await context.setOffline(true);
  await finish.click();
  await expect(page.getByText('Kept on this device until there is signal', { exact: false })).toBeVisible();
  await expect(page.getByText('closed for 15 years', { exact: false })).toBeVisible();

  await context.setOffline(false);
  await page.getByRole('link', { name: 'To the rests' }).click();
  await expect(page.getByRole('region', { name: 'Bed: White rot of alliums' })).toContainText('Closed to onion');

  // Five years on, its kin is still warned off, and another plant is not.
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'New planting' }).click();
  const inFiveYears = new Date();
  inFiveYears.setUTCFullYear(inFiveYears.getUTCFullYear() + 5);
  const plant = async (host: string) => {
    await page.getByRole('combobox', { name: 'Plant, by any of its names' }).fill(host);
    await page.getByRole('option', { name: host, exact: true }).click();
    await page.getByLabel('Planted or sown on').fill(inFiveYears.toISOString().slice(0, 10));
    await page.keyboard.press('Tab');
  };
  await plant('Onion');
  await expect(page.getByText('Bed should rest from onion', { exact: false })).toBeVisible();
  await plant('Lettuce');
  await expect(page.getByText('Bed should rest', { exact: false })).toHaveCount(0);
});

test('what must be reported is called in first, by name of whom', async ({ page }) => {
  await newGardenWithCase(page, 'Apple');
  await page.getByLabel('Why not …').fill('Fire blight');
  await page.getByRole('option', { name: 'Fire blight', exact: true }).click();
  await page.getByRole('button', { name: 'Work with Fire blight all the same' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fire blight' })).toBeVisible();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Recovery' }).click();
  await page.getByRole('link', { name: 'Take it out, step by step' }).click();
  await expect(page.getByText('Touch nothing before', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('listitem').first()).toContainText('Call first');
  await page.getByLabel('Whom you told, and what they said').fill('The office at the hall, on Monday: wait for them.');
  const written = page.waitForResponse((response) => response.url().includes('/removals/') && response.ok());
  await page.getByLabel('Whom you told, and what they said').blur();
  await written;
  await page.reload();
  await expect(page.getByLabel('Whom you told, and what they said')).toHaveValue('The office at the hall, on Monday: wait for them.');
});
