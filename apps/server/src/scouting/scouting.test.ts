import type { GardenContents } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { bed, preventionTask, fresh, leafMeasurement, ownThreshold, planting, round, stop, trap, trapCatch } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
let place: string;
let plant: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  place = await garden.add('places', bed);
  plant = await garden.add('plantings', planting(place));
}, 60_000);
afterAll(() => server.stop());

const contents = () => garden.owner.send<GardenContents>('get', `/api/v1/gardens/${garden.garden}`);
const put = (subject: Parameters<TestGarden['path']>[0], value: unknown) =>
  garden.owner.send<Record<string, unknown>>('put', garden.path(subject, randomUUID()), fresh(value));

test('every kind of record of the round is read back as it was written', async () => {
  const card = await garden.add('traps', trap(place));
  const walk = await garden.add('scoutingRounds', round([plant]));
  const ids = {
    traps: card,
    catches: await garden.add('catches', trapCatch(card)),
    scoutingRounds: walk,
    stops: await garden.add('stops', stop(walk, plant)),
    leafMeasurements: await garden.add('leafMeasurements', leafMeasurement(plant)),
    preventionTasks: await garden.add('preventionTasks', preventionTask(place)),
    thresholds: await garden.add('thresholds', ownThreshold),
  };
  const stored = await contents();
  const found = (subject: keyof typeof ids) => stored[subject].find(({ id }) => id === ids[subject]);
  expect(found('traps')).toEqual({ ...trap(place), id: card, version: 1 });
  expect(found('catches')).toEqual({ ...trapCatch(card), id: ids.catches, version: 1 });
  expect(found('scoutingRounds')).toEqual({ ...round([plant]), id: walk, version: 1, clockMended: false });
  expect(found('stops')).toEqual({ ...stop(walk, plant), id: ids.stops, version: 1, clockMended: false });
  expect(found('leafMeasurements')).toEqual({ ...leafMeasurement(plant), id: ids.leafMeasurements, version: 1 });
  expect(found('preventionTasks')).toEqual({ ...preventionTask(place), id: ids.preventionTasks, version: 1 });
  expect(found('thresholds')).toEqual({ ...ownThreshold, id: ids.thresholds, version: 1 });
});

test('the same stop sent twice, at once or later, is one stop', async () => {
  const walk = await garden.add('scoutingRounds', round([plant]));
  const id = randomUUID();
  const body = fresh(stop(walk, plant));
  await Promise.allSettled([1, 2, 3].map(() => garden.owner.send('put', garden.path('stops', id), body)));
  expect(await garden.owner.send('put', garden.path('stops', id), body)).toMatchObject({ id, version: 1 });
  expect((await contents()).stops.filter((one) => one.id === id)).toHaveLength(1);
});

describe('a wrong clock', () => {
  const tomorrow = '2026-07-19T12:00:00.000Z';
  const now = '2026-07-18T09:30:00.000Z';

  test('that is ahead loses nothing: the time is taken as now, and said so', async () => {
    const ahead = await put('scoutingRounds', { ...round([plant]), startedAt: tomorrow });
    expect(ahead).toMatchObject({ startedAt: now, clockMended: true });
    expect(await put('stops', { ...stop(String(ahead['id']), plant), lookedAt: tomorrow })).toMatchObject({
      lookedAt: now,
      clockMended: true,
      sample: [0, 0, 1],
    });
    expect(await put('leafMeasurements', { ...leafMeasurement(null), measuredAt: tomorrow })).toMatchObject({ measuredAt: now });
  });

  test('that was set back during the round ends it no earlier than it began', async () => {
    const ended = await put('scoutingRounds', { ...round([plant]), endedAt: '2026-07-18T07:00:00.000Z' });
    expect(ended).toMatchObject({ startedAt: '2026-07-18T08:00:00.000Z', endedAt: '2026-07-18T08:00:00.000Z' });
  });

  test('a minute ahead is no wrong clock', async () => {
    expect(await put('scoutingRounds', { ...round([plant]), startedAt: '2026-07-18T09:31:00.000Z' })).toMatchObject({ clockMended: false });
  });
});

describe('what can not be', () => {
  const walk = () => garden.add('scoutingRounds', round([plant]));

  test('references to nothing name their field', async () => {
    const nothing = randomUUID();
    expect(await refused(put('stops', stop(nothing, plant)))).toMatch(/400.*roundId/);
    expect(await refused(put('stops', stop(await walk(), nothing)))).toMatch(/400.*plantingId/);
    expect(await refused(put('stops', { ...stop(await walk(), plant), caseId: nothing }))).toMatch(/400.*caseId/);
    expect(await refused(put('catches', trapCatch(nothing)))).toMatch(/400.*trapId/);
    expect(await refused(put('traps', trap(nothing)))).toMatch(/400.*placeId/);
    expect(await refused(put('preventionTasks', preventionTask(nothing)))).toMatch(/400.*placeId/);
    expect(await refused(put('leafMeasurements', leafMeasurement(nothing)))).toMatch(/400.*plantingId/);
  });

  test('entries that the library does not hold', async () => {
    expect(await refused(put('stops', { ...stop(await walk(), plant), signs: ['no-such-sign'] }))).toMatch(/unknown-entry/);
    expect(await refused(put('stops', { ...stop(await walk(), plant), target: 'no-such-trouble' }))).toMatch(/unknown-entry/);
    expect(await refused(put('traps', { ...trap(place), target: 'no-such-trouble' }))).toMatch(/unknown-entry/);
    expect(await refused(put('preventionTasks', { ...preventionTask(place), task: 'no-such-task' }))).toMatch(/unknown-entry/);
    expect(await refused(put('thresholds', { ...ownThreshold, condition: 'no-such-trouble' }))).toMatch(/unknown-entry/);
  });

  test('more rows than plants, negative counts, spots out of order, a shape without size', async () => {
    expect(await refused(put('plantings', { ...planting(place), plants: 3, rows: 4 }))).toMatch(/400.*rows/);
    expect(await refused(put('stops', { ...stop(await walk(), plant), sample: [-1] }))).toMatch(/400/);
    const spots = [
      { from: '2026-07-08', name: 'b', x: null, y: null },
      { from: '2026-07-01', name: 'a', x: null, y: null },
    ];
    expect(await refused(put('traps', { ...trap(place), spots }))).toMatch(/400.*in order/);
    expect(await refused(put('places', { ...bed, shape: { kind: 'circle', x: 0, y: 0, radius: 0 } }))).toMatch(/400.*radius/);
  });
});
