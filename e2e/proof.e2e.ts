import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { goTo, newGarden, signUp } from './gardener';

// A year ago half a row was treated and half was left alone: what that proves, when it was gone, and that all of it is known elsewhere this year.

const dayMs = 86_400_000;
const day = (offset: number) => new Date(Date.now() + offset * dayMs).toISOString().slice(0, 10);
/** it was first seen so many days ago: in three weeks it is due again */
const seen = -341;

/** Write a record of the open garden. */
async function put(page: Page, subject: string, value: object): Promise<string> {
  const [, garden] = /\/g\/([^/]+)/.exec(page.url())!;
  const id = randomUUID();
  const token = (await page.context().cookies()).findLast(({ name }) => name === 'XSRF-TOKEN')!.value;
  const answer = await page.request.put(`/api/v1/gardens/${garden}/${subject}/${id}`, {
    data: { change: randomUUID(), version: 0, value },
    headers: { 'X-XSRF-TOKEN': decodeURIComponent(token) },
  });
  expect(await answer.text()).not.toContain('"error"');
  return id;
}

test('half a row proves what helped, when it is gone, and warns next year on another server', async ({ page }) => {
  test.slow();
  await newGarden(page, 'Ida Sedge', 'Proving ground');
  const placeId = await put(page, 'places', { name: 'Bean row', kind: 'bed', setting: 'outdoor', areaM2: 12, note: '', endedOn: null });
  const plantingId = await put(page, 'plantings', {
    placeId,
    setting: 'outdoor',
    host: 'broad-bean',
    cultivar: 'Ferryman',
    plants: 40,
    rows: 2,
    plantedOn: day(seen - 60),
    eaten: true,
    note: '',
  });
  const caseId = await put(page, 'cases', {
    plantingId,
    openedOn: day(seen),
    words: 'black flies in clusters on the tips',
    findings: [],
    onset: null,
    pattern: null,
    stage: null,
    hidden: null,
    helpersSeen: false,
    diagnoses: [{ on: day(seen), conditions: ['black-bean-aphid'], why: '' }],
    closedOn: null,
    outcome: null,
    note: '',
  });
  await put(page, 'decisions', {
    caseId,
    intervention: 'insecticidal-soap',
    decidedOn: day(seen),
    nextAssessmentOn: day(seen + 8),
    note: '',
  });
  const [garden] = /.*\/g\/[^/]+/.exec(page.url())!;
  await page.goto(`${garden}/cases/${caseId}/recovery`);

  // Divided by lot, and treated on the one side.
  const parts = page.getByRole('region', { name: 'Parts side by side' });
  await parts.getByLabel('Strips of each kind').click();
  await page.getByRole('option', { name: '3, drawn by lot' }).click();
  await parts.getByRole('button', { name: 'Divide it' }).click();
  await expect(parts.getByText('Left alone', { exact: true })).toBeVisible();
  await expect(parts.getByRole('img', { name: /^strip 1: .*strip 6: / })).toBeVisible();
  const treatment = await parts.getByRole('listitem').first().locator('b').innerText();

  interface Contents {
    readonly cases: { readonly id: string; readonly parts: { readonly id: string; readonly intervention: string | null }[] }[];
  }
  const contents = (await (await page.request.get(garden.replace('/g/', '/api/v1/gardens/'))).json()) as Contents;
  const divided = contents.cases.find(({ id }) => id === caseId)!.parts;
  const [treated, alone] = [divided.find(({ intervention }) => intervention)!, divided.find(({ intervention }) => !intervention)!];
  await put(page, 'applications', {
    intervention: treated.intervention,
    appliedAt: `${day(seen + 1)}T08:00:00Z`,
    targets: [{ plantingId, caseId, plants: 20, coveredPart: 'tips' }],
    productMl: null,
    productG: null,
    productPieces: null,
    waterL: null,
    appliedBy: 'Ida Sedge',
    temperatureC: null,
    windKmh: null,
    sky: '',
    why: 'aphids',
  });
  const look = (on: number, change: object) =>
    put(page, 'assessments', {
      caseId,
      plantingId,
      assessedOn: day(on),
      severity: 8,
      count: null,
      newGrowth: 'marked',
      nextAssessmentOn: null,
      note: '',
      ...change,
    });
  const counted = (on: number, partId: string, counts: number[]) =>
    look(on, { partId, counts, countedOn: 'plant', count: counts.reduce((sum, one) => sum + one, 0) });

  // Two plants on a side tell nothing, and it says so.
  await counted(seen, treated.id, [22, 30]);
  await counted(seen, alone.id, [31, 24]);
  await counted(seen + 6, treated.id, [4, 41]);
  await counted(seen + 6, alone.id, [60, 12]);
  await page.reload();
  const helped = page.getByRole('region', { name: 'Did it help?' });
  await expect(helped).toContainText('It cannot be told yet');
  await expect(helped).toContainText(/Count about \d+ on each side|more looks? of this size/);

  // Ten on each side do. The last plant is counted by hand.
  await counted(seen + 8, alone.id, [40, 52, 38, 61, 45, 50, 39, 47, 55, 42]);
  const form = page.getByRole('region', { name: 'Today’s look' });
  await form.getByLabel('Looked at', { exact: true }).click();
  await page.getByRole('option', { name: treatment }).click();
  await form.getByLabel('Looked on').fill(
    day(seen + 8)
      .split('-')
      .reverse()
      .join('/'),
  );
  await form.getByLabel('Looked on').press('Tab');
  for (const count of [2, 1, 0, 3, 2, 1, 2, 0, 1, 2]) {
    for (let i = 0; i < count; i++) await form.getByRole('button', { name: /^One more: On this/ }).click();
    await form.getByRole('button', { name: /^Next (leaf|plant|shoot)$/ }).click();
  }
  await expect(form.getByText('14 on 10: 1.4 on each.')).toBeVisible();
  await form.getByLabel('Look again on').fill('');
  await form.getByRole('button', { name: 'Log this look' }).click();
  await expect(page.getByText('14 on 10')).toBeVisible();
  await page.reload();
  await expect(helped).toContainText(
    /has 9\d % less than “Left alone”, between 9?\d+ % less and 9\d % less\. That is more than chance does\./,
  );

  // What hides comes out for three weeks; then two looks at every plant are enough, and the second is the day.
  await look(seen + 30, { count: 0, plantsLooked: 40, plantsMarked: 0, severity: 3, newGrowth: 'clean' });
  await page.reload();
  const gone = page.getByRole('region', { name: 'Gone?' });
  await expect(gone).toContainText('That it is gone: 91 in 100.');
  await look(seen + 37, { count: 0, plantsLooked: 40, plantsMarked: 0, severity: 2, newGrowth: 'clean' });
  await page.reload();
  await expect(gone).toContainText('You may believe it gone, since');
  await expect(gone).toContainText(String(Number(day(seen + 37).slice(8))));

  // Out of the house, and back on a server where nothing is.
  await goTo(page, 'Settings');
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Download the garden' }).click();
  const archive = await (await downloading).path();
  expect(readFileSync(archive).length).toBeGreaterThan(5000);
  await signUp(page, 'Ida Elsewhere', process.env['EMPTY_URL']);
  await page.getByLabel('Archive of a garden').setInputFiles(archive);
  await page.waitForURL(/\/g\/[^/]+\/today$/);
  await expect(page.getByText('Proving ground').first()).toBeVisible();
  const [restored] = /.*\/g\/[^/]+/.exec(page.url())!;
  await page.goto(`${restored}/cases/${caseId}/recovery`);
  await expect(gone).toContainText('You may believe it gone, since');
  await expect(helped).toContainText('That is more than chance does.');

  // This year’s warning.
  await goTo(page, 'Almanac');
  const due = page.getByRole('region', { name: 'When it comes' });
  await expect(due.getByRole('listitem').first()).toContainText(/Black bean aphid on broad bean.*Due .*by the calendar/s);
  await due.getByRole('button', { name: 'Put it on the list' }).click();
  await expect(page.getByRole('region', { name: 'Lessons, and next year’s list' })).toContainText(
    'Keep black bean aphid off the broad bean',
  );
});

