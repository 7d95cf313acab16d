import { library as librarySchema } from '@field-nurse/library';
import type { Subject, Written } from '@field-nurse/contract';
import { seededRandom } from '@field-nurse/core/statistics';
import { eq } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from '../app.js';
import { openDb, openPool } from '../db/client.js';
import { migrateDatabase } from '../db/migrate.js';
import { gardens } from '../gardens/tables.js';
import { personByEmail } from '../people/queries.js';
import { ApiClient } from './apiClient.js';
import { demoCases, demoNow, demoPassword, demoPeople, demoPlaces, demoPlantings, demoSettings } from './osierReach.js';
import type { CaseSketch } from './osierReach.js';

const random = seededRandom(18072026);
const hex = (digits: number) => Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('');
/** Ids that are the same at each load, in the shape of a random UUID. */
const nextId = () => `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;

/** Load the demo garden through the API itself, so that every rule of the server has passed it. Does nothing when it is there. */
async function loadDemo(databaseUrl: string, migrationsFolder: string, libraryFile: string): Promise<void> {
  await migrateDatabase(databaseUrl, migrationsFolder);
  const pool = openPool(databaseUrl);
  const db = openDb(pool);
  if (await personByEmail(db, demoPeople[0].email)) return void (await pool.end());
  const library = librarySchema.parse(JSON.parse(readFileSync(libraryFile, 'utf8')));
  const app = createApp({
    db,
    pool,
    library,
    now: () => new Date(demoNow),
    log: pino({ level: 'error' }),
    secret: hex(64),
    secureCookies: false,
    openCalc: true,
    signInTries: 50,
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  try {
    const client = new ApiClient(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    await fillGarden(client, (gardenId) =>
      db
        .update(gardens)
        .set({ fixedNow: new Date(demoNow) })
        .where(eq(gardens.id, gardenId)),
    );
  } finally {
    server.close();
    server.closeAllConnections();
    await pool.end();
  }
}

async function fillGarden(client: ApiClient, fixClock: (gardenId: string) => Promise<unknown>): Promise<void> {
  for (const person of [...demoPeople].reverse()) await client.signUp({ ...person, password: demoPassword });
  const gardenId = nextId();
  await client.send('post', '/api/v1/gardens', { id: gardenId, settings: demoSettings });
  await fixClock(gardenId);
  for (const { email } of demoPeople.slice(1)) await client.send('post', `/api/v1/gardens/${gardenId}/members`, { email, role: 'member' });

  const write = async <S extends Subject>(subject: S, value: Written<S>): Promise<string> => {
    const id = nextId();
    await client.send('put', `/api/v1/gardens/${gardenId}/${subject}/${id}`, { change: nextId(), version: 0, value });
    return id;
  };
  const placeIds = new Map<string, string>();
  for (const [key, place] of Object.entries(demoPlaces)) placeIds.set(key, await write('places', place));
  const plantingIds = new Map<string, string>();
  for (const [key, { at, planted, harvest, flower, ended, note, ...rest }] of Object.entries(demoPlantings)) {
    const planting: Written<'plantings'> = {
      ...rest,
      placeId: placeIds.get(at)!,
      plantedOn: planted,
      setting: demoPlaces[at].setting,
      inFlower: flower ?? false,
      nextHarvestOn: harvest ?? null,
      note: note ?? '',
      endedOn: ended ?? null,
    };
    plantingIds.set(key, await write('plantings', planting));
  }
  for (const sketch of demoCases) await fillCase(sketch, plantingIds.get(sketch.planting)!, write);
}

type Write = <S extends Subject>(subject: S, value: Written<S>) => Promise<string>;

async function fillCase(sketch: CaseSketch, plantingId: string, write: Write): Promise<void> {
  const caseId = await write('cases', {
    plantingId,
    openedOn: sketch.opened,
    words: sketch.words,
    findings: sketch.found.map(([sign, state = 'seen']) => ({
      sign,
      state,
      source: state === 'seen' ? 'text' : 'tap',
      phrase: null,
      on: sketch.opened,
    })),
    onset: null,
    pattern: null,
    stage: sketch.stage ?? null,
    hidden: sketch.hidden ?? null,
    helpersSeen: sketch.helpers ?? false,
    diagnoses: sketch.taken.map(({ on, for: conditions, why = '' }) => ({ on, conditions: [...conditions], why })),
    closedOn: sketch.closed?.on ?? null,
    outcome: sketch.closed?.outcome ?? null,
    note: sketch.closed?.note ?? '',
  });
  for (const { on, lookAgain, note = '', verdict = 'fits', option } of sketch.decided ?? [])
    await write('decisions', { caseId, option, verdict, decidedOn: on, lookAgainOn: lookAgain, note });
  for (const one of sketch.applied ?? [])
    await write('applications', {
      caseId,
      plantingId,
      option: one.option,
      appliedAt: one.at,
      plants: one.plants,
      productAmount: one.product?.[0] ?? null,
      productUnit: one.product?.[1] ?? null,
      waterL: one.waterL ?? null,
      coveredPart: one.part,
      appliedBy: one.by ?? demoPeople[0].name,
      temperatureC: one.temperatureC ?? null,
      windKmh: one.windKmh ?? null,
      sky: one.sky ?? '',
      why: one.why,
    });
  for (const { on, severity, count = null, growth, next = null, note = '' } of sketch.looks ?? [])
    await write('looks', { caseId, plantingId, lookedOn: on, severity, count, newGrowth: growth, nextLookOn: next, note });
}

const { DATABASE_URL, MIGRATIONS_FOLDER, LIBRARY_FILE } = process.env;
if (!DATABASE_URL || !MIGRATIONS_FOLDER || !LIBRARY_FILE) throw new Error('Set DATABASE_URL, MIGRATIONS_FOLDER and LIBRARY_FILE.');
await loadDemo(DATABASE_URL, MIGRATIONS_FOLDER, LIBRARY_FILE);
