import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { expectAccessible } from './gardener';

const phone = { width: 390, height: 844 };

// What is likely depends on the month.
test.beforeEach(({ page }) => page.clock.setFixedTime('2026-09-10T10:00:00Z'));

async function tell(page: Page, plant: string, words: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Which plant?' }).fill(plant);
  await page.getByLabel('What do you see?').fill(words);
}

test('a stranger with a sick orchid is answered, and keeps it without being asked twice', async ({ page }) => {
  await page.setViewportSize(phone);
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1, name: 'What is wrong with your plant?' })).toBeVisible();
  const cpu = await page.context().newCDPSession(page);
  await cpu.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.getByRole('combobox', { name: 'Which plant?' }).fill('moth orchid');
  const told = Date.now();
  await page.getByLabel('What do you see?').fill('white fluff where the leaves meet, sticky');
  await expect(page.getByRole('heading', { level: 3, name: 'Mealybug', exact: true })).toBeVisible();
  test.info().annotations.push({ type: 'answer', description: `${Date.now() - told} ms on a phone four times slower` });
  await expect(page.getByRole('button', { name: 'Indoors' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText(/^Today, first: dab with rubbing alcohol/)).toBeVisible();
  await cpu.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await expectAccessible(page);

  await page.reload();
  await expect(page.getByLabel('What do you see?')).toHaveValue('white fluff where the leaves meet, sticky');
  await page.getByRole('link', { name: 'Keep this' }).click();
  await page.getByLabel('Your name').fill('Ida Brook');
  await page.getByLabel('E-mail address').fill(`ida-${Date.now()}@brook.example`);
  await page.getByLabel('Password').fill('a pass that is long enough');
  await page.getByRole('button', { name: 'Make the account' }).dblclick();
  await page.waitForURL(/\/cases\/[^/]+\/options/);
  await expect(page.getByRole('heading', { level: 3, name: 'Dab with rubbing alcohol' })).toBeVisible();
  await expect(page.getByText('Ida’s garden')).toBeVisible();
  await page.getByRole('link', { name: 'Signs and causes' }).click();
  await expect(page.getByLabel('In your own words')).toHaveValue('white fluff where the leaves meet, sticky');
});

test('what is taken for granted is put right in one tap, and judged again', async ({ page }) => {
  await page.goto('/');
  await tell(page, 'moth orchid', 'white fluff where the leaves meet, sticky');
  await expect(page.getByText(/^Today, first: dab with rubbing alcohol/)).toBeVisible();
  await page.getByRole('button', { name: 'Outdoors' }).click();
  await expect(page.getByText('Dab with rubbing alcohol').first()).not.toHaveRole('heading');
  await page.getByRole('button', { name: 'Another plant' }).click();
  await expect(page.getByLabel('What do you see?')).toHaveValue('');
});

for (const [plant, words, cause] of [
  ['box hedge', 'webs and green striped caterpillars, bare patches inside', 'Box moth caterpillar'],
  ['back lawn', 'crows rip the turf up, fat white curled grubs with legs under it', 'White grubs'],
  ['seedlings', 'fell over at soil level, stems thin like thread, white cobweb', 'Damping-off'],
  ['40 leeks', 'orange dots in rows along the leaf, powder on my fingers', 'Leek and garlic rust'],
  ['hydroponic tomato', 'black leathery bottom on the fruits', 'Blossom-end rot'],
  ['compost heap', 'clouds of tiny flies with red eyes when I lift the lid', 'Vinegar flies'],
  ['feed store', 'droppings like rice and gnawed bags, a rat ran behind the bin', 'Rats'],
] as const)
  test(`the door answers for ${plant}`, async ({ page }) => {
    await page.goto('/');
    await tell(page, plant, words);
    await expect(
      page
        .getByRole('region', { name: /^What it/ })
        .getByRole('heading', { level: 3 })
        .first(),
    ).toContainText(new RegExp(cause, 'i'));
  });

test('gibberish, no plant, and no network are answered kindly', async ({ page, context }) => {
  await page.goto('/');
  await page.getByLabel('What do you see?').fill('something is wrong');
  await expect(page.getByText('Which plant is it?')).toBeVisible();
  await page.getByRole('combobox', { name: 'Which plant?' }).fill('qqqqqq');
  await page.getByLabel('What do you see?').fill('xyzzy plugh');
  await expect(page.getByText('The library does not know this name.')).toBeVisible();
  await context.setOffline(true);
  await tell(page, 'rose', 'black spots with yellow around, leaves drop');
  await expect(page.getByRole('heading', { level: 3, name: 'Rose black spot' })).toBeVisible();
});

test('signed out at the last step: nothing that was told is lost', async ({ page }) => {
  await page.goto('/');
  await tell(page, 'moth orchid', 'white fluff where the leaves meet, sticky');
  await page.getByRole('link', { name: 'Keep this' }).click();
  const [email, password] = [`asa-${Date.now()}@brook.example`, 'a pass that is long enough'];
  await page.getByLabel('Your name').fill('Asa Brook');
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.route(
    '**/api/v1/gardens',
    (route) => route.fulfill({ status: 401, json: { error: { code: 'signed-out', message: 'Sign in.' } } }),
    {
      times: 1,
    },
  );
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.waitForURL(/\/sign-in\?to=%2Fkeep/);
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/cases\/[^/]+\/options/);
  await expect(page.getByRole('heading', { level: 3, name: 'Dab with rubbing alcohol' })).toBeVisible();
});

test('a demo garden is looked round with one tap, tried, and begun again', async ({ page }) => {
  await page.setViewportSize(phone);
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/today$/);
  const garden = page.url();
  await page.getByRole('link', { name: 'Something is wrong' }).click();
  await page.getByRole('combobox', { name: 'Which plant?' }).fill('lemon tree');
  await page.getByLabel('What do you see?').fill('sticky brown bumps along the stems');
  await page.getByRole('button', { name: 'What is it?' }).click();
  await page.waitForURL(/\/cases\//);
  // The case has come to rest: its causes are weighed, and the page asks the garden for much.
  await expect(page.getByRole('button', { name: /^Work with / }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Begin again' }).click();
  await expect(page).toHaveURL(/\/today$/);
  expect(page.url()).not.toBe(garden);
  await page.getByRole('link', { name: 'Settings' }).click();
  await expect(page.getByRole('link', { name: 'Make an account' })).toBeVisible();
  await expect(page.getByText('Sign out')).toBeHidden();
  await page.getByRole('link', { name: 'Leave' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'What is wrong with your plant?' })).toBeVisible();
  await page.goto('/keep');
  await page.waitForURL(/\/sign-up/);
});
