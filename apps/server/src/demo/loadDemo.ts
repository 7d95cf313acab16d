import { library as librarySchema } from '@field-nurse/library';
import { eq, inArray } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from '../app.js';
import { directCalculator } from '../calc/calculator.js';
import { clinicsOver, noClinics } from '../clinic/clinics.js';
import { openDb, openPool } from '../db/client.js';
import type { Db } from '../db/client.js';
import { migrateDatabase } from '../db/migrate.js';
import { deleteGarden } from '../gardens/deleteGarden.js';
import { gardens, members } from '../gardens/tables.js';
import { noMail } from '../mail/mail.js';
import { limitsOver } from '../people/limits.js';
import { people } from '../people/tables.js';
import { noStations, stationsOver } from '../weather/stations.js';
import { ApiClient } from './apiClient.js';
import { demoGardenId, fillGarden } from './fillGarden.js';
import { demoNow, demoPeople } from './osierReach.js';

/** What the demo garden is made from. */
export interface DemoSources {
  readonly databaseUrl: string;
  readonly migrationsFolder: string;
  readonly libraryFile: string;
  readonly stationsUrl?: string | undefined;
  readonly clinicsUrl?: string | undefined;
}

/**
 * Load the demo garden through the API itself, so that every rule of the server has passed it. Does nothing when it is there whole: its clock is
 * fixed last, and what was left half loaded is taken away first.
 */
export async function loadDemo({ databaseUrl, migrationsFolder, libraryFile, stationsUrl, clinicsUrl }: DemoSources): Promise<void> {
  await migrateDatabase(databaseUrl, migrationsFolder);
  const pool = openPool(databaseUrl);
  const db = openDb(pool);
  if (await isSettled(db)) return void (await pool.end());
  await clearHalfLoaded(db);
  const library = librarySchema.parse(JSON.parse(readFileSync(libraryFile, 'utf8')));
  const stations = stationsUrl ? stationsOver(stationsUrl) : noStations;
  const app = createApp({
    db,
    pool,
    library,
    calculator: directCalculator(library),
    now: () => new Date(demoNow),
    log: pino({ level: 'error' }),
    secret: randomBytes(32).toString('hex'),
    publicUrl: 'http://127.0.0.1',
    secureCookies: false,
    proxies: 0,
    openCalc: true,
    limits: limitsOver(pool, { signInTries: 50, calculationsPerSecond: 1000 }),
    stations,
    clinics: clinicsUrl ? clinicsOver(clinicsUrl) : noClinics,
    mail: noMail,
    checkAnswers: false,
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  try {
    const client = new ApiClient(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    await fillGarden(client, library);
    // A station that is silent now is read by the server later.
    if (stationsUrl) await client.send('post', `/api/v1/gardens/${demoGardenId}/weather/station`, {}).catch(() => undefined);
    await client.send('post', '/api/v1/session/end', {});
    await db
      .update(gardens)
      .set({ fixedNow: new Date(demoNow) })
      .where(eq(gardens.id, demoGardenId));
  } finally {
    server.close();
    server.closeAllConnections();
    await pool.end();
  }
}

/** True where there is nothing to load: the demo garden is there to its last step, or its people have other gardens and deleted it. */
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

async function clearHalfLoaded(db: Db): Promise<void> {
  await db.transaction(async (tx) => {
    await deleteGarden(tx, demoGardenId);
    await tx.delete(people).where(isOfDemo);
  });
}
