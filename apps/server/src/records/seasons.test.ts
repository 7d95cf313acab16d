import type { GardenContents, NewerRecords, SeasonContents, Written } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { application, assessment, bed, decision, fresh, planting, preventionTask, round, sickness, stop, trap } from '../testRecords';
import { refused, startGarden, startTestServer, wholeGarden } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// A garden of two seasons: the day is 18 July 2026.

let server: TestServer;
let garden: TestGarden;
let path: string;
let place: string;
const ids: Record<string, string> = {};
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  path = `/api/v1/gardens/${garden.garden}`;
  place = await garden.add('places', bed);
  const grown = (value: Partial<Written<'plantings'>>) => garden.add('plantings', { ...planting(place), ...value });
  ids['tree'] = await grown({ plantedOn: '2019-02-01', host: 'apple' });
  ids['gone'] = await grown({ plantedOn: '2025-04-01', events: [{ kind: 'ended', on: '2025-09-01' }] });
  ids['now'] = await grown({ plantedOn: '2026-05-01' });
  const past = {
    ...sickness(ids['gone']),
    openedOn: '2025-06-10',
    findings: [],
    diagnoses: [{ on: '2025-06-10', conditions: ['late-blight'], why: '' }],
    closedOn: '2025-07-01',
    outcome: 'lost' as const,
  };
  ids['pastCase'] = await garden.add('cases', past);
  ids['openCase'] = await garden.add('cases', { ...sickness(ids['tree']), openedOn: '2025-10-01', diagnoses: [], findings: [] });
  ids['pastLook'] = await garden.add('assessments', { ...assessment(ids['pastCase'], ids['gone']), assessedOn: '2025-06-20' });
  ids['openLook'] = await garden.add('assessments', { ...assessment(ids['openCase'], ids['tree']), assessedOn: '2025-10-09' });
  ids['pastSpray'] = await garden.add('applications', { ...application(ids['gone'], ids['pastCase']), appliedAt: '2025-06-11T08:00:00Z' });
  ids['lateSpray'] = await garden.add('applications', { ...application(ids['tree']), appliedAt: '2025-11-20T08:00:00Z' });
  for (const [name, at] of [
    ['past', '2025-06-01'],
    ['now', '2026-06-01'],
    ['late', '2026-07-15'],
  ] as const) {
    ids[`${name}Round`] = await garden.add('scoutingRounds', {
      ...round([ids['tree']]),
      startedAt: `${at}T08:00:00Z`,
      endedAt: `${at}T09:00:00Z`,
    });
    ids[`${name}Stop`] = await garden.add('stops', { ...stop(ids[`${name}Round`]!, ids['tree']), lookedAt: `${at}T08:05:00Z` });
  }
  ids['pastTask'] = await garden.add('preventionTasks', { ...preventionTask(place), doneOn: '2025-03-01' });
  ids['lastTask'] = await garden.add('preventionTasks', { ...preventionTask(place), doneOn: '2025-08-01' });
  ids['trap'] = await garden.add('traps', trap(place));
}, 60_000);
afterAll(() => server.stop());

const contents = () => garden.owner.send<GardenContents>('get', path);
const season = (day: string) => garden.owner.send<SeasonContents>('get', `${path}/seasons/${day}`);
const held = (lists: object) =>
  Object.entries(ids)
    .filter(([, id]) =>
      Object.entries(lists).some(
        ([name, list]) => name !== 'pastCases' && Array.isArray(list) && list.some((one: { id: string }) => one.id === id),
      ),
    )
    .map(([name]) => name)
    .sort();

test('the running season comes with what is open, and with what reaches into it', async () => {
  const now = await contents();
  expect(held(now)).toEqual(['lastTask', 'lateRound', 'lateSpray', 'lateStop', 'now', 'openCase', 'openLook', 'trap', 'tree']);
  expect([now.season, now.firstSeason]).toEqual([{ from: '2026-01-01', to: '2026-12-31' }, '2025-01-01']);
});

test('of older stops come the last at each planting, those of a round under way, and those where something is held apart', async () => {
  const round1 = await garden.add('scoutingRounds', {
    ...round([ids['now']!]),
    startedAt: '2026-06-20T08:00:00Z',
    endedAt: '2026-06-20T09:00:00Z',
  });
  const stopAt = (walk: string, plant: string, at: string) => garden.add('stops', { ...stop(walk, plant), lookedAt: at });
  const last = await stopAt(round1, ids['now']!, '2026-06-20T08:05:00Z');
  await stopAt(round1, ids['now']!, '2026-06-20T08:01:00Z');
  const apart = await garden.add('plantings', {
    ...planting(place),
    quarantine: { from: '2026-06-01', days: 30, looks: 2, releasedOn: null },
  });
  const clean = [await stopAt(round1, apart, '2026-06-19T08:00:00Z'), await stopAt(round1, apart, '2026-06-10T08:00:00Z')];
  const going = await garden.add('scoutingRounds', { ...round([ids['now']!]), startedAt: '2026-06-25T08:00:00Z' });
  const gone = await stopAt(going, ids['tree']!, '2026-06-25T08:05:00Z');
  const { stops, scoutingRounds } = await contents();
  expect(stops.map(({ id }) => id).sort()).toEqual([last, ...clean, gone, ids['lateStop']].sort());
  expect(scoutingRounds.map(({ id }) => id).sort()).toEqual([going, ids['lateRound']].sort());
  // The season itself has them all.
  expect((await season('2026-06-01')).stops).toHaveLength(7);
  const { version, ...value } = scoutingRounds.find(({ id }) => id === going)!;
  const { id: _, clockMended: __, ...written } = value;
  await garden.owner.send('put', garden.path('scoutingRounds', going), {
    ...fresh({ ...written, endedAt: '2026-06-25T09:00:00Z' }),
    version,
  });
});

