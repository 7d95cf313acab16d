import { Logger, makeWorkerUtils, run } from 'graphile-worker';
import type { Runner, TaskList } from 'graphile-worker';
import { clinicTasks } from './clinic/jobs.js';
import type { Deps } from './deps.js';
import { weatherTasks } from './weather/jobs.js';

export type JobDeps = Pick<Deps, 'pool' | 'db' | 'library' | 'stations' | 'clinics' | 'now' | 'log'>;

/** Work in the background: the task that is begun at the start and three times an hour, and those that it adds to the queue. */
export interface Tasks {
  readonly start: string;
  readonly tasks: (deps: JobDeps) => TaskList;
}

const all: readonly Tasks[] = [weatherTasks, clinicTasks];

/**
 * Ask the world outside in the background, through the queue in PostgreSQL: of several servers only one does a job, and one that failed is tried
 * again later.
 */
export async function startJobs(deps: JobDeps): Promise<Runner> {
  const levels = { error: 'error', warning: 'warn', info: 'debug', debug: 'trace' } as const;
  const logger = new Logger(() => (level, message) => deps.log[levels[level]](message));
  const runner = await run({
    pgPool: deps.pool,
    logger,
    concurrency: 1,
    noHandleSignals: true,
    crontab: all.map(({ start }) => `*/20 * * * * ${start}`).join('\n'),
    taskList: Object.assign({}, ...all.map(({ tasks }) => tasks(deps))) as TaskList,
  });
  const utils = await makeWorkerUtils({ pgPool: deps.pool, logger });
  for (const { start } of all) await utils.addJob(start, {}, { jobKey: start });
  return runner;
}
