import type { GardenContents } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import {
  application,
  assessment,
  bed,
  decision,
  drill,
  fresh,
  groundEvent,
  harvest,
  lesson,
  planting,
  removal,
  settings,
  sickness,
} from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const undo = (undoes: string, change: string = randomUUID()) =>
  garden.owner.send<{ record: { version: number } | null }>('post', `/api/v1/gardens/${garden.garden}/undo`, { change, undoes });
const contents = () => garden.owner.send<GardenContents>('get', `/api/v1/gardens/${garden.garden}`);
const placeNamed = async (id: string) => (await contents()).places.find((place) => place.id === id);

describe('a write', () => {
  test('is answered with the stored record, and read back the same', async () => {
    const place = await garden.add('places', bed);
    const plant = await garden.add('plantings', planting(place));
    const sick = await garden.add('cases', sickness(plant));
    const stored = await contents();
    expect(stored.places.find(({ id }) => id === place)).toEqual({ ...bed, id: place, version: 1 });
    expect(stored.plantings.find(({ id }) => id === plant)).toEqual({ ...planting(place), id: plant, version: 1 });
    expect(stored.cases.find(({ id }) => id === sick)).toEqual({ ...sickness(plant), id: sick, version: 1 });
  });

  test('of every kind of record is kept', async () => {
    const place = await garden.add('places', bed);
    const plant = await garden.add('plantings', planting(place));
    const sick = await garden.add('cases', sickness(plant));
    const ids = [
      await garden.add('decisions', decision(sick)),
      await garden.add('applications', application(plant, sick)),
      await garden.add('assessments', assessment(sick, plant)),
      await garden.add('harvests', harvest(plant)),
      await garden.add('lessons', lesson),
      await garden.add('groundEvents', groundEvent(place)),
      await garden.add('removals', removal(sick, plant)),
      await garden.add('drills', drill),
    ];
    const { decisions, applications, assessments, harvests, lessons, groundEvents, removals, drills } = await contents();
    const stored = [...decisions, ...applications, ...assessments, ...harvests, ...lessons, ...groundEvents, ...removals, ...drills];
    expect(stored.map(({ id }) => id)).toEqual(expect.arrayContaining(ids));
    const read = <T extends { readonly id: string }>(list: readonly T[], id: string | undefined) => list.find((one) => one.id === id);
    expect(read(assessments, ids[2])).toEqual({ ...assessment(sick, plant), id: ids[2], version: 1 });
    expect(read(harvests, ids[3])).toEqual({ ...harvest(plant), id: ids[3], version: 1 });
    expect(read(lessons, ids[4])).toEqual({ ...lesson, id: ids[4], version: 1 });
    expect(read(removals, ids[6])).toEqual({ ...removal(sick, plant), id: ids[6], version: 1 });
    expect(read(drills, ids[7])).toEqual({ ...drill, id: ids[7], version: 1 });
    expect(read(groundEvents, ids[5])).toEqual({ ...groundEvent(place), id: ids[5], version: 1 });
  });

  test('sent twice counts once', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    const first = await garden.owner.send('put', garden.path('places', id), body);
    expect(await garden.owner.send('put', garden.path('places', id), body)).toEqual(first);
    expect(first).toMatchObject({ id, version: 1 });
  });

  test('sent twice at the same moment counts once', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    const answers = await Promise.allSettled([1, 2, 3].map(() => garden.owner.send('put', garden.path('places', id), body)));
    expect(answers.some(({ status }) => status === 'fulfilled')).toBe(true);
    expect(await garden.owner.send('put', garden.path('places', id), body)).toMatchObject({ version: 1 });
  });

  test('under a change id that was used for another record is refused', async () => {
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', randomUUID()), body);
    expect(await refused(garden.owner.send('put', garden.path('places', randomUUID()), body))).toContain('change-id-used');
  });

  test('from a stale version is refused, with the record as it stands', async () => {
    const id = await garden.add('places', bed);
    const answer = await refused(garden.member.send('put', garden.path('places', id), fresh({ ...bed, name: 'Other' })));
    expect(answer).toContain('409');
    expect(answer).toContain('changed-elsewhere');
    expect(answer).toContain('"current":{');
    expect((await placeNamed(id))?.name).toBe('Bed');
  });

  test('of a change gives the next version', async () => {
    const id = await garden.add('places', bed);
    const change = { change: randomUUID(), version: 1, value: { ...bed, name: 'Long bed' } };
    expect(await garden.member.send('put', garden.path('places', id), change)).toMatchObject({ name: 'Long bed', version: 2 });
  });
});