test('a case of an earlier season comes in a line, where it was and what it was taken for', async () => {
  expect((await contents()).pastCases).toEqual([
    {
      id: ids['pastCase'],
      plantingId: ids['gone'],
      placeId: place,
      host: 'potato',
      openedOn: '2025-06-10',
      closedOn: '2025-07-01',
      conditions: ['late-blight'],
    },
  ]);
});

test('an older season comes whole, by any of its days', async () => {
  const older = await season('2025-09-30');
  expect(held(older)).toEqual(
    [
      'gone',
      'lateSpray',
      'lastTask',
      'openCase',
      'openLook',
      'pastCase',
      'pastLook',
      'pastRound',
      'pastSpray',
      'pastStop',
      'pastTask',
      'trap',
      'tree',
    ].sort(),
  );
  expect(await season('2025-01-01')).toEqual(older);
  expect(held(await season('2020-06-01'))).toEqual(['trap', 'tree']);
});

test('all seasons together are the whole garden, each record once', async () => {
  const running = await season('2026-07-01');
  expect([...new Set([...held(await wholeGarden(garden.owner, path)), ...held(running)])].sort()).toEqual(Object.keys(ids).sort());
});

test('where a season begins elsewhere, it is that one', async () => {
  const settings = { ...(await contents()).garden };
  const { id: _, role: __, fixedNow: ___, ...rest } = settings;
  await garden.owner.send('put', path, { ...rest, seasonStart: '07-01' });
  const now = await contents();
  expect(now.season).toEqual({ from: '2026-07-01', to: '2027-06-30' });
  expect(held(now)).not.toContain('lateSpray');
  await garden.owner.send('put', path, rest);
});

test('a device asks for what came since, and gets each record once, as it stands', async () => {
  const { sequence } = await contents();
  const since = (from: number) => garden.owner.send<NewerRecords>('get', `${path}/records?since=${from}`);
  expect(await since(sequence)).toMatchObject({ sequence, whole: false, records: [] });
  const id = randomUUID();
  await garden.owner.send('put', garden.path('places', id), fresh(bed));
  const body = { ...fresh({ ...bed, name: 'Long bed' }), version: 1 };
  await garden.owner.send('put', garden.path('places', id), body);
  const sick = await garden.add('decisions', decision(await garden.add('cases', sickness(ids['now']!))));
  const newer = await since(sequence);
  expect(newer.sequence).toBe(sequence + 4);
  expect(newer.records.filter((one) => one.id === id)).toMatchObject([{ subject: 'places', record: { name: 'Long bed', version: 2 } }]);
  expect(newer.records.find((one) => one.id === sick)!.record).toEqual((await contents()).decisions.find((one) => one.id === sick));
  await garden.owner.send('post', `${path}/undo`, { change: randomUUID(), undoes: body.change });
  expect((await since(newer.sequence)).records).toMatchObject([{ id, record: { name: 'Bed', version: 3 } }]);
});

test('a device that is far behind is told to fetch the season anew', async () => {
  const { sequence } = await contents();
  const at = (last: number) => server.pool.query('update gardens set last_sequence = $2 where id = $1', [garden.garden, last]);
  await at(sequence + 2001);
  expect(await garden.owner.send('get', `${path}/records?since=${sequence}`)).toMatchObject({ whole: true, records: [] });
  await at(sequence);
});

test('a record tells a day of its season; one that is not there has none', async () => {
  const dayOf = (id: string) => garden.owner.send<{ day: string }>('get', `${path}/records/${id}/day`);
  expect(await dayOf(ids['pastCase']!)).toEqual({ day: '2025-06-10' });
  expect(await dayOf(ids['pastSpray']!)).toEqual({ day: '2025-06-11' });
  expect(await refused(dayOf(randomUUID()))).toMatch(/404/);
});

test.each(['records?since=-1', 'records?since=x', 'records', 'seasons/2025-13-01', 'seasons/yesterday', 'records/x/day'])(
  '%s is refused in words',
  async (address) => {
    expect(await refused(garden.owner.send('get', `${path}/${address}`))).toMatch(/was refused with 400/);
  },
);
