import { library as librarySchema } from '@field-nurse/library';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { pino } from 'pino';
import { createApp } from './app.js';
import { clinicsOver, noClinics } from './clinic/clinics.js';
import { isLoopback, readConfig } from './config.js';
import { openDb, openPool } from './db/client.js';
import { migrateDatabase } from './db/migrate.js';
import type { Deps } from './deps.js';
import { startJobs } from './jobs.js';
import { noStations, stationsOver } from './weather/stations.js';

const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL });
await migrateDatabase(config.DATABASE_URL, config.MIGRATIONS_FOLDER);
const pool = openPool(config.DATABASE_URL);
const deps: Deps = {
  db: openDb(pool),
  pool,
  library: librarySchema.parse(JSON.parse(readFileSync(config.LIBRARY_FILE, 'utf8'))),
  now: () => new Date(),
  log,
  secret: config.SESSION_SECRET,
  webFolder: config.WEB_FOLDER,
  secureCookies: config.SECURE_COOKIES === 'true',
  openCalc: config.OPEN_CALC === undefined ? isLoopback(config.HOST) : config.OPEN_CALC === 'true',
  signInTries: config.SIGN_IN_TRIES,
  clinics: config.CLINICS_URL ? clinicsOver(config.CLINICS_URL) : noClinics,
  stations: config.WEATHER_STATIONS_URL ? stationsOver(config.WEATHER_STATIONS_URL) : noStations,
};
const jobs = await startJobs(deps);
const server = createServer(createApp(deps).callback());
server.listen(config.PORT, config.HOST, () => log.info(`listening on http://${config.HOST}:${config.PORT}`));

const graceMs = 3000;
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    server.close(() => void jobs.stop().then(() => pool.end()));
    setTimeout(() => server.closeAllConnections(), graceMs).unref();
  });
}
