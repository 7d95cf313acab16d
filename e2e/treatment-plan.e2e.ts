import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { goTo, signIn } from './gardener';

const mark = (page: Page, name: RegExp) => page.getByRole('group', { name: /^Four weeks/ }).getByRole('button', { name });

test('what is proposed is planned, moved with its cost, and a hard line can’t be crossed by keys either', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Plan');
  const proposed = page.getByRole('region', { name: /Proposed|What should change/ });
  await expect(proposed.getByRole('listitem').filter({ hasText: 'Copperline Haulm, round 3' })).toContainText('Potato');
  await expect(page.getByText('that is proven', { exact: false })).toBeVisible();
  await proposed.getByRole('button', { name: /Plan it so|Take these changes/ }).click();
  await expect(page.getByText(/rounds? planned\./)).toBeVisible();
  await expect(proposed).toBeHidden();

  const copper = mark(page, /^Copper hydroxide, round 1, planned/);
  await copper.focus();
  const panel = page.getByRole('region', { name: 'Copperline Haulm' });
  await expect(panel.getByRole('listitem').filter({ hasText: 'costs' }).first()).toBeVisible();
  await panel
    .getByRole('button', { name: /^Move it to / })
    .first()
    .click();
  await expect(page.getByText(/^Moved: /)).toBeVisible();
  await expect(panel.getByRole('button', { name: 'Let the planner move it' })).toBeVisible();

  // Rain and wind of the days before, or the card, keep it from there, and are named.
  for (let tries = 0; tries < 8 && !(await page.getByRole('alert').isVisible()); tries++) {
    await copper.focus();
    await page.keyboard.press('Shift+ArrowLeft');
    await page.waitForTimeout(600);
  }
  await expect(page.getByRole('alert')).toContainText(/would not stay dry|too windy|The card asks for 7 days between two/);
});

test('nobody has time on a day: the plan moves, and says so', async ({ page }) => {
  await signIn(page);
  await goTo(page, 'Plan');
  const hours = page.getByRole('region', { name: 'Who has time' });
  await expect(hours).toContainText('Wren Sallow');
  const off = hours.getByRole('button', { name: /^Isa Marrow has no time on Sat 18/ });
  await off.click();
  await expect(off).toHaveAttribute('aria-pressed', 'true');
  await off.click();
  await expect(off).toHaveAttribute('aria-pressed', 'false');
});

test.describe('with a copy of the pages on the device', () => {
  test.use({ viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

  test('a job on a phone goes on without signal; log and plan have it on both sides afterwards', async ({ page, context }) => {
    await signIn(page);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const jobs = page.getByRole('region', { name: 'Jobs' });
    await jobs.getByRole('listitem').filter({ hasText: 'Wipe the leaves' }).getByRole('link', { name: 'Do it' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Wipe the leaves with a damp cloth' })).toBeVisible();
    await page.getByRole('button', { name: 'Begin' }).click();
    await context.setOffline(true);
    await expect(page.getByRole('heading', { level: 2, name: 'Write down what was done' })).toBeVisible();
    await page.getByLabel('What was covered').fill('every leaf, both sides');
    await page.getByRole('button', { name: 'Write it into the log' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
    await expect(page.getByText('Kept on this device until there is signal', { exact: false })).toBeVisible();
    await context.setOffline(false);
    await expect
      .poll(
        async () => {
          const garden = /\/g\/([^/]+)/.exec(page.url())![1]!;
          const answer = await page.request.get(`/api/v1/gardens/${garden}`);
          const { plannedApplications, applications } = (await answer.json()) as {
            plannedApplications: { intervention: string; state: string; applicationId: string | null }[];
            applications: { id: string; targets: { coveredPart: string }[] }[];
          };
          const done = plannedApplications.find(({ intervention, state }) => intervention === 'wipe-leaves' && state === 'done');
          return applications.find(({ id }) => id === done?.applicationId)?.targets[0]?.coveredPart;
        },
        { timeout: 20_000 },
      )
      .toBe('every leaf, both sides');
    await page.reload();
    await goTo(page, 'Log');
    await expect(page.getByRole('main')).toContainText('Wipe the leaves with a damp cloth');
  });
});
