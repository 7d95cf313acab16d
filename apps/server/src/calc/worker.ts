import { runStrategy } from '@field-nurse/core/season';
import type { Library } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library';
import { calculate } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { workerData } from 'piscina';
import { meansFor } from './planMeans.js';
import type { CalculationTask, StrategyTask } from './calculator.js';

// The server has checked the file before it starts this thread.
const library = JSON.parse(readFileSync((workerData as { libraryFile: string }).libraryFile, 'utf8')) as Library;

/** One calculation, or one strategy of a season, in a thread of its own. */
export default async (task: CalculationTask | StrategyTask) =>
  'strategy' in task
    ? runStrategy(task.scenario, task.strategy, task.runs, task.seed)
    : calculate(withOwnEntries(library, task.own), task.name, task.request, await meansFor(task.name));
