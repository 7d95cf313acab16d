import type { Subject } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { application, bed, decision, fresh, planting, settings, sprayer, testSpray, sickness } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// The server judges by itself: what a page showed, or a script left out, changes nothing.

let server: TestServer;
let garden: TestGarden;
let place: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  place = await garden.add('places', bed);
}, 60_000);
afterAll(() => server.stop());

const put = <T = Record<string, unknown>>(subject: Subject, value: object, id = randomUUID(), version = 0) =>
  garden.owner.send<T>('put', garden.path(subject, id), { ...fresh(value), version });

const change = (to: Partial<typeof settings>) => garden.owner.send('put', `/api/v1/gardens/${garden.garden}`, { ...settings, ...to });

describe('a decision', () => {
  let sick: string;
  beforeAll(async () => {
    sick = await garden.add('cases', sickness(await garden.add('plantings', planting(place))));
  });

  test('bears the server’s verdict and its reasons', async () => {
    const stored = await put<{ reasons: { code: string; text: string }[] }>('decisions', decision(sick));
    expect(stored).toMatchObject({ verdict: 'care', weather: null });
    expect(stored.reasons.find(({ code }) => code === 'harvest-close')?.text).toContain('14 days');
  });

  test('with a verdict of its own is no decision', async () => {
    expect(await refused(put('decisions', { ...decision(sick), verdict: 'fits' }))).toMatch(/400/);
  });

  test('for what is ruled out is refused with the lines that rule it out', async () => {
    const soon = await garden.add('plantings', {
      ...planting(place),
      events: [{ kind: 'harvest', on: '2026-07-12', until: null }],
    });
    const other = await garden.add('cases', sickness(soon));
    expect(await refused(put('decisions', decision(other)))).toMatch(/422.*ruled-out.*harvest/);
  });

  test('goes by the weather that was said, and keeps it', async () => {
    const weather = { temperatureC: 31, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null };
    expect(await refused(put('decisions', { ...decision(sick), weather }))).toMatch(/422.*too-hot/);
    const mild = { ...weather, temperatureC: 18 };
    expect(await put('decisions', { ...decision(sick), weather: mild })).toMatchObject({ weather: mild });
  });

  test('before anything is known of the trouble, or for what does nothing about it, is refused', async () => {
    const plant = await garden.add('plantings', planting(place));
    const unknown = await garden.add('cases', { ...sickness(plant), diagnoses: [] });
    expect(await refused(put('decisions', decision(unknown)))).toMatch(/422.*no-diagnosis/);
    expect(await refused(put('decisions', { ...decision(sick), intervention: 'earwig-pots' }))).toMatch(/400.*no-effect/);
  });

  test('goes by the stance and the views of the case before those of the garden', async () => {
    const plant = await garden.add('plantings', planting(place));
    const byHand = await garden.add('cases', { ...sickness(plant), stance: 'hands' });
    expect(await refused(put('decisions', decision(byHand)))).toMatch(/422.*stance/);
    const schools = [{ question: 'blight-tubers', view: 'Leave them' }];
    const leave = await garden.add('cases', { ...sickness(plant), schools });
    expect(await refused(put('decisions', { ...decision(leave), intervention: 'cut-haulm' }))).toMatch(/422.*school/);
    await change({ schools });
    const other = await garden.add('cases', sickness(plant));
    expect(await refused(put('decisions', { ...decision(other), intervention: 'cut-haulm' }))).toMatch(/422.*school/);
    await change({});
    expect(await put('decisions', { ...decision(other), intervention: 'cut-haulm' })).toMatchObject({
      verdict: expect.any(String) as string,
    });
  });

  test('for what marked the test leaves is refused, and bears that a test is waited for', async () => {
    const plant = await garden.add('plantings', planting(place));
    const sick = await garden.add('cases', sickness(plant));
    const id = randomUUID();
    const test = await put<{ version: number }>('testSprays', testSpray(plant), id);
    const waits = await put<{ reasons: { code: string }[] }>('decisions', decision(sick));
    expect(waits.reasons.map(({ code }) => code)).toContain('test-waits');
    await put('testSprays', { ...testSpray(plant), outcome: 'marked' }, id, test.version);
    expect(await refused(put('decisions', decision(sick)))).toMatch(/422.*test-marked/);
  });

  test('behind a suspect that must be reported nothing is decided', async () => {
    const pear = await garden.add('plantings', { ...planting(place), host: 'pear' });
    const suspect = await garden.add('cases', {
      ...sickness(pear),
      diagnoses: [{ on: '2026-07-10', conditions: ['fire-blight'], why: '' }],
    });
    await change({ region: 'tidal-march' });
    expect(await refused(put('decisions', { ...decision(suspect), intervention: 'cut-out-shoots' }))).toMatch(/422.*notifiable/);
    await change({});
  });

  test('a second use within the interval is refused, and the season counts from where the garden says', async () => {
    const plant = await garden.add('plantings', planting(place));
    const again = await garden.add('cases', sickness(plant));
    await put('applications', { ...application(plant, again), appliedAt: '2026-07-08T08:00:00Z' });
    expect(await refused(put('decisions', decision(again)))).toMatch(/422.*too-soon/);
    for (const day of ['2026-05-10', '2026-05-20', '2026-06-01', '2026-06-20'])
      await put('applications', { ...application(plant, again), appliedAt: `${day}T08:00:00Z` });
    const late = { ...decision(again), decidedOn: '2026-07-17' };
    expect(await refused(put('decisions', late))).toMatch(/422.*season-max/);
    await change({ seasonStart: '07-01' });
    expect(await put('decisions', late)).toMatchObject({ verdict: 'care' });
    await change({});
  });
});

