import { library as librarySchema } from '@field-nurse/library';
import type { PartName } from '@field-nurse/library/parts';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createApp } from './app.js';
import { pooledCalculator } from './calc/calculator.js';
import { noRegister, registerOver } from './shelf/registers.js';
import { clinicsOver, noClinics } from './clinic/clinics.js';
import { opensCalc, readConfig } from './config.js';
import { openDb, openPool } from './db/client.js';
import { migrateDatabase } from './db/migrate.js';
import type { Deps } from './deps.js';
import { startJobs } from './jobs.js';
import type { Jobs } from './jobs.js';
import { queuedMail } from './mail/jobs.js';
import { noMail, smtp } from './mail/mail.js';
import { limitsOver } from './people/limits.js';
import { folderStore } from './photos/fileStore.js';
import { threadedStrategies } from './season/strategies.js';
import { noStations, stationsOver } from './weather/stations.js';

const giveUp = (error: unknown): never => {
  console.error((error as Error).message);
  process.exit(1);
};

const config = (() => {
  try {
    return readConfig(process.env);
  } catch (error) {
    return giveUp(error);
  }
})();
const log = pino({ level: config.LOG_LEVEL });
await migrateDatabase(config.DATABASE_URL, config.MIGRATIONS_FOLDER).catch(giveUp);
const pool = openPool(config.DATABASE_URL);
const jobs: { current?: Jobs } = {};
const pressed = (part: PartName) => readFileSync(config.LIBRARY_FILE.replace(/\.json$/, `-${part}.json.br`));
/** Beside the built server, or as source where that is run. */
const workerFile = (name: 'calc' | 'season') =>
  fileURLToPath(new URL(import.meta.url.endsWith('.ts') ? `./${name}/worker.ts` : `./${name}Worker.mjs`, import.meta.url));
const deps: Deps = {
  db: openDb(pool),
  pool,
  library: librarySchema.parse(JSON.parse(readFileSync(config.LIBRARY_FILE, 'utf8'))),
  pressedParts: { diagnosis: pressed('diagnosis'), treatment: pressed('treatment') },
  calculator: pooledCalculator({
    workerFile: workerFile('calc'),
    libraryFile: config.LIBRARY_FILE,
    // One processor is left to talk to everybody.
    threads: Math.max(1, availableParallelism() - 1),
  }),
  strategies: threadedStrategies({ workerFile: workerFile('season') }),
  now: () => new Date(),
  log,
  secret: config.SESSION_SECRET,
  webFolder: config.WEB_FOLDER,
  photoFiles: folderStore(config.PHOTOS_FOLDER),
  publicUrl: config.PUBLIC_URL?.replace(/\/$/, '') ?? `http://${config.HOST}:${config.PORT}`,
  secureCookies: config.SECURE_COOKIES === 'true',
  proxies: config.TRUST_PROXY,
  openCalc: opensCalc(config),
  limits: limitsOver(pool, { signInTries: config.SIGN_IN_TRIES, calculationsPerSecond: config.CALCULATIONS_PER_SECOND }),
  clinics: config.CLINICS_URL ? clinicsOver(config.CLINICS_URL) : noClinics,
  labelRegister: config.LABEL_REGISTER_URL ? registerOver(config.LABEL_REGISTER_URL) : noRegister,
  stations: config.WEATHER_STATIONS_URL ? stationsOver(config.WEATHER_STATIONS_URL) : noStations,
  mail: config.SMTP_URL ? queuedMail(() => jobs.current!.addJob) : noMail,
  checkAnswers: false,
};
jobs.current = await startJobs(deps, config.SMTP_URL ? smtp(config.SMTP_URL, config.MAIL_FROM) : noMail);
const server = createServer(createApp(deps).callback());
server.listen(config.PORT, config.HOST, () => log.info(`listening on http://${config.HOST}:${config.PORT}`));
server.on('error', giveUp);

const graceMs = 3000;
let stopping = false;
const stop = () => {
  if (stopping) return;
  stopping = true;
  server.close(() => void Promise.all([jobs.current?.stop(), deps.calculator.close(), deps.strategies.close()]).then(() => pool.end()));
  setTimeout(() => server.closeAllConnections(), graceMs).unref();
};
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, stop);
// Started by the start command: when that is gone, so is its server.
if (process.connected) process.once('disconnect', stop);
// The line itself keeps nothing running.
process.channel?.unref();
