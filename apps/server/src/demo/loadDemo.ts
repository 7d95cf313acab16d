import { library as librarySchema } from '@field-nurse/library';
import type { Library } from '@field-nurse/library';
import { eq, inArray } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Pool } from 'pg';
import { pino } from 'pino';
import { createApp } from '../app.js';
import { directCalculator } from '../calc/calculator.js';
import { noRegister } from '../shelf/registers.js';
import { clinicsOver, noClinics } from '../clinic/clinics.js';
import { openDb, openPool } from '../db/client.js';
import type { Db } from '../db/client.js';
import { migrateDatabase } from '../db/migrate.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { gardens, members } from '../gardens/tables.js';
import { noMail } from '../mail/mail.js';
import { limitsOver } from '../people/limits.js';
import { people } from '../people/tables.js';
import { memoryStore } from '../photos/memoryStore.js';
import { directStrategies } from '../season/strategies.js';
import { copyGarden } from '../visits/copyGarden.js';
import { hasTemplate, templateId } from '../visits/visits.js';
import { noStations, stationsOver } from '../weather/stations.js';
import { ApiClient } from './apiClient.js';
import { demoGardenId, fillGarden } from './fillGarden.js';
import { demoNow, demoPassword, demoPeople } from './osierReach.js';

/** What the demo garden is made from. */
export interface DemoSources {
  readonly databaseUrl: string;
  readonly migrationsFolder: string;
  readonly libraryFile: string;
  readonly stationsUrl?: string | undefined;
  readonly clinicsUrl?: string | undefined;
}

/**
 * Load the demo garden: a template without people, filled through the API itself so that every rule of the server has passed it, and a copy of it
 * for the people of Osier Reach. Does nothing where both are there; what was left half loaded is taken away first.
 */
export async function loadDemo(sources: DemoSources): Promise<void> {
  await migrateDatabase(sources.databaseUrl, sources.migrationsFolder);
  const pool = openPool(sources.databaseUrl);
  const db = openDb(pool);
  try {
    const [filled, settled] = [await hasTemplate(db), await isSettled(db)];
    if (filled && settled) return;
    await withServer(sources, pool, db, async (client, library) => {
      if (!filled) await fillTemplate(db, client, library);
      if (!settled) await giveToItsPeople(db, client);
    });
  } finally {
    await pool.end();
  }
}

async function fillTemplate(db: Db, client: ApiClient, library: Library): Promise<void> {
  await db.transaction((tx) => deleteGarden(tx, templateId));
  await db.delete(people).where(eq(people.email, filler.email));
  await client.signUp(filler);
  await fillGarden(client, library, templateId);
  // A station that is silent now is read by the server later.
  await client.send('post', `/api/v1/gardens/${templateId}/weather/station`, {}).catch(() => undefined);
  // It is nobody's from now on, and whole.
  await db.transaction(async (tx) => {
    await tx.delete(people).where(eq(people.email, filler.email));
    await tx
      .update(gardens)
      .set({ fixedNow: new Date(demoNow) })
      .where(eq(gardens.id, templateId));
  });
}

async function giveToItsPeople(db: Db, client: ApiClient): Promise<void> {
  await db.transaction(async (tx) => {
    await deleteGarden(tx, demoGardenId);
    await tx.delete(people).where(isOfDemo);
  });
  for (const person of demoPeople) await client.signUp({ ...person, password: demoPassword });
  const rows = await db.select({ id: people.id, email: people.email }).from(people).where(isOfDemo);
  const [owner, ...crew] = demoPeople.map((person) => rows.find(({ email }) => email === person.email)!.id) as [string, ...string[]];
  await db.transaction(async (tx) => {
    await copyGarden(tx, templateId, demoGardenId, owner);
    await tx.insert(members).values({ gardenId: demoGardenId, personId: owner, role: 'owner' });
    for (const personId of crew) await tx.insert(members).values({ gardenId: demoGardenId, personId, role: 'member' });
  });
}

/** Somebody who fills the template, and goes. */
const filler = { name: demoPeople[0].name, email: 'filler@osier-reach.example', password: randomBytes(24).toString('hex') };

/** A server of its own for the loading, on the demo's clock. */
async function withServer(
  { libraryFile, stationsUrl, clinicsUrl }: DemoSources,
  pool: Pool,
  db: Db,
  work: (client: ApiClient, library: Library) => Promise<void>,
): Promise<void> {
  const library = librarySchema.parse(JSON.parse(readFileSync(libraryFile, 'utf8')));
  const app = createApp({
    db,
    pool,
    library,
    calculator: directCalculator(library),
    strategies: directStrategies,
    now: () => new Date(demoNow),
    log: pino({ level: 'error' }),
    secret: randomBytes(32).toString('hex'),
    publicUrl: 'http://127.0.0.1',
    // There is no picture in it.
    photoFiles: memoryStore(),
    secureCookies: false,
    proxies: 0,
    openCalc: true,
    limits: limitsOver(pool, { signInTries: 50, calculationsPerSecond: 1000 }),
    stations: stationsUrl ? stationsOver(stationsUrl) : noStations,
    clinics: clinicsUrl ? clinicsOver(clinicsUrl) : noClinics,
    labelRegister: noRegister,
    mail: noMail,
    checkAnswers: false,
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  try {
    const client = new ApiClient(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    await work(client, library);
    await client.send('post', '/api/v1/session/end', {}).catch(() => undefined);
  } finally {
    server.close();
    server.closeAllConnections();
  }
}

/** True where there is nothing to load: the demo garden is there, or its people have other gardens and deleted it. */
async function isSettled(db: Db): Promise<boolean> {
  const [garden] = await db.select({ fixedNow: gardens.fixedNow }).from(gardens).where(eq(gardens.id, demoGardenId));
  if (garden) return garden.fixedNow !== null;
  const others = await db.select({ id: members.gardenId }).from(members).innerJoin(people, eq(people.id, members.personId)).where(isOfDemo);
  return others.length > 0;
}

const isOfDemo = inArray(
  people.email,
  demoPeople.map(({ email }) => email),
);
