import { expect, test } from '@playwright/test';
import { choose, expectAccessible, goTo, newGarden, signUp } from './gardener';

test('a garden is shared with somebody who may look, and only look', async ({ page, browser }) => {
  const address = `sedge-${Date.now()}@garden.example`;
  const guest = await (await browser.newContext()).newPage();
  await guest.goto('/sign-up');
  await guest.getByLabel('Your name').fill('Sedge Fenner');
  await guest.getByLabel('E-mail address').fill(address);
  await guest.getByLabel('Password').fill('a long enough one');
  await guest.getByRole('button', { name: 'Make the account' }).click();
  await expect(guest.getByRole('heading', { name: 'New garden' })).toBeVisible();

  await newGarden(page, 'Rush Teasel', 'Shared ground');
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Add the first place' }).click();
  await page.getByLabel('Name').fill('Front bed');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await goTo(page, 'Settings');
  await page.getByLabel('Address of somebody with an account').fill('nobody@garden.example');
  await page.getByRole('button', { name: 'Share the garden' }).click();
  await expect(page.getByText('Nobody has an account with this address yet')).toBeVisible();
  await page.getByLabel('Address of somebody with an account').fill(address);
  await choose(page, 'May', 'look only');
  await page.getByRole('button', { name: 'Share the garden' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: address })).toContainText('may look');

  await guest.goto('/');
  await goTo(guest, 'Ground');
  await expect(guest.getByRole('heading', { name: 'Front bed' })).toBeVisible();
  await expect(guest.getByRole('link', { name: 'New planting' })).toHaveCount(0);
  await goTo(guest, 'Settings');
  await expect(guest.getByRole('button', { name: 'Save the garden' })).toBeDisabled();
  await expectAccessible(guest);
});

test('an empty garden teaches the next step on every view', async ({ page }) => {
  await newGarden(page, 'Moss Carr', 'Bare ground');
  for (const [view, words] of [
    ['Ground', 'Begin with a place'],
    ['Chart', 'No planting yet'],
    ['Cases', 'Nothing is sick here'],
    ['Log', 'Nothing logged'],
    ['Today', 'A new garden'],
  ] as const) {
    await goTo(page, view);
    await expect(page.getByRole('heading', { name: words })).toBeVisible();
    await expectAccessible(page);
  }
});

test('a garden in gallons and Fahrenheit shows them, and stores the same', async ({ page }) => {
  await signUp(page, 'Flag Iris');
  await page.getByLabel('Name of the garden').fill('Gallon yard');
  await choose(page, 'Units', /US gallons/);
  await page.getByRole('button', { name: 'Make the garden' }).click();
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Add the first place' }).click();
  await page.getByLabel('Name').fill('Back bed');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await page.getByRole('link', { name: 'New planting' }).click();
  await page.getByLabel('Plant, by any of its names').fill('rose');
  await page.getByRole('option', { name: 'Rose', exact: true }).click();
  await page.getByLabel('How many plants').fill('3');
  await page.getByRole('button', { name: 'Save the planting' }).click();
  await page.getByRole('link', { name: 'Rose', exact: true }).click();
  await page.getByRole('link', { name: 'Log an application' }).click();
  await choose(page, 'What was done', 'Insecticidal soap');
  await page.getByLabel('Water, gal').fill('2');
  await page.getByLabel('Temperature, °F').fill('68');
  await page.getByLabel('Wind, mph').fill('5');
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('in 2 gal')).toBeVisible();
  await expect(page.getByText('68 °F, wind 5 mph')).toBeVisible();
  const garden = /\/g\/([^/]+)/.exec(page.url())![1];
  const { applications } = (await (await page.request.get(`/api/v1/gardens/${garden}`)).json()) as {
    applications: { waterL: number; temperatureC: number }[];
  };
  expect(applications[0]!.waterL).toBeCloseTo(7.570823568, 6);
  expect(applications[0]!.temperatureC).toBeCloseTo(20, 6);
});
