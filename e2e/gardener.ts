import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';
import axe from 'axe-core';
import type { RunOptions } from 'axe-core';

const wren = { email: 'wren@osier-reach.example', password: 'willow-and-water' };
const isToday = (page: Page) => expect(page.getByRole('heading', { level: 1, name: 'July 2026' })).toBeVisible();

/** Sign in at the door as the owner of the demo garden. */
export async function signInAtTheDoor(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: 'Sign in' }).click();
  await page.getByLabel('E-mail address').fill(wren.email);
  await page.getByLabel('Password').fill(wren.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await isToday(page);
}

/** The owner of the demo garden, who is signed in already. */
export async function signIn(page: Page): Promise<void> {
  await page.request.get('/api/v1/session');
  const token = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN')!.value;
  await page.request.post('/api/v1/session', { data: wren, headers: { 'X-XSRF-TOKEN': decodeURIComponent(token) } });
  await page.goto('/');
  await isToday(page);
}

/** Make an account, up to the form of its first garden. */
export async function signUp(page: Page, name: string, server = ''): Promise<void> {
  await page.goto(`${server}/sign-up`);
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('E-mail address').fill(`${name.toLowerCase().replace(/\W/g, '.')}-${Date.now()}@garden.example`);
  await page.getByLabel('Password').fill('a long enough one');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByRole('heading', { name: 'New garden' })).toBeVisible();
}

/** Make an account with an empty garden. */
export async function newGarden(page: Page, name: string, garden: string, server = ''): Promise<void> {
  await signUp(page, name, server);
  await page.getByLabel('Name of the garden').fill(garden);
  await page.getByRole('button', { name: 'Make the garden' }).click();
  await expect(page.getByRole('heading', { name: 'A new garden' })).toBeVisible();
}

/** Add a place in the open garden. */
export async function newPlace(page: Page, name: string, { area }: { area?: string } = {}): Promise<void> {
  await goTo(page, 'Ground');
  await page
    .getByRole('link', { name: /^(New place|Add the first place)$/ })
    .first()
    .click();
  await page.getByLabel('Name').fill(name);
  if (area) await page.getByLabel('Area in m²').fill(area);
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByRole('heading', { name, level: 2 })).toBeVisible();
}

interface NewPlanting {
  readonly plants?: string;
  readonly rows?: string;
  readonly plantedOn?: string;
  /** it came in from elsewhere */
  readonly heldFor?: { readonly days: string; readonly looks: string; readonly from: string };
}

/** Add a planting by one of its names in the first place of the garden. */
export async function newPlanting(page: Page, host: string, { plants, rows, plantedOn, heldFor }: NewPlanting = {}): Promise<void> {
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'New planting' }).click();
  await page.getByRole('combobox', { name: 'Plant, by any of its names' }).fill(host);
  await page.getByRole('option', { name: host, exact: true }).click();
  if (plants) await page.getByLabel('How many plants').fill(plants);
  if (rows) await page.getByLabel('In how many rows').fill(rows);
  if (plantedOn) await page.getByLabel('Planted or sown on').fill(plantedOn);
  if (heldFor) {
    await page.getByLabel('It came in from elsewhere').check();
    await page.getByLabel('Since').fill(heldFor.from);
    await page.getByLabel('For how many days').fill(heldFor.days);
    await page.getByLabel('Clean looks before it joins').fill(heldFor.looks);
  }
  await page.getByRole('button', { name: 'Save the planting' }).click();
  await expect(page.getByRole('link', { name: host, exact: true })).toBeVisible();
}

/** Make an account with a garden, one planting of a host in it, and a case opened on that. */
export async function newGardenWithCase(page: Page, host: string): Promise<void> {
  await newGarden(page, 'Asa Sallow', 'Looking garden');
  await newPlace(page, 'Bed');
  await newPlanting(page, host, { plants: '12' });
  await page.getByRole('link', { name: host, exact: true }).click();
  await openCase(page);
}

