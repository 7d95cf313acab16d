import { Logger, makeWorkerUtils, run } from 'graphile-worker';
import type { AddJobFunction, TaskList } from 'graphile-worker';
import { clinicTasks } from './clinic/jobs.js';
import type { Deps } from './deps.js';
import { mailTasks } from './mail/jobs.js';
import type { Mailer } from './mail/mail.js';
import { purgeTasks } from './purge.js';
import { weatherTasks } from './weather/jobs.js';
import type { JobDeps, Tasks } from './jobTypes.js';

const all: readonly Tasks[] = [weatherTasks, clinicTasks];

/** Work in the background, under way. */
export interface Jobs {
  readonly addJob: AddJobFunction;
  stop(): Promise<void>;
}

/**
 * Ask the world outside in the background, through the queue in PostgreSQL: of several servers only one does a job, and one that failed is tried
 * again later.
 *
 * @param mailer - what takes a letter out of the queue
 */
export async function startJobs(deps: JobDeps & Pick<Deps, 'pool' | 'log' | 'photoFiles'>, mailer: Mailer): Promise<Jobs> {
  const levels = { error: 'error', warning: 'warn', info: 'debug', debug: 'trace' } as const;
  const logger = new Logger(() => (level, message) => deps.log[levels[level]](message));
  const runner = await run({
    pgPool: deps.pool,
    logger,
    concurrency: 1,
    noHandleSignals: true,
    crontab: [...all.map(({ start }) => `*/20 * * * * ${start}`), '17 * * * * purge', '37 3 * * * removeStrayFiles'].join('\n'),
    taskList: Object.assign({}, ...all.map(({ tasks }) => tasks(deps)), mailTasks(mailer), purgeTasks(deps)) as TaskList,
  });
  const utils = await makeWorkerUtils({ pgPool: deps.pool, logger });
  for (const start of [...all.map((one) => one.start), 'purge']) await utils.addJob(start, {}, { jobKey: start });
  return {
    addJob: utils.addJob,
    stop: async () => {
      await runner.stop();
      await utils.release();
    },
  };
}