test('a record for inspectors and the chart leave the house as files', async ({ page }) => {
  await newGarden(page, 'Pia Sedge', 'Filing ground');
  const placeId = await put(page, 'places', { name: 'Row', kind: 'bed', setting: 'outdoor', areaM2: 12, note: '', endedOn: null });
  const plantingId = await put(page, 'plantings', {
    placeId,
    setting: 'outdoor',
    host: 'leek',
    cultivar: '',
    plants: 40,
    rows: 2,
    plantedOn: day(-20),
    eaten: true,
    note: '',
  });
  for (const why of ['grubs in the fold', 'grubs again'])
    await put(page, 'applications', {
      intervention: 'hand-pick',
      appliedAt: `${day(-3)}T08:00:00Z`,
      targets: [{ plantingId, caseId: null, plants: 40, coveredPart: '' }],
      productMl: null,
      productG: null,
      productPieces: null,
      waterL: null,
      appliedBy: 'Pia Sedge',
      temperatureC: null,
      windKmh: null,
      sky: '',
      why,
    });
  await page.reload();
  await goTo(page, 'Log');
  await page.getByLabel('Search').fill('again');
  await expect(page.getByText('grubs in the fold')).toHaveCount(0);
  await page.getByRole('button', { name: 'Record as PDF' }).click();
  const made = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /inspector/ }).click();
  const pdf = await (await made).path();
  expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-');
  const harvest = page.getByRole('region', { name: 'Picked' });
  await harvest.getByLabel('Picked of').click();
  await page.getByRole('option', { name: /Leek/ }).click();
  await harvest.getByLabel('Kilograms').fill('2.5');
  await harvest.getByRole('button', { name: 'Write it down' }).click();
  await expect(harvest).toContainText('2.5 kg');

  await goTo(page, 'Chart');
  await page.getByRole('button', { name: 'Month' }).click();
  const canvas = page.getByRole('img', { name: /^Planting chart of 1 plantings?/ });
  await canvas.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Leek, Row. Enter opens it.')).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as SVG' }).click();
  const svg = readFileSync(await (await saved).path(), 'utf8');
  expect(svg).toMatch(/^<svg .*Leek.*<\/svg>$/s);
  await page.getByRole('button', { name: 'As a table' }).click();
  await expect(page.getByRole('row', { name: /Leek Row .* 2\.5 kg/ })).toBeVisible();
  await page.getByRole('button', { name: 'As a chart' }).click();
  await canvas.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.waitForURL(new RegExp(`/plantings/${plantingId}$`));
});
