import { library as librarySchema } from '@field-nurse/library';
import { eq } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from '../app.js';
import { clinicsOver, noClinics } from '../clinic/clinics.js';
import { openDb, openPool } from '../db/client.js';
import { migrateDatabase } from '../db/migrate.js';
import { gardens } from '../gardens/tables.js';
import { personByEmail } from '../people/queries.js';
import { noStations, stationsOver } from '../weather/stations.js';
import { ApiClient } from './apiClient.js';
import { fillGarden } from './fillGarden.js';
import { demoNow, demoPeople } from './osierReach.js';

/** Load the demo garden through the API itself, so that every rule of the server has passed it. Does nothing when it is there. */
async function loadDemo(databaseUrl: string, migrationsFolder: string, libraryFile: string): Promise<void> {
  await migrateDatabase(databaseUrl, migrationsFolder);
  const pool = openPool(databaseUrl);
  const db = openDb(pool);
  if (await personByEmail(db, demoPeople[0].email)) return void (await pool.end());
  const library = librarySchema.parse(JSON.parse(readFileSync(libraryFile, 'utf8')));
  const stations = WEATHER_STATIONS_URL ? stationsOver(WEATHER_STATIONS_URL) : noStations;
  const app = createApp({
    db,
    pool,
    library,
    now: () => new Date(demoNow),
    log: pino({ level: 'error' }),
    secret: randomBytes(32).toString('hex'),
    secureCookies: false,
    openCalc: true,
    signInTries: 50,
    stations,
    clinics: CLINICS_URL ? clinicsOver(CLINICS_URL) : noClinics,
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  try {
    const client = new ApiClient(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    const gardenId = await fillGarden(client, library, (gardenId) =>
      db
        .update(gardens)
        .set({ fixedNow: new Date(demoNow) })
        .where(eq(gardens.id, gardenId)),
    );
    // A station that is silent now is read by the server later.
    if (WEATHER_STATIONS_URL) await client.send('post', `/api/v1/gardens/${gardenId}/weather/station`, {}).catch(() => undefined);
  } finally {
    server.close();
    server.closeAllConnections();
    await pool.end();
  }
}

const { DATABASE_URL, MIGRATIONS_FOLDER, LIBRARY_FILE, WEATHER_STATIONS_URL, CLINICS_URL } = process.env;
if (!DATABASE_URL || !MIGRATIONS_FOLDER || !LIBRARY_FILE) throw new Error('Set DATABASE_URL, MIGRATIONS_FOLDER and LIBRARY_FILE.');
await loadDemo(DATABASE_URL, MIGRATIONS_FOLDER, LIBRARY_FILE);
