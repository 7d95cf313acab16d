import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, signInAtTheDoor, signUp } from './gardener';

test('the demo garden opens and shows its places', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('heading', { name: 'Field Nurse' })).toBeVisible();
  await expectAccessible(page);
  await signInAtTheDoor(page);
  await goTo(page, 'Ground');
  await expect(page.getByRole('heading', { name: 'Tunnel' })).toBeVisible();
  await expectAccessible(page);
  await goTo(page, 'Settings');
  await expect(page.getByLabel('Name of the garden')).toHaveValue('Osier Reach');
  await expectAccessible(page);
});

test('a wrong password is refused in words and loses nothing', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill('wren@osier-reach.example');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('not right');
  await expect(page.getByLabel('E-mail address')).toHaveValue('wren@osier-reach.example');
});

test('a new gardener makes an account, a garden, a place and a planting, and takes it back', async ({ page }) => {
  await page.goto('/sign-up');
  await expect(page.getByRole('heading', { name: 'New account' })).toBeVisible();
  await expectAccessible(page);
  await signUp(page, 'Nell Teasel');
  await page.getByLabel('Name of the garden').fill('Back step');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the garden' }).click();

  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Add the first place' }).click();
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText('Give it a name')).toBeVisible();
  await page.getByLabel('Name').fill('South sill');
  await page.getByRole('button', { name: 'Save the place' }).click();

  await page.getByRole('link', { name: 'New planting' }).click();
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Plant, by any of its names' }).fill('spuds');
  await page.getByRole('option', { name: 'Potato' }).click();
  await page.getByLabel('How many plants').fill('12');
  await page.getByRole('button', { name: 'Save the planting' }).click();
  await expect(page.getByRole('link', { name: 'Potato' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Nothing grows here now.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Nothing grows here now.')).toBeVisible();
});
