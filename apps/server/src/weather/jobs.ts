import { Logger, makeWorkerUtils, run } from 'graphile-worker';
import type { Runner } from 'graphile-worker';
import type { Deps } from '../deps.js';
import { gardensWithStation } from './queries.js';
import { readStation } from './readStation.js';

const readAll = 'read-weather';
const readOne = 'read-garden-weather';

/**
 * Read the stations in the background, three times an hour and at the start, through the queue in PostgreSQL: of several servers only one reads a garden,
 * and a reading that failed is tried again later.
 */
export async function startWeatherJobs({
  pool,
  db,
  stations,
  now,
  log,
}: Pick<Deps, 'pool' | 'db' | 'stations' | 'now' | 'log'>): Promise<Runner> {
  const levels = { error: 'error', warning: 'warn', info: 'debug', debug: 'trace' } as const;
  const logger = new Logger(() => (level, message) => log[levels[level]](message));
  const runner = await run({
    pgPool: pool,
    logger,
    concurrency: 1,
    noHandleSignals: true,
    crontab: `*/20 * * * * ${readAll}`,
    taskList: {
      [readAll]: async (_, { addJob }) => {
        for (const garden of await gardensWithStation(db))
          await addJob(readOne, { garden }, { jobKey: `weather ${garden}`, maxAttempts: 4 });
      },
      [readOne]: async (payload) => {
        await readStation(db, stations, (payload as { garden: string }).garden, now);
      },
    },
  });
  const utils = await makeWorkerUtils({ pgPool: pool, logger });
  await utils.addJob(readAll, {}, { jobKey: readAll });
  return runner;
}
