import type { TaskList } from 'graphile-worker';
import type { Deps } from './deps.js';

export type JobDeps = Pick<Deps, 'db' | 'library' | 'stations' | 'clinics' | 'now' | 'calculator'>;

/** Work in the background: the task that is begun at the start and three times an hour, and those that it adds to the queue. */
export interface Tasks {
  readonly start: string;
  readonly tasks: (deps: JobDeps) => TaskList;
}
