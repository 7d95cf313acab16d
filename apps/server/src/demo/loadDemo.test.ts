import type { GardenContents } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { addDays, dayAt } from '@field-nurse/core/timing';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bed, fresh } from '../testRecords';
import { compiledLibrary, emptyDatabase, startTestServer, wholeGarden } from '../testServer';
import type { TestServer } from '../testServer';
import { templateId } from '../visits/visits';
import { ApiClient } from './apiClient';
import { demoGardenId } from './fillGarden';
import { loadDemo } from './loadDemo';
import { demoNow, demoPassword, demoPeople, demoPlaces, demoPlantings, demoSettings } from './osierReach';
import { demoCases } from './osierReachCases';
import { demoRounds, demoTraps } from './osierReachRounds';

// The demo garden, as it is loaded at a start that follows one which was killed in the middle of it.

let server: TestServer;
let contents: GardenContents;
let client: ApiClient;
let again: () => Promise<void>;
beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'field-nurse-demo-'));
  const libraryFile = join(folder, 'library.json');
  writeFileSync(libraryFile, JSON.stringify(compiledLibrary()));
  const databaseUrl = await emptyDatabase();
  server = await startTestServer({ url: databaseUrl });
  const half = new ApiClient(server.address);
  await half.signUp({ ...demoPeople[0], password: demoPassword });
  for (const id of [templateId, demoGardenId]) {
    await half.send('post', '/api/v1/gardens', { id, settings: demoSettings });
    await half.send('put', `/api/v1/gardens/${id}/places/${demoGardenId}`, fresh(bed));
  }
  again = () => loadDemo({ databaseUrl, migrationsFolder: join(import.meta.dirname, '../db/migrations'), libraryFile });
  await again();
  client = new ApiClient(server.address);
  await client.send('get', '/api/v1/session');
  await client.send('post', '/api/v1/session', { email: demoPeople[0].email, password: demoPassword });
  contents = await wholeGarden(client, `/api/v1/gardens/${demoGardenId}`);
}, 120_000);
afterAll(() => server.stop());

test('what was half loaded is gone, and the whole is there with its clock fixed; loading again changes nothing', async () => {
  expect(contents.places.some(({ name }) => name === bed.name)).toBe(false);
  expect(contents.garden.fixedNow).toBe(demoNow);
  await again();
  expect(await wholeGarden(client, `/api/v1/gardens/${demoGardenId}`)).toEqual(contents);
});

const zone = demoSettings.timeZone;
const today = demoNow.slice(0, 10);

test('all of it is there', () => {
  const { places, plantings, cases, traps, scoutingRounds } = contents;
  expect([places, plantings, cases, traps, scoutingRounds].map(({ length }) => length)).toEqual([
    Object.keys(demoPlaces).length,
    Object.keys(demoPlantings).length,
    demoCases.length,
    demoTraps.length,
    demoRounds.length,
  ]);
  expect(contents.catches).toHaveLength(demoTraps.reduce((sum, { read }) => sum + read.length, 0));
});

test('no clock had to be mended', () => {
  expect([...contents.scoutingRounds, ...contents.stops].filter(({ clockMended }) => clockMended)).toEqual([]);
});

test('every round was ended, went past what grew that day, and stopped at each once', () => {
  const byId = new Map(contents.plantings.map((planting) => [planting.id, planting]));
  for (const round of contents.scoutingRounds) {
    const stops = contents.stops.filter(({ roundId }) => roundId === round.id);
    expect(round.endedAt! > round.startedAt).toBe(true);
    expect(stops.map(({ plantingId }) => plantingId).sort()).toEqual([...round.walk].sort());
    const day = dayAt(round.startedAt, zone);
    for (const planting of round.walk.map((one) => byId.get(one)!)) {
      expect(planting.plantedOn <= day).toBe(true);
      const { endedOn } = plantingOn(planting, addDays(day, -1));
      expect(endedOn).toBeNull();
    }
  }
});

test('no round stopped at a planting with an open case: those have looks of their own', () => {
  for (const { plantingId, lookedAt } of contents.stops) {
    const day = dayAt(lookedAt, zone);
    const open = contents.cases.filter((one) => one.plantingId === plantingId && one.openedOn <= day && (one.closedOn ?? day) >= day);
    expect(open).toEqual([]);
  }
});

test('the prevention walk has been made everywhere, most of it lately, and nothing of it lies ahead', () => {
  const walked = new Set(contents.preventionTasks.map(({ placeId }) => placeId));
  // A room is walked by what stands in it.
  const rooms = contents.places.filter(({ kind }) => kind === 'room');
  expect(walked.size).toBe(contents.places.length - rooms.length);
  expect(contents.preventionTasks.every(({ doneOn }) => doneOn < today)).toBe(true);
});

test('what the server works out of an application is there: re-entry after it, harvest on a later day or the same', () => {
  for (const { appliedAt, reEntryAt, targets } of contents.applications) {
    expect(reEntryAt >= appliedAt).toBe(true);
    for (const { notPickedBefore } of targets) if (notPickedBefore) expect(notPickedBefore >= dayAt(appliedAt, zone)).toBe(true);
  }
});

test('the people of Osier Reach keep to their cards', () => {
  expect(contents.applications.flatMap(({ brokenLines }) => brokenLines)).toEqual([]);
  expect(contents.decisions.filter(({ verdict }) => verdict === 'care').length).toBeGreaterThan(0);
});

test('one new arrival is held apart, and each of its people can sign in', async () => {
  expect(contents.plantings.filter(({ quarantine }) => quarantine).map(({ host }) => host)).toEqual(['fuchsia']);
  for (const { email } of demoPeople) {
    const visitor = new ApiClient(server.address);
    await visitor.send('get', '/api/v1/session');
    expect(await visitor.status('post', '/api/v1/session', { email, password: demoPassword })).toBe(200);
    expect(await visitor.status('get', `/api/v1/gardens/${demoGardenId}`)).toBe(200);
  }
});

test('one that its owner deleted is not brought back while they have gardens of their own', async () => {
  const own = randomUUID();
  await client.send('post', '/api/v1/gardens', { id: own, settings: demoSettings });
  await client.send('delete', `/api/v1/gardens/${demoGardenId}`, { name: demoSettings.name });
  await again();
  expect(await client.status('get', `/api/v1/gardens/${demoGardenId}`)).toBe(404);
  expect(await client.status('get', `/api/v1/gardens/${own}`)).toBe(200);
});
