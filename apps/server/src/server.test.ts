import { randomUUID } from 'node:crypto';
import { ApiClient } from './demo/apiClient';
import { startTestServer } from './testServer';

let server: Awaited<ReturnType<typeof startTestServer>>;
let owner: ApiClient;
let stranger: ApiClient;
let viewer: ApiClient;
const garden = randomUUID();
const settings = {
  name: 'Test bed',
  latitude: null,
  longitude: null,
  timeZone: 'Europe/London',
  units: 'metric',
  stance: 'organic',
  region: 'neutral',
};
const bed = { name: 'Bed', kind: 'bed', setting: 'outdoor', areaM2: null, note: '', endedOn: null };
const path = (subject: string, id: string) => `/api/v1/gardens/${garden}/${subject}/${id}`;
const fresh = (value: unknown) => ({ change: randomUUID(), version: 0, value });
const refused = async (work: Promise<unknown>) =>
  String(
    await work.then(
      () => 'not refused',
      (error: Error) => error.message,
    ),
  );

beforeAll(async () => {
  server = await startTestServer();
  [owner, stranger, viewer] = ['owner', 'stranger', 'viewer'].map(() => new ApiClient(server.address)) as [ApiClient, ApiClient, ApiClient];
  for (const [name, client] of Object.entries({ owner, stranger, viewer }))
    await client.signUp({ name, email: `${name}@test.example`, password: 'long enough words' });
  await owner.send('post', '/api/v1/gardens', { id: garden, settings });
  await owner.send('post', `/api/v1/gardens/${garden}/members`, { email: 'viewer@test.example', role: 'viewer' });
}, 60_000);

afterAll(() => server.stop());

test('health tells of the database', async () => {
  expect(await owner.send('get', '/api/health')).toMatchObject({ status: 'ok', database: 'ok' });
});

test('a write sent twice counts once', async () => {
  const id = randomUUID();
  const body = fresh(bed);
  const first = await owner.send('put', path('places', id), body);
  expect(await owner.send('put', path('places', id), body)).toEqual(first);
  expect(first).toMatchObject({ id, version: 1 });
});

test('a stale version is not written over', async () => {
  const id = randomUUID();
  await owner.send('put', path('places', id), fresh(bed));
  expect(await refused(owner.send('put', path('places', id), fresh({ ...bed, name: 'Other' })))).toContain('changed-elsewhere');
});

test('undo takes a record back, and not while others hang on it', async () => {
  const [place, planting] = [randomUUID(), randomUUID()];
  const body = fresh(bed);
  await owner.send('put', path('places', place), body);
  await owner.send(
    'put',
    path('plantings', planting),
    fresh({
      placeId: place,
      host: 'leek',
      cultivar: '',
      plants: 3,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      inFlower: false,
      eaten: true,
      nextHarvestOn: null,
      note: '',
      endedOn: null,
    }),
  );
  const undo = (undoes: string) => owner.send('post', `/api/v1/gardens/${garden}/undo`, { change: randomUUID(), undoes });
  expect(await refused(undo(body.change))).toContain('409');
  expect(await refused(undo(randomUUID()))).toContain('404');
});

test('an application carries the times that must be waited for', async () => {
  const [place, planting] = [randomUUID(), randomUUID()];
  await owner.send('put', path('places', place), fresh(bed));
  await owner.send(
    'put',
    path('plantings', planting),
    fresh({
      placeId: place,
      host: 'potato',
      cultivar: '',
      plants: 3,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      inFlower: false,
      eaten: true,
      nextHarvestOn: null,
      note: '',
      endedOn: null,
    }),
  );
  const application = {
    caseId: null,
    plantingId: planting,
    option: 'copper',
    appliedAt: '2026-07-17T18:00:00Z',
    plants: 3,
    productAmount: 3,
    productUnit: 'g',
    waterL: 1,
    coveredPart: 'leaves',
    appliedBy: 'Owner',
    temperatureC: null,
    windKmh: null,
    sky: '',
    why: 'blight',
  };
  expect(await owner.send('put', path('applications', randomUUID()), fresh(application))).toMatchObject({
    reEntryAt: '2026-07-19T18:00:00.000Z',
    harvestSafeOn: '2026-07-24',
    repeatFrom: '2026-07-24',
  });
  expect(
    await refused(owner.send('put', path('applications', randomUUID()), fresh({ ...application, appliedAt: '2026-07-19T18:00:00Z' }))),
  ).toContain('in-future');
});

