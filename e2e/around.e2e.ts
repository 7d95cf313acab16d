import { expect, test } from '@playwright/test';
import { goTo, newGarden, newPlace } from './gardener';

// What lives around the plants: traps by spot, the store and its animals, each in a tap; and without poison.

test('a hen house is written down, its round is short, and a trap stands where droppings were found', async ({ page }) => {
  await newGarden(page, 'Keeper', 'Hens and beans');
  await newPlace(page, 'Long bed');
  await goTo(page, 'Around');
  await expect(page.getByText('A feed store, a shed or a hen house is a place too', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: 'add it' }).click();
  await page.getByLabel('Name').fill('Hen house');
  await page.getByRole('combobox', { name: 'Kind' }).click();
  await page.getByRole('option', { name: 'Animal housing' }).click();
  await page.getByRole('button', { name: 'Save the place' }).click();
  await goTo(page, 'Around');
  const card = page.locator('fn-task-card').filter({ hasText: 'Droppings, runs and gnawing' });
  await card.getByText('How it is put right without harm').click();
  await expect(card).toContainText('Never sweep or vacuum them dry');
  await card.getByRole('button', { name: 'Wants work' }).click();
  await expect(page.getByText('Droppings, runs and gnawing, Hen house: noted.')).toBeVisible();
  await page.getByRole('link', { name: 'Set a trap' }).click();
  await page.getByRole('combobox', { name: 'Kind of trap' }).click();
  await page.getByRole('option', { name: 'Snap trap in a box' }).click();
  await page.getByLabel('Name').fill('Box under the nest');
  await page.getByRole('combobox', { name: 'Place' }).click();
  await page.getByRole('option', { name: 'Hen house' }).click();
  await page.getByLabel('Where in the place, in words').fill('west wall');
  await page.getByRole('button', { name: /^(Set|Save) the trap$/ }).click();
  await goTo(page, 'Around');
  await page.getByRole('button', { name: 'One more: rats or mice in it' }).click();
  await page.getByRole('button', { name: 'Emptied and set again' }).click();
  await expect(page.getByText('1 caught in four weeks')).toBeVisible();
});
