import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { freePort } from '../scripts/lib/postgres.mjs';
import { startServer } from '../scripts/lib/server.mjs';
import { choose, expectAccessible, goTo, newGarden } from './gardener';

// A full round in a garden of three plantings on a phone, without signal from the second stop on, and with the server killed and brought back.

test.use({ viewport: { width: 390, height: 844 }, serviceWorkers: 'allow', isMobile: true, hasTouch: true });

const secret = 'a secret that only this test uses, 32';
let port: number;
let server: Awaited<ReturnType<typeof startServer>>;
const start = async () => {
  server = await startServer({ databaseUrl: process.env['DATABASE_URL']!, port, secret });
};
const kill = async () => {
  server.child.kill('SIGKILL');
  await server.ended;
};

test.beforeAll(async () => {
  port = (await freePort()) as number;
  await start();
});
test.afterAll(() => kill());

/** Three plantings in one bed, written as the page's own session. @returns address of the garden */
async function threePlantings(page: Page): Promise<string> {
  await newGarden(page, `Walker ${randomUUID().slice(0, 8)}`, 'Round garden', server.url);
  await page.waitForURL(/\/g\/[^/]+\//);
  const garden = /\/g\/([^/]+)/.exec(page.url())![1]!;
  const write = (subject: string, value: object) =>
    page.evaluate(
      async ([address, body]: string[]) => {
        const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)![1]!;
        const answer = await fetch(address!, {
          method: 'PUT',
          body: body!,
          headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        });
        if (!answer.ok) throw new Error(await answer.text());
      },
      [`/api/v1/gardens/${garden}/${subject}`, JSON.stringify({ change: randomUUID(), version: 0, value })],
    );
  const place = randomUUID();
  await write(`places/${place}`, { name: 'Long bed', kind: 'bed', setting: 'outdoor', areaM2: 20, note: '', endedOn: null });
  for (const cultivar of ['First', 'Second', 'Third'])
    await write(`plantings/${randomUUID()}`, {
      placeId: place,
      host: 'cabbage',
      cultivar,
      plants: 30,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      eaten: true,
      note: '',
    });
  return garden;
}

const contents = (page: Page, garden: string) =>
  page.evaluate(
    async (address) => (await (await fetch(address)).json()) as Record<string, Record<string, unknown>[]>,
    `/api/v1/gardens/${garden}`,
  );

/** A camera's picture of forty megapixels that says where it was taken. */
const photo = () =>
  sharp({ create: { width: 7600, height: 5300, channels: 3, background: '#557a3a' } })
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 54/1 0/1' } })
    .jpeg()
    .toBuffer();

