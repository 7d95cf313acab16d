import { AxeBuilder } from '@axe-core/playwright';
import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

/** Sign in as the owner of the demo garden. */
export async function signIn(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail address').fill('wren@osier-reach.example');
  await page.getByLabel('Password').fill('willow-and-water');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'July 2026' })).toBeVisible();
}

/** Make an account, up to the form of its first garden. */
export async function signUp(page: Page, name: string): Promise<void> {
  await page.goto('/sign-up');
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('E-mail address').fill(`${name.toLowerCase().replace(/\W/g, '.')}-${Date.now()}@garden.example`);
  await page.getByLabel('Password').fill('a long enough one');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByRole('heading', { name: 'New garden' })).toBeVisible();
}

/** Make an account with an empty garden. */
export async function newGarden(page: Page, name: string, garden: string): Promise<void> {
  await signUp(page, name);
  await page.getByLabel('Name of the garden').fill(garden);
  await page.getByRole('button', { name: 'Make the garden' }).click();
  await expect(page.getByRole('heading', { name: 'A new garden' })).toBeVisible();
}

const headings = { Today: /\d{4}$/, Ground: 'Ground', Chart: 'Planting chart', Cases: 'Cases', Log: 'Log', Settings: 'Settings' };

/** Go to a main view by its entry in the navigation, and wait until it is there. */
export async function goTo(page: Page, view: keyof typeof headings): Promise<void> {
  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: view }).click();
  await expect(page.getByRole('heading', { level: 1, name: headings[view] })).toBeVisible();
}

export const expectAccessible = (page: Page): Promise<void> => expectNoViolations(new AxeBuilder({ page }));

/** The colours alone: all else is the same in every look. */
export const expectContrast = (page: Page): Promise<void> => expectNoViolations(new AxeBuilder({ page }).withRules('color-contrast'));

async function expectNoViolations(axe: AxeBuilder): Promise<void> {
  const { violations } = await axe.analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
}

export async function choose(page: Page, field: string, option: string | RegExp): Promise<void> {
  await page.getByLabel(field, { exact: true }).click();
  await page.getByRole('option', { name: option }).first().click();
}
