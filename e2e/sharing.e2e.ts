import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose, expectAccessible, goTo, newGarden, newGardenWithCase, newPlace, signUp } from './gardener';

/** The link in the newest letter to an address, from the mailbox that stands in for the outside world. */
async function linkIn(page: Page, address: string): Promise<string> {
  let link: string | undefined;
  await expect(async () => {
    const answer = await page.request.get(`${process.env['MAILBOX_URL']!}.json`);
    const { letters } = (await answer.json()) as { letters: { to: string; text: string }[] };
    link = letters.find(({ to }) => to.includes(address))?.text.match(/https?:\/\/\S+/)?.[0];
    expect(link).toBeDefined();
  }).toPass();
  return new URL(link!).pathname;
}

test('a garden is shared by invitation, its guest removed again, and then it is deleted for good', async ({ page, browser }) => {
  const address = `sedge-${Date.now()}@garden.example`;
  await newGarden(page, 'Rush Teasel', 'Shared ground');
  await newPlace(page, 'Front bed');
  await goTo(page, 'Settings');
  await page.getByLabel('E-mail address (if you like)').fill('nowhere');
  await page.getByRole('button', { name: 'Make the invitation' }).click();
  await expect(page.getByText('Write an address such as')).toBeVisible();
  await page.getByLabel('E-mail address (if you like)').fill(address);
  await choose(page, 'They may', 'look at it');
  await page.getByRole('button', { name: 'Make the invitation' }).click();
  await expect(page.getByText(`on its way to ${address}`)).toBeVisible();
  await expectAccessible(page);

  const guest = await (await browser.newContext()).newPage();
  await guest.goto(await linkIn(page, address));
  await expect(guest.getByRole('heading', { name: 'Shared ground' })).toBeVisible();
  await expectAccessible(guest);
  await guest.getByRole('link', { name: 'Make an account to accept' }).click();
  await guest.getByLabel('Your name').fill('Sedge Fenner');
  await guest.getByLabel('E-mail address').fill(address);
  await guest.getByLabel('Password').fill('1234567890');
  await guest.getByRole('button', { name: 'Make the account' }).click();
  await expect(guest.getByText('guessed too soon')).toBeVisible();
  await guest.getByLabel('Password').fill('a long enough one');
  await guest.getByRole('button', { name: 'Make the account' }).click();
  await guest.getByRole('button', { name: 'Accept' }).click();
  await goTo(guest, 'Ground');
  await expect(guest.getByRole('heading', { name: 'Front bed' })).toBeVisible();
  await expect(guest.getByRole('link', { name: 'New planting' })).toHaveCount(0);
  await goTo(guest, 'Settings');
  await expect(guest.getByRole('button', { name: 'Save the garden' })).toBeDisabled();
  await expectAccessible(guest);

  await page.reload();
  const person = page.getByRole('list', { name: 'People' }).getByRole('listitem').filter({ hasText: address });
  await expect(person).toBeVisible();
  await person.getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'Remove Sedge Fenner' }).click();
  await expect(person).toHaveCount(0);
  await guest.reload();
  await expect(guest.getByText('This garden is not here.')).toBeVisible();

  await page.getByRole('button', { name: 'Show the log of rights' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Removed Sedge Fenner' })).toBeVisible();

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Download the garden' }).click();
  expect((await download).suggestedFilename()).toBe('Shared ground.zip');
  await page.getByRole('button', { name: 'Delete this garden …' }).click();
  await page.getByLabel('Write its name, Shared ground').fill('Shared');
  await page.getByRole('button', { name: 'Delete the garden for good' }).click();
  await expect(page.getByText('Write it just so to delete it')).toBeVisible();
  await page.getByLabel('Write its name, Shared ground').fill('Shared ground');
  await page.getByRole('button', { name: 'Delete the garden for good' }).click();
  await expect(page.getByRole('heading', { name: 'New garden' })).toBeVisible();
});

