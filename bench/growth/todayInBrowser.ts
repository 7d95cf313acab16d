import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { browserOptions } from '../../scripts/lib/browser.mjs';

/** When Today is there to be read: its heading, and what the round wants. */
const isThere = (page: Page) => page.getByRole('heading', { name: 'Round', exact: true }).waitFor();

/** How long Today takes on a device that knows nothing of the garden, and on one that was there before; and what the first visit sends. */
export async function todayInBrowser(
  url: string,
  garden: string,
  { email, password }: { readonly email: string; readonly password: string },
): Promise<{ coldMs: number; warmMs: number; bytes: number }> {
  const browser = await chromium.launch(browserOptions);
  const cold: number[] = [];
  const warm: number[] = [];
  let bytes = 0;
  for (let visit = 0; visit < 3; visit++) {
    // Signed in elsewhere: the device brings its session and nothing else.
    const signedIn = await browser.newContext();
    await signedIn.request.get(`${url}/api/v1/session`);
    const token = (await signedIn.cookies()).find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '';
    await signedIn.request.post(`${url}/api/v1/session`, {
      data: { email, password },
      headers: { 'X-XSRF-TOKEN': decodeURIComponent(token) },
    });
    const context = await browser.newContext({ storageState: await signedIn.storageState() });
    const page = await context.newPage();
    const network = await context.newCDPSession(page);
    await network.send('Network.enable');
    let received = 0;
    network.on('Network.loadingFinished', ({ encodedDataLength }) => void (received += encodedDataLength));
    let began = performance.now();
    await page.goto(`${url}/g/${garden}/today`);
    await isThere(page);
    cold.push(performance.now() - began);
    bytes = received;
    // The worker keeps the pages, and the device its rows.
    await page.waitForTimeout(3000);
    for (let again = 0; again < 3; again++) {
      began = performance.now();
      await page.goto(`${url}/g/${garden}/today`);
      await isThere(page);
      warm.push(performance.now() - began);
    }
    await context.close();
    await signedIn.close();
  }
  await browser.close();
  const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
  return { coldMs: middle(cold), warmMs: middle(warm), bytes };
}
