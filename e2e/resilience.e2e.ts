import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { choose, goTo, signIn, openCase } from './gardener';

/** The server does not answer this page's writes until the returned function is called. */
async function cutWrites(page: Page): Promise<() => Promise<void>> {
  const writes = /\/api\/v1\/gardens\/.*/;
  await page.route(writes, (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  return () => page.unroute(writes);
}

async function openCaseOn(page: Page, plant: string): Promise<void> {
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: plant, exact: true }).first().click();
  await openCase(page);
  await expect(page.getByRole('heading', { level: 1, name: 'What is it?' })).toBeVisible();
}

const words = (page: Page) => page.getByLabel('In your own words');

test('when the server goes away, nothing is lost, and it is saved once it is back', async ({ page }) => {
  await signIn(page);
  await openCaseOn(page, 'Pelargonium');
  const mend = await cutWrites(page);
  await words(page).fill('sticky leaves and ants');
  await expect(page.getByText('Kept on this device until there is signal.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('Sticky shine');
  await page.reload();
  await expect(words(page)).toHaveValue('sticky leaves and ants');
  await page.getByRole('link', { name: /waiting/ }).click();
  // It is sent by itself as well: the button is looked for while it can not be.
  const send = page.getByRole('button', { name: 'Send now' });
  await expect(send).toBeVisible();
  await mend();
  await send.click();
  await expect(page.getByText('Nothing waits')).toBeVisible();
  await page.goBack();
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.reload();
  await expect(words(page)).toHaveValue('sticky leaves and ants');
});

test('a jump from case to case by the finder, while the server is away, leaves each case its own words', async ({ page }) => {
  await signIn(page);
  await openCaseOn(page, 'Basil');
  const first = page.url();
  await goTo(page, 'Cases');
  const mend = await cutWrites(page);
  await page.goto(first);
  await words(page).fill('typed in the first case');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Name it, or say what to do' }).fill('leek');
  await page.getByRole('option', { name: /case$/ }).first().click();
  await expect(page).not.toHaveURL(first);
  await expect(words(page)).not.toHaveValue('typed in the first case');
  const other = page.url();
  const before = await words(page).inputValue();
  await words(page).pressSequentially(' and more');
  await expect(page.getByText('Kept on this device until there is signal.')).toBeVisible();
  await page.goto(first);
  await expect(words(page)).toHaveValue('typed in the first case');
  await mend();
  await page.goto(other);
  await expect(words(page)).toHaveValue(`${before} and more`);
  await page.reload();
  await expect(words(page)).toHaveValue(`${before} and more`);
  await page.goto(first);
  await expect(words(page)).toHaveValue('typed in the first case');
});

test('a form that could not be sent is sent again, and counts once', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Basil', exact: true }).click();
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByRole('combobox', { name: 'What was done' }).fill('Wash off with a jet of water');
  await page.getByLabel('Why').fill('greenfly on the tips');
  const mend = await cutWrites(page);
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByRole('alert')).toContainText('does not answer');
  await expect(page.getByLabel('Why')).toHaveValue('greenfly on the tips');
  await mend();
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Log' })).toBeVisible();
  await expect(page.getByText('greenfly on the tips')).toHaveCount(1);
});

test('two tabs on one case: both changes stay', async ({ page, context }) => {
  await signIn(page);
  await openCaseOn(page, 'Sweet pea');
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(words(other)).toBeVisible();
  await words(page).fill('white powder on the leaves');
  await expect(page.getByText('All of it is saved.')).toBeVisible();
  await page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok());
  await other.getByText('How fast it came, and where').click();
  await choose(other, 'How fast it came', 'Over weeks');
  await expect(other.getByText('All of it is saved.')).toBeVisible();
  await other.reload();
  await expect(words(other)).toHaveValue('white powder on the leaves');
  await expect(other.getByLabel('How fast it came')).toContainText('Over weeks');
});