test('an adviser sees no addresses, writes nothing, and comments on a case', async ({ page, browser }) => {
  await newGardenWithCase(page, 'Leek');
  const url = new URL(page.url()).pathname;
  await goTo(page, 'Settings');
  await choose(page, 'They may', 'look at it and comment on its cases');
  await page.getByRole('button', { name: 'Make the invitation' }).click();
  const link = new URL((await page.getByLabel('Invitation link').textContent())!).pathname;

  const adviser = await (await browser.newContext()).newPage();
  await signUp(adviser, 'Isolde Marl');
  await adviser.goto(link);
  await adviser.getByRole('button', { name: 'Accept' }).click();
  await expect(adviser).toHaveURL(/\/g\//);
  await goTo(adviser, 'Settings');
  await expect(adviser.getByRole('list', { name: 'People' })).not.toContainText('@');
  await adviser.goto(url);
  await expect(adviser.getByLabel('In your own words')).toHaveCount(0);
  await adviser.getByLabel('Say something to the others').fill('Cut a stem through: is it brown inside?');
  await adviser.getByRole('button', { name: 'Comment' }).click();
  await expect(adviser.getByText('Comment added.')).toBeVisible();
  await page.goto(url);
  await expect(page.getByText('Cut a stem through: is it brown inside?')).toBeVisible();
  await expectAccessible(page);
});

test('a forgotten password is set anew by a letter; devices are seen and signed out; the account ends', async ({ page, browser }) => {
  await page.goto('/sign-up');
  const address = `comfrey-${Date.now()}@garden.example`;
  await page.getByLabel('Your name').fill('Comfrey Vane');
  await page.getByLabel('E-mail address').fill(address);
  await page.getByLabel('Password').fill('a long enough one');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByRole('heading', { name: 'New garden' })).toBeVisible();

  const phone = await (await browser.newContext()).newPage();
  await phone.goto('/sign-in');
  await phone.getByRole('link', { name: 'Forgotten the password?' }).click();
  await phone.getByLabel('E-mail address of your account').fill(address);
  await phone.getByRole('button', { name: 'Send me a link' }).click();
  await expect(phone.getByRole('heading', { name: 'Look into your mail' })).toBeVisible();
  await phone.goto(await linkIn(phone, address));
  await phone.getByLabel('New password').fill('quite another row of words');
  await phone.getByRole('button', { name: 'Set the password' }).click();
  await phone.getByRole('link', { name: 'Sign in' }).click();
  await phone.getByLabel('E-mail address').fill(address);
  await phone.getByLabel('Password').fill('quite another row of words');
  await phone.getByRole('button', { name: 'Sign in' }).click();
  await expect(phone.getByRole('heading', { name: 'New garden' })).toBeVisible();

  await page.goto('/account');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await phone.goto('/account');
  await expect(phone.getByRole('list', { name: 'Devices' }).getByRole('listitem')).toHaveCount(1);
  await expectAccessible(phone);
  await phone.getByRole('button', { name: 'Delete my account …' }).click();
  await phone.getByLabel('Your password').fill('quite another row of words');
  await phone.getByRole('button', { name: 'Delete my account for good' }).click();
  await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('an empty garden teaches the next step on every view', async ({ page }) => {
  await newGarden(page, 'Moss Carr', 'Bare ground');
  for (const [view, words] of [
    ['Ground', 'What grows where?'],
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
  await page.getByRole('combobox', { name: 'Plant, by any of its names' }).fill('rose');
  await page.getByRole('option', { name: 'Rose', exact: true }).click();
  await page.getByLabel('How many plants').fill('3');
  await page.getByRole('button', { name: 'Save the planting' }).click();
  await page.getByRole('link', { name: 'Rose', exact: true }).click();
  await page.getByRole('link', { name: 'Log an application' }).click();
  await page.getByRole('combobox', { name: 'What was done' }).fill('Insecticidal soap');
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
