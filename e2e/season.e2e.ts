import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { goTo } from './gardener';

// Ways to meet one trouble are tried on the garden's season; one's own is put together beside them, and the better one goes into the plan.

interface Contents {
  readonly treatmentPlans: { id: string; against: string[]; interventions: string[]; endedOn: string | null; rounds: number }[];
  readonly plannedApplications: { planId: string; plannedFor: string; held: boolean }[];
}
const contents = async (page: Page): Promise<Contents> => {
  const [, id] = /\/g\/([^/]+)/.exec(page.url())!;
  return (await (await page.request.get(`/api/v1/gardens/${id}`)).json()) as Contents;
};
const thripsPlans = async (page: Page) =>
  (await contents(page)).treatmentPlans.filter(({ against, endedOn }) => against.includes('thrips') && !endedOn);

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  await goTo(page, 'Season');
});

const row = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const figure = async (page: Page, name: string, term: string) =>
  row(page, name)
    .locator('dl > div')
    .filter({ has: page.locator('dt', { hasText: new RegExp(`^${term}$`) }) })
    .locator('dd')
    .innerText();

test('four ways and the garden’s plan are tried, one of one’s own wins with reasons, and goes into the plan', async ({ page }) => {
  await page.getByLabel('Trouble and plant').selectOption({ label: 'Thrips, Monstera, Lean-to sill' });
  await expect(row(page, 'The garden’s plan')).toBeVisible({ timeout: 60_000 });
  for (const name of ['Do nothing', 'Hands only', 'Protect the crop']) await expect(row(page, name)).toBeVisible();
  await expect(page.getByRole('region', { name: 'What comes of it' })).toContainText(/costs least in \d+ % of the seasons/);
  await expect(page.getByRole('region', { name: 'What comes of it' })).toContainText('The garden’s plan');
  // The looks of the case stand on the line, and decide what is likely.
  await expect(page.getByText('looks (rings) decide which of them are likely', { exact: false })).toBeVisible();
  const kept = Number(/\d+/.exec(await figure(page, 'Do nothing', 'Harvest kept'))![0]);
  expect(kept).toBeGreaterThan(10);
  expect(await figure(page, 'Do nothing', 'Work')).toBe('none');

  // Where nothing is bought and no hour counts, whoever keeps the most is the best.
  const before = await thripsPlans(page);
  expect(before.length).toBeGreaterThan(0);
  await page.getByLabel('What to do').selectOption({ label: 'Predatory mite for thrips' });
  await page.getByRole('button', { name: 'Add a round' }).click();
  await expect(row(page, 'Put together here').first()).toBeVisible();
  const round = page.getByRole('button', { name: /^Predatory mite for thrips, 18 Jul/ });
  await round.focus();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  const moved = page.getByRole('button', { name: /^Predatory mite for thrips, 26 Jul/ });
  await expect(moved).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  const mine = page.getByRole('region', { name: 'Put together here', exact: true }).first();
  await expect(mine).toContainText('best in', { timeout: 30_000 });

  // A week later it is told beside it.
  await page.getByRole('button', { name: 'What if I am a week late?' }).click();
  await expect(mine).toContainText(/a week late: \d+ %/, { timeout: 30_000 });

  await mine.getByRole('button', { name: 'Take it into the plan' }).click();
  await page.waitForURL(/\/plan$/);
  await expect.poll(async () => (await thripsPlans(page)).map(({ interventions }) => interventions)).toEqual([['cucumeris']]);
  const [plan] = await thripsPlans(page);
  const planned = (await contents(page)).plannedApplications.filter(({ planId }) => planId === plan!.id);
  expect(planned).toMatchObject([{ plannedFor: '2026-07-25', held: true }]);

  // Undone in one go, what was planned before stands again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await thripsPlans(page)).map(({ id }) => id)).toEqual(before.map(({ id }) => id));
});

test('numbers can be changed: what cannot be is refused in words, and what is changed changes what comes', async ({ page }) => {
  await page.getByLabel('Trouble and plant').selectOption({ label: 'Spider mite, Cucumber Long Green Wade, Tunnel' });
  await expect(row(page, 'Do nothing')).toBeVisible({ timeout: 60_000 });
  await page.getByText('The numbers behind it').click();
  await expect(page.getByText('Sabelis (1981)', { exact: false }).first()).toBeVisible();
  const loss = page.getByLabel('Harm: most that can be lost, share');
  await loss.fill('7');
  await loss.blur();
  await expect(page.getByRole('alert')).toContainText('harm.mostLoss: must be from 0 to 1, got 7');
  await loss.fill('0');
  await loss.blur();
  await expect(page.getByText('The numbers behind it, changed by you')).toBeVisible();
  await expect.poll(() => figure(page, 'Do nothing', 'Harvest kept'), { timeout: 30_000 }).toContain('100 %');
  await page.getByRole('button', { name: 'Back to the library’s numbers' }).click();
  await expect(page.getByText('The numbers behind it, changed by you')).toBeHidden();

  // What is expected of it stands behind the curve of its case.
  await goTo(page, 'Cases');
  await page.getByRole('link', { name: 'Spider mite', exact: true }).first().click();
  await page.getByRole('navigation', { name: 'Case' }).getByRole('link', { name: 'Recovery' }).click();
  await expect(page.getByText('expected count if nothing more is done', { exact: false })).toBeVisible({ timeout: 30_000 });
});