describe('undo', () => {
  test('takes an added record away, and undo of that brings it back', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', id), body);
    const taken = randomUUID();
    expect((await undo(body.change, taken)).record).toBeNull();
    expect(await placeNamed(id)).toBeUndefined();
    expect((await undo(taken)).record).toMatchObject({ name: 'Bed' });
    expect((await placeNamed(id))?.name).toBe('Bed');
  });

  test('brings the record before back, under a new version', async () => {
    const id = await garden.add('places', bed);
    const change = { change: randomUUID(), version: 1, value: { ...bed, name: 'Wrong' } };
    await garden.owner.send('put', garden.path('places', id), change);
    expect((await undo(change.change)).record).toMatchObject({ name: 'Bed', version: 3 });
  });

  test('sent twice counts once', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', id), body);
    const change = randomUUID();
    const first = await undo(body.change, change);
    expect(await undo(body.change, change)).toEqual(first);
  });

  test('is refused while others hang on the record', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', id), body);
    await garden.add('plantings', planting(id));
    expect(await refused(undo(body.change))).toContain('in-use');
  });

  test('is refused once the record has changed again', async () => {
    const id = randomUUID();
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', id), body);
    await garden.owner.send('put', garden.path('places', id), { change: randomUUID(), version: 1, value: { ...bed, name: 'Later' } });
    expect(await refused(undo(body.change))).toContain('changed-since');
  });

  test('of a change that never was is refused', async () => {
    expect(await refused(undo(randomUUID()))).toContain('404');
  });

  test('is told in the list of changes', async () => {
    const body = fresh(bed);
    await garden.owner.send('put', garden.path('places', randomUUID()), body);
    await undo(body.change);
    const [newest, before] = await garden.viewer.send<{ kind: string; by: string }[]>('get', `/api/v1/gardens/${garden.garden}/changes`);
    expect([newest, before]).toMatchObject([
      { kind: 'undone', by: 'owner' },
      { kind: 'added', by: 'owner' },
    ]);
  });
});

describe('an application', () => {
  test('carries the times that must be waited for', async () => {
    const plant = await garden.add('plantings', planting(await garden.add('places', bed)));
    const sent = garden.owner.send('put', garden.path('applications', randomUUID()), fresh(application(plant)));
    expect(await sent).toMatchObject({
      reEntryAt: '2026-07-19T18:00:00.000Z',
      targets: [{ notPickedBefore: '2026-07-31' }],
      repeatFrom: '2026-07-24',
    });
  });

  test('of a plant that is not eaten has no harvest to wait for', async () => {
    const plant = await garden.add('plantings', { ...planting(await garden.add('places', bed)), host: 'rose', eaten: false });
    expect(await garden.owner.send('put', garden.path('applications', randomUUID()), fresh(application(plant)))).toMatchObject({
      targets: [{ notPickedBefore: null }],
    });
  });

  test('that is still to come is not logged', async () => {
    const plant = await garden.add('plantings', planting(await garden.add('places', bed)));
    const value = { ...application(plant), appliedAt: '2026-07-19T18:00:00Z' };
    expect(await refused(garden.owner.send('put', garden.path('applications', randomUUID()), fresh(value)))).toContain('in-future');
  });
});

