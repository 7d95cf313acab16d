import { expect, test } from '@playwright/test';
import { choose, goTo, newGarden, newPlace, newPlanting, openCase, signIn } from './gardener';

// What is reckoned and measured in the shed, and what is tried on a few leaves first.

test('a sprayer is written down, measured with clean water, and the sum on ground goes by it', async ({ page }) => {
  await newGarden(page, 'Pump', 'Shed garden');
  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: 'Sprayers' }).click();
  await page.getByLabel('What you call it').fill('Brass pump');
  await page.getByLabel('It holds, l').fill('8');
  await page.getByLabel('New nozzle').fill('1');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByLabel('Water that went out').fill('2.4');
  await page.getByLabel('Seconds').fill('120');
  await page.getByLabel('Walked, m').fill('30');
  await page.getByLabel('Wide, m').fill('1');
  await page.getByRole('button', { name: 'Keep the measure' }).click();
  await expect(page.getByText('1.2 l in a minute, 8 l on 100 m²')).toBeVisible();
  await expect(page.getByText('20 % more than when new: replace it')).toBeVisible();

  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: 'Mix bench' }).click();
  await choose(page, 'Which sprayer', 'Brass pump');
  await page.getByLabel('Ground, m²').fill('150');
  await expect(page.getByText('12 l water')).toBeVisible();
  await expect(page.getByText('1 × 8 l')).toBeVisible();
  await expect(page.getByText('1 × 4 l')).toBeVisible();
});

test('two that burn together are kept out of one tank, and where growers differ one’s own way counts', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Shelf');
  await page.getByRole('link', { name: 'Mix bench' }).click();
  await choose(page, 'Which pack', 'Marshlight Sulphur 80');
  await page.getByRole('button', { name: 'Another one into the same tank' }).click();
  await page.getByLabel('Which pack').nth(1).click();
  await page.getByRole('option', { name: 'Sedgewash Soap' }).click();
  await expect(page.getByRole('alert')).toContainText('stay 3 days apart');

  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Spider mite', exact: true }).first().click();
  await page.getByRole('link', { name: 'Options', exact: true }).click();
  const leave = page.getByRole('radio', { name: /^Leave them\./ });
  await leave.click();
  const out = page.locator('details').filter({ has: page.locator('summary', { hasText: /Ruled out:.*Pick off/ }) });
  await out.locator('summary').click();
  await expect(out).toContainText('You chose “Leave them”, where growers disagree.');
  await page
    .getByRole('radiogroup', { name: /^Strip/ })
    .getByRole('radio', { name: /^As proposed/ })
    .click();
  await expect(page.getByRole('button', { name: 'Choose Pick off the sick leaves' })).toBeVisible();
});

test('a few leaves first: sprayed, waited for, spotted, and ruled out for that planting', async ({ page }) => {
  await newGarden(page, 'Leafy', 'Test garden');
  await newPlace(page, 'Bed');
  await newPlanting(page, 'Cucumber', { plants: '6' });
  await page.getByRole('link', { name: 'Cucumber', exact: true }).click();
  await openCase(page);
  await page.getByLabel('In your own words').fill('Fine webs and pale speckles under the leaves.');
  await page.getByRole('button', { name: 'Work with Spider mite' }).click();
  await page.getByRole('link', { name: 'Options', exact: true }).click();
  await page.getByRole('button', { name: 'Choose Insecticidal soap' }).click();
  await page.getByLabel(/^Strength on your pack/).fill('48');
  await page.getByRole('button', { name: 'I sprayed a few leaves now' }).click();
  await expect(page.getByText(/^Tried on .*: look on/)).toBeVisible();
  await page.getByRole('button', { name: 'Spotted or burnt' }).click();
  await expect(page.getByRole('alert').first()).toContainText('It marked the test leaves of this planting');
  await page.getByRole('link', { name: 'Options', exact: true }).click();
  const out = page.locator('details').filter({ has: page.locator('summary', { hasText: /Ruled out:.*Insecticidal soap/ }) });
  await out.locator('summary').click();
  await expect(out).toContainText('It marked the test leaves of this planting');
});