test('a full round with the network cut halfway and the server killed', async ({ page, context }) => {
  const garden = await threePlantings(page);
  await page.goto(`${server.url}/g/${garden}/today`);
  await goTo(page, 'Round');
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await expect(page.getByText('3 stops')).toBeVisible();
  await expectAccessible(page);

  // The first stop, with signal.
  await page.getByRole('button', { name: 'Begin the round' }).click();
  await expect(page.getByText('Stop 1 of 3')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Nothing found' }).click();

  // In the middle of the second stop the network goes, and the page is loaded afresh.
  await expect(page.getByText('Stop 2 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Found something' }).click();
  await page.getByRole('button', { name: 'One more: Helpers' }).click();
  await page.getByLabel('In your own words').fill('two ladybirds, and a yellow leaf');
  await page.getByRole('checkbox', { name: 'Eggs' }).check();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('No signal.')).toBeVisible();
  await expect(page.getByText('Stop 2 of 3')).toBeVisible();
  await expect(page.getByLabel('In your own words')).toHaveValue('two ladybirds, and a yellow leaf');
  await expect(page.getByRole('status', { name: 'Helpers' })).toHaveText('1');

  // A text file named .jpg is told apart and loses nothing; a photo is kept on the device.
  await page.getByLabel('Take a photo').setInputFiles({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('dear diary') });
  await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP');
  await page.getByLabel('Take a photo').setInputFiles({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: await photo() });
  await expect(page.getByRole('img', { name: 'Photo 1' })).toBeVisible();
  await choose(page, 'Count against the level of', 'Cabbage white caterpillars');
  await page.getByRole('button', { name: 'Clean plant' }).click();
  await page.getByRole('button', { name: 'Has it' }).click();
  await expect(page.getByText('2 looked at: 50 % of plants')).toBeVisible();
  await page.getByRole('radio', { name: 'Open a new case' }).check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save and go on' }).click();

  // The third, and the end.
  await expect(page.getByText('Stop 3 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Nothing found' }).click();
  await expect(page.getByRole('heading', { name: 'The round is made' })).toBeVisible();
  await expect(page.getByText(/things wait on this device/)).toBeVisible();
  await page.getByRole('button', { name: 'End the round' }).click();
  await expect(page.getByRole('link', { name: /waiting$/ })).toBeVisible();

  // Signal comes back, but the server is gone; then it is brought back, and killed again while things are sent.
  await kill();
  await context.setOffline(false);
  await goTo(page, 'Cases');
  await expect(page.getByRole('link', { name: /waiting$/ })).toBeVisible();
  let writes = 0;
  await context.route('**/api/v1/gardens/*/*/*', async (route) => {
    // The server gets the second write, but is killed before it can answer.
    const answer = route.request().method() === 'PUT' && ++writes === 2;
    if (!answer) return route.continue();
    await route.fetch().catch(() => undefined);
    await kill();
    return route.abort();
  });
  await start();
  await page.getByRole('link', { name: /waiting$/ }).click();
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect.poll(() => server.child.killed || writes >= 2, { timeout: 20_000 }).toBe(true);
  await server.ended;
  await expect(page.getByText(/kept on this device/)).toBeVisible();
  await start();
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('Nothing waits')).toBeVisible({ timeout: 20_000 });

  // Nothing is lost, nothing is doubled.
  const kept = await contents(page, garden);
  expect(kept['scoutingRounds']).toHaveLength(1);
  expect(kept['scoutingRounds']![0]!['endedAt']).not.toBeNull();
  expect(kept['stops']).toHaveLength(3);
  expect(kept['cases']).toHaveLength(1);
  const find = kept['stops']!.find(({ found }) => found)!;
  expect(find).toMatchObject({
    sample: [0, 1],
    eggs: true,
    helpers: 1,
    note: 'two ladybirds, and a yellow leaf',
    caseId: kept['cases']![0]!['id'],
  });

  // The plan, the chart and Today agree.
  const cultivar = kept['plantings']!.find(({ id }) => id === find['plantingId'])!['cultivar'] as string;
  await goTo(page, 'Today');
  await expect(page.getByText(/waits for you to decide\.$/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Waiting for you' })).toContainText(cultivar);
  await goTo(page, 'Ground');
  await expect(page.getByRole('button', { name: new RegExp(`^Cabbage ${cultivar}: open case, no look yet`) })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Cabbage .*: no open case$/ })).toHaveCount(2);
  await goTo(page, 'Chart');
  await page.getByRole('button', { name: 'As a table' }).click();
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  await expect(row(cultivar)).toContainText(/on 1 round, something found on 1\s*opened /);
  for (const name of ['First', 'Second', 'Third'].filter((one) => one !== cultivar)) await expect(row(name)).toContainText('on 1 round');

  const stored = await page.request.get(`${server.url}/api/v1/gardens/${garden}/photos/${(find['photos'] as string[])[0]}`);
  const { exif, width } = await sharp(await stored.body()).metadata();
  expect([exif, width]).toEqual([undefined, 1600]);
});

test('the same round on two devices: every stop of both is kept', async ({ page, browser, context }) => {
  const garden = await threePlantings(page);
  const other = await browser.newContext({ storageState: await context.storageState(), viewport: { width: 390, height: 844 } });
  const second = await other.newPage();
  await page.goto(`${server.url}/g/${garden}/round`);
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.getByRole('button', { name: 'Begin the round' }).click();
  await page.getByRole('button', { name: 'Nothing found' }).click();
  await expect(page.getByText('Stop 2 of 3')).toBeVisible();

  // The second device goes on with the same round, while the first has no signal.
  await second.goto(`${server.url}/g/${garden}/round`);
  await context.setOffline(true);
  await second.getByRole('button', { name: 'Go on with it' }).click();
  await second.getByRole('button', { name: 'Nothing found' }).click();
  await expect(second.getByText('Stop 3 of 3')).toBeVisible();
  await second.getByRole('link', { name: 'Back to the round' }).click();
  await second.getByRole('link', { name: 'Round', exact: true }).click();
  await second.getByRole('button', { name: 'End it here' }).click();
  await expect(second.getByText('A round is under way')).toBeHidden();

  await page.getByRole('button', { name: 'Nothing found' }).click();
  await expect(page.getByText('Stop 3 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Nothing found' }).click();
  await page.getByRole('button', { name: 'End the round' }).click();
  await context.setOffline(false);
  await expect.poll(async () => (await contents(second, garden))['stops']!.length, { timeout: 30_000 }).toBe(4);
  const { scoutingRounds } = await contents(second, garden);
  expect(scoutingRounds).toHaveLength(1);
  await other.close();
});