test('what can’t be is refused beside its field, and the rest stays', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Log');
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByLabel('Which part of them').fill('all over');
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('Name what was done.')).toBeVisible();
  await expect(page.getByText('Choose a planting, or several')).toBeVisible();
  await page.getByRole('combobox', { name: 'What was done' }).fill('Insecticidal soap');
  await choose(page, 'On which plantings', /^Basil/);
  const day = page.getByLabel('On', { exact: true });
  await day.fill('next Monday');
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('Give a day up to 18 Jul 2026.')).toBeVisible();
  await expect(day).toHaveValue('next Monday');
  await day.fill('18.7.2026');
  await page.getByLabel('At', { exact: true }).fill('23:30');
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('this time is still to come')).toBeVisible();
  await expect(page.getByLabel('Which part of them')).toHaveValue('all over');
});

test('an application past its card is logged, with a warning before', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Log');
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByRole('combobox', { name: 'What was done' }).fill('Copper hydroxide');
  await choose(page, 'On which plantings', /Maincrop · Potato ground/);
  await expect(page.getByText('Past the card.')).toBeVisible();
  await expect(page.getByText('The card asks for 7 days between two')).toBeVisible();
});

test('one tank over two beds is one entry of the log, and each bed knows its day', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Log');
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByRole('combobox', { name: 'What was done' }).fill('Insecticidal soap');
  await choose(page, 'On which plantings', /^Basil/);
  await choose(page, 'On which plantings', /^Kale/);
  await page.getByRole('listitem').filter({ hasText: 'Kale' }).getByLabel('How many plants').fill('12');
  await page.getByLabel('Product used (if any)').fill('40');
  await choose(page, 'in', 'ml');
  await page.getByRole('button', { name: 'Log this' }).click();
  await expect(page.getByText('Application logged.')).toBeVisible();
  const entry = page.getByRole('row').filter({ hasText: 'Insecticidal soap' }).filter({ hasText: 'Basil' }).filter({ hasText: 'Kale' });
  await expect(entry).toHaveCount(1);
  await expect(entry).toContainText('12 plants');
  await expect(entry).toContainText('40 ml');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Taken back.')).toBeVisible();
});

test('a wrong turn can be traced: what it was taken for at first, and why not any more', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Thrips', exact: true }).click();
  const history = page.getByRole('region', { name: 'Working diagnosis' });
  await expect(history).toContainText('Sun scorch');
  await expect(history).toContainText('12 May, at first');
});

test('a suspect that must be reported comes before everything, and closes the options', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Ground');
  await page.getByRole('link', { name: 'Apple', exact: true }).click();
  await openCase(page);
  await words(page).fill('shoot tips black and bent like a crook, milky ooze from the bark');
  const notice = page.getByRole('alert').filter({ hasText: 'Report it' });
  await expect(notice).toContainText('Fire blight is possible');
  await expect(notice).toContainText('Call the March Plant Watch office');
  await expect(notice).toContainText('Don’t move plants');
  await page.getByRole('button', { name: 'Work with Fire blight' }).click();
  await page.getByRole('link', { name: 'See the options' }).click();
  await expect(page.getByRole('alert')).toContainText('Report it first.');
  await expect(page.getByRole('button', { name: /^Choose/ })).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Choose Report it, and wait for officials' })).toBeVisible();
});

test('the log prints without the frame and goes out as CSV', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Log');
  await expect(page.getByText('Copper hydroxide').first()).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Download CSV' }).click()]);
  const csv = await readFile(await download.path(), 'utf8');
  expect(csv.split('\r\n')[0]).toMatch(/^tank,applied,place,plant,cultivar,plants,part,treatment/);
  expect(csv).toMatch(/both sides of the leaves to run-off,Copper hydroxide,[^,]*,27,g,,9/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByText('Osier Reach. Printed Saturday')).toBeVisible();
  await expect(page.getByText('The label in your hand and local rules outrank it')).toBeVisible();
});

test('an address that leads nowhere says so, and shows the way back', async ({ page }) => {
  await signIn(page);
  const garden = /.*\/g\/[^/]+/.exec(page.url())![0];
  await page.goto(`${garden}/cases/00000000-0000-4000-8000-000000000000`);
  await expect(page.getByRole('heading', { name: 'This case is not in the garden' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});