test.each([
  [
    'an unknown plant',
    'plantings',
    {
      placeId: randomUUID(),
      host: 'triffid',
      cultivar: '',
      plants: 1,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      inFlower: false,
      eaten: true,
      nextHarvestOn: null,
      note: '',
      endedOn: null,
    },
  ],
  [
    'a place that is not there',
    'plantings',
    {
      placeId: randomUUID(),
      host: 'leek',
      cultivar: '',
      plants: 1,
      plantedOn: '2026-05-01',
      setting: 'outdoor',
      inFlower: false,
      eaten: true,
      nextHarvestOn: null,
      note: '',
      endedOn: null,
    },
  ],
  ['an unknown field', 'places', { ...bed, colour: 'red' }],
  ['an empty name', 'places', { ...bed, name: ' ' }],
])('%s is refused with 400', async (_, subject, value) => {
  expect(await refused(owner.send('put', path(subject, randomUUID()), fresh(value)))).toContain('refused with 400');
});

test('a garden is closed to strangers and a viewer only looks', async () => {
  expect(await refused(stranger.send('get', `/api/v1/gardens/${garden}`))).toContain('404');
  expect(await refused(stranger.send('put', path('places', randomUUID()), fresh(bed)))).toContain('404');
  expect(await viewer.send('get', `/api/v1/gardens/${garden}`)).toMatchObject({ garden: { role: 'viewer' } });
  expect(await refused(viewer.send('put', path('places', randomUUID()), fresh(bed)))).toContain('403');
});

test('nobody writes without the token of the session', async () => {
  const answer = await fetch(`${server.address}/api/v1/gardens`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{}',
  });
  expect(answer.status).toBe(403);
});

test('too many wrong passwords close the door for a while', async () => {
  const guess = new ApiClient(server.address);
  await guess.send('get', '/api/v1/session');
  for (let i = 0; i < 5; i++)
    expect(await refused(guess.send('post', '/api/v1/session', { email: 'owner@test.example', password: 'guess' }))).toContain('401');
  expect(await refused(guess.send('post', '/api/v1/session', { email: 'owner@test.example', password: 'guess' }))).toContain('429');
});

test('the calculations answer, and refuse in codes', async () => {
  const calc = (name: string, body: unknown) => owner.send<Record<string, unknown>>('post', `/api/v1/calc/${name}`, body);
  const { ranked } = await calc('differential', { host: 'toms', text: 'black bottom on the fruit' });
  expect((ranked as { condition: string }[])[0]).toMatchObject({ condition: 'blossom-end-rot' });
  expect(
    await calc('progress', {
      points: [
        { date: '2026-07-01', severity: 10 },
        { date: '2026-07-03', severity: 20 },
      ],
    }),
  ).toMatchObject({ audpc: 30 });
  expect(
    await refused(
      calc('mix', {
        rate: { amount: 30, unit: 'ml', per: { amount: 1, unit: 'l' } },
        make: { amount: 1, unit: 'l' },
        labelMax: { amount: 20, unit: 'ml' },
      }),
    ),
  ).toContain('label-max');
  expect(await refused(calc('differential', { host: 'triffid' }))).toContain('unknown-name');
});

test('the API describes itself, and an unknown address is a coded 404', async () => {
  expect(await owner.send('get', '/api/openapi.json')).toMatchObject({ openapi: '3.1.0', paths: { '/api/v1/calc/mix': {} } });
  expect(await refused(owner.send('get', '/api/v1/nothing'))).toContain('not-found');
});
