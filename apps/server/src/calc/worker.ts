import type { Library } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library';
import { calculate } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { workerData } from 'piscina';
import { meansFor } from './planMeans.js';
import type { CalculationTask } from './calculator.js';

// The server has checked the file before it starts this thread.
const library = JSON.parse(readFileSync((workerData as { libraryFile: string }).libraryFile, 'utf8')) as Library;

/** One calculation in a thread of its own. */
export default async ({ name, request, own }: CalculationTask) =>
  calculate(withOwnEntries(library, own), name, request, await meansFor(name));