describe('an application', () => {
  test('is one record over several plantings, each with its own day to wait for', async () => {
    const [eaten, cut] = [
      await garden.add('plantings', planting(place)),
      await garden.add('plantings', { ...planting(place), host: 'rose', eaten: false }),
    ];
    const value = application(eaten);
    const targets = [value.targets[0], { ...value.targets[0], plantingId: cut, plants: 1 }];
    expect(await put('applications', { ...value, targets })).toMatchObject({
      targets: [
        { plantingId: eaten, notPickedBefore: '2026-07-31' },
        { plantingId: cut, notPickedBefore: null },
      ],
      card: { name: 'Copper hydroxide', source: 'typical', preHarvestDays: 14 },
    });
  });

  test('past its card is kept, with the lines that it broke, on the planting that it broke them on', async () => {
    const plant = await garden.add('plantings', { ...planting(place), setting: 'indoor' });
    const other = await garden.add('plantings', planting(place));
    await put('applications', { ...application(plant), appliedAt: '2026-07-12T18:00:00Z' });
    const value = application(plant);
    const targets = [value.targets[0]!, { ...value.targets[0]!, plantingId: other }];
    const { brokenLines } = await put<{ brokenLines: { line: string; plantingId: string; text: string }[] }>('applications', {
      ...value,
      targets,
    });
    expect(brokenLines).toContainEqual({
      line: 'interval',
      plantingId: plant,
      text: 'The card asks for 7 days between two, and the last was 5 days before.',
    });
    expect(brokenLines.filter(({ plantingId }) => plantingId === other)).toEqual([]);
  });

  test('that is corrected is not held against itself, nor taken over by who corrects it', async () => {
    const plant = await garden.add('plantings', planting(place));
    const id = randomUUID();
    const first = await put<{ personId: string; version: number }>('applications', application(plant), id);
    const corrected = await garden.member.send<{ personId: string; brokenLines: unknown[] }>('put', garden.path('applications', id), {
      ...fresh({ ...application(plant), why: 'blight, second look' }),
      version: first.version,
    });
    expect(corrected.brokenLines).toEqual([]);
    expect(corrected.personId).toBe(first.personId);
  });

  test('is judged on the planting as it stood that day, and in the weather of that hour', async () => {
    const plant = await garden.add('plantings', {
      ...planting(place),
      events: [{ kind: 'flowering', on: '2026-07-10', until: '2026-07-16' }],
    });
    const hours = [{ at: '2026-07-17T18:00:00.000Z', temperatureC: 30, humidityPercent: 60, rainMm: 0, windKmh: 4 }];
    await garden.owner.send('post', `/api/v1/gardens/${garden.garden}/weather/files`, { id: randomUUID(), name: 'July', hours });
    const stored = await put<{ brokenLines: { line: string }[] }>('applications', {
      ...application(plant),
      appliedAt: '2026-07-17T18:20:00Z',
    });
    expect(stored).toMatchObject({ measured: { temperatureC: 30, humidityPercent: 60, rainMm: 0, windKmh: 4 } });
    expect(stored.brokenLines.map(({ line }) => line)).toEqual(['temperature']);
  });
});

describe('a sprayer', () => {
  test('is kept with what was measured of it', async () => {
    expect(await put('sprayers', sprayer)).toMatchObject({ ...sprayer, version: 1 });
  });

  test.each<[string, object, RegExp]>([
    ['how far without how wide', { metres: 40, widthM: null }, /400.*how far and how wide/],
    ['nothing that it went over', { seconds: null, metres: null, widthM: null }, /400.*say how long/],
    ['no water', { litres: 0 }, /400/],
  ])('measured with %s is refused', async (_, wrong, words) => {
    const calibrations = [{ ...sprayer.calibrations[0]!, ...wrong }];
    expect(await refused(put('sprayers', { ...sprayer, calibrations }))).toMatch(words);
  });
});

test('test leaves are looked at after they were sprayed', async () => {
  const plant = await garden.add('plantings', planting(place));
  expect(await refused(put('testSprays', { ...testSpray(plant), lookOn: '2026-07-10' }))).toMatch(/400.*a day after/);
});