describe('bad input is refused with 400 and says where', () => {
  test.each([
    ['an unknown plant', 'plantings', { ...planting(randomUUID()), host: 'triffid' }, 'host'],
    ['a place that is not there', 'plantings', planting(randomUUID()), 'placeId'],
    ['an unknown field', 'places', { ...bed, colour: 'red' }, 'colour'],
    ['an empty name', 'places', { ...bed, name: ' ' }, 'name'],
    [
      'an unknown sign',
      'cases',
      { ...sickness(randomUUID()), findings: [{ sign: 'glitter', state: 'seen', source: 'tap', phrase: null, on: '2026-07-10' }] },
      'sign',
    ],
    [
      'an unknown cause',
      'cases',
      { ...sickness(randomUUID()), diagnoses: [{ on: '2026-07-10', conditions: ['gloom'], why: '' }] },
      'conditions',
    ],
    ['no plants', 'plantings', { ...planting(randomUUID()), plants: 0 }, 'plants'],
    ['a day that is none', 'plantings', { ...planting(randomUUID()), plantedOn: '2026-02-30' }, 'plantedOn'],
    ['a harvest below nothing', 'harvests', { ...harvest(randomUUID()), kg: -1 }, 'kg'],
    ['nothing that is taken out', 'removals', { ...removal(randomUUID(), randomUUID()), plants: 0 }, 'plants'],
    ['a drill without a question', 'drills', { ...drill, answers: [] }, 'answers'],
    ['a lesson without words', 'lessons', { ...lesson, text: ' ' }, 'text'],
    [
      'a test of the ground for nothing',
      'groundEvents',
      { ...groundEvent(randomUUID()), kind: 'tested-clean', condition: null },
      'condition',
    ],
    ['a trouble that nobody knows', 'groundEvents', { ...groundEvent(randomUUID()), condition: 'moonlight' }, 'condition'],
    ['more than all of the plant', 'assessments', { ...assessment(randomUUID(), randomUUID()), severity: 101 }, 'severity'],
    ['an unknown treatment', 'decisions', { ...decision(randomUUID()), intervention: 'moonlight' }, 'intervention'],
    ['a decision for what is ruled out', 'decisions', { ...decision(randomUUID()), verdict: 'ruled-out' }, 'verdict'],
    ['a case that is not there', 'decisions', decision(randomUUID()), 'caseId'],
  ] as const)('%s', async (_, subject, value, field) => {
    const answer = await refused(garden.owner.send('put', garden.path(subject, randomUUID()), fresh(value)));
    expect(answer).toContain('refused with 400');
    expect(answer).toContain(`"${field}"`);
  });

  test('an end before the beginning', async () => {
    const value = { ...planting(await garden.add('places', bed)), events: [{ kind: 'ended', on: '2026-04-01' }] };
    expect(await refused(garden.owner.send('put', garden.path('plantings', randomUUID()), fresh(value)))).toContain('"events"');
  });

  test('a closed case without an outcome', async () => {
    const plant = await garden.add('plantings', planting(await garden.add('places', bed)));
    const value = { ...sickness(plant), closedOn: '2026-07-12' };
    expect(await refused(garden.owner.send('put', garden.path('cases', randomUUID()), fresh(value)))).toContain('"outcome"');
  });

  test('a garden in a time zone that is none', async () => {
    const bad = { id: randomUUID(), settings: { ...settings, timeZone: 'Reach/Nowhere' } };
    expect(await refused(garden.owner.send('post', '/api/v1/gardens', bad))).toContain('timeZone');
  });

  test('what is no JSON, and what is far too long', async () => {
    const status = async (body: string) =>
      (await fetch(`${server.address}/api/v1/calc/mix`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body })).status;
    expect(await status('{"rate": ')).toBe(400);
    expect(await status(JSON.stringify({ text: 'x'.repeat(3_000_000) }))).toBe(413);
  });
});

describe('two gardens', () => {
  test('never see or touch each other’s records', async () => {
    const other = randomUUID();
    await garden.stranger.send('post', '/api/v1/gardens', { id: other, settings });
    const id = await garden.add('places', bed);
    // The same id in another garden is another record.
    await garden.stranger.send('put', `/api/v1/gardens/${other}/places/${id}`, fresh({ ...bed, name: 'Theirs' }));
    expect((await placeNamed(id))?.name).toBe('Bed');
    const plant = fresh(planting(id));
    await garden.stranger.send('put', `/api/v1/gardens/${other}/plantings/${randomUUID()}`, plant);
    const ours = await garden.add('places', { ...bed, name: 'Ours alone' });
    expect(
      await refused(garden.stranger.send('put', `/api/v1/gardens/${other}/plantings/${randomUUID()}`, fresh(planting(ours)))),
    ).toContain('placeId');
  });
});

test('what a record said before is kept, and told by who wrote it', async () => {
  const place = await garden.add('places', bed);
  const corrected = { ...fresh({ ...bed, name: 'Corrected' }), version: 1 };
  await garden.owner.send('put', garden.path('places', place), corrected);
  await undo(corrected.change);
  const path = `/api/v1/gardens/${garden.garden}/records/${place}/versions`;
  const versions = await garden.adviser.send<{ version: number; by: string; isUndo: boolean; record: { name: string } }[]>('get', path);
  expect(versions.map(({ version, isUndo, record }) => [version, isUndo, record.name])).toEqual([
    [1, false, 'Bed'],
    [2, false, 'Corrected'],
    [3, true, 'Bed'],
  ]);
  expect(await garden.owner.send('get', path.replace(place, randomUUID()))).toEqual([]);
  expect(await garden.stranger.status('get', path)).toBe(404);
});