/** Open a case on the planting that is looked at, with nothing said yet. */
export async function openCase(page: Page): Promise<void> {
  await page.getByRole('main').getByRole('link', { name: 'Something is wrong' }).click();
  await page.getByRole('button', { name: 'What is it?' }).click();
  await page.waitForURL(/\/cases\//);
}

const headings = {
  Today: /\d{4}$/,
  Round: 'Round',
  Ground: 'Ground',
  Chart: 'Planting chart',
  Rests: 'Rests',
  Cases: 'Cases',
  Plan: 'Plan',
  Shelf: 'Shelf',
  Log: 'Log',
  Traps: 'Traps',
  Prevention: 'Prevention walk',
  Around: 'Around the plants',
  'Leaf gauge': 'Leaf gauge',
  Weather: 'Weather',
  Almanac: 'Almanac',
  Season: 'Try the season',
  Drills: 'Drills',
  Report: 'Season report',
  Library: 'Library',
  Settings: 'Settings',
};

const roomOf: Readonly<Partial<Record<keyof typeof headings, string>>> = {
  Round: 'Walk',
  Traps: 'Walk',
  Prevention: 'Walk',
  Around: 'Walk',
  'Leaf gauge': 'Walk',
  Ground: 'Garden',
  Chart: 'Garden',
  Rests: 'Garden',
  Plan: 'Cases',
  Shelf: 'Cases',
  Log: 'Cases',
  Almanac: 'Learn',
  Season: 'Learn',
  Drills: 'Learn',
  Report: 'Learn',
  Library: 'Learn',
  Weather: 'Settings',
};

/** Go to a main view by its room and, where that has several, by its tab; and wait until it is there. */
export async function goTo(page: Page, view: keyof typeof headings): Promise<void> {
  const room = roomOf[view] ?? view;
  await page
    .getByRole('banner')
    .getByRole('link', { name: new RegExp(`^${room}( \\d+ due)?$`) })
    .click();
  if (room !== view) await page.getByRole('navigation', { name: room, exact: true }).getByRole('link', { name: view, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: headings[view], exact: view === 'Round' })).toBeVisible();
}

export const expectAccessible = (page: Page): Promise<void> => expectNoViolations(page, {});

/** The colours alone: all else is the same in every look. */
export const expectContrast = (page: Page): Promise<void> => expectNoViolations(page, { runOnly: ['color-contrast'] });

/** All but the colours, which are the same in every width. */
export const expectAccessibleLayout = (page: Page): Promise<void> =>
  expectNoViolations(page, { rules: { 'color-contrast': { enabled: false } } });

/** Once all that fades or slides has come to rest: a dialog half faded in has no contrast yet. */
async function expectNoViolations(page: Page, options: RunOptions): Promise<void> {
  // What was just changed is on the screen after two frames, and what fades has begun to.
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  await page.waitForFunction(() =>
    document
      .getAnimations()
      .every((animation) => animation.playState !== 'running' || animation.effect?.getComputedTiming().endTime === Infinity),
  );
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // Something may change while it is looked at, a button that is just allowed: what is wrong is wrong a second time.
  await expect(async () => {
    const found = await page.evaluate(async (asked) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, { ...asked, resultTypes: ['violations'] });
      return violations.map(({ id, nodes }) => [id, nodes[0]?.html]);
    }, options);
    expect(found).toEqual([]);
  }).toPass({ timeout: 30_000 });
}

export async function choose(page: Page, field: string, option: string | RegExp): Promise<void> {
  const offered = page.getByRole('option', { name: option }).first();
  // On a busy machine the page may still be moving under the first click: whoever misses clicks again.
  await expect(async () => {
    if (!(await offered.isVisible())) await page.getByLabel(field, { exact: true }).click();
    await offered.click({ timeout: 5000 });
  }).toPass();
  // A list of several stays open for more.
  const several = page.locator('[role=listbox][aria-multiselectable=true]');
  if (await several.isVisible()) {
    await page.keyboard.press('Escape');
    await several.waitFor({ state: 'hidden' });
  }
}
