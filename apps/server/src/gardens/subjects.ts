import type { Subject } from '@field-nurse/contract';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import { cases, comments } from '../cases/tables.js';
import { clinicSamples } from '../clinic/tables.js';
import { chores } from '../chores/tables.js';
import { applications } from '../log/tables.js';
import { ownEntries } from '../library/tables.js';
import { decisions } from '../plans/tables.js';
import { looks } from '../recovery/tables.js';
import { gaugings, rounds, stops, thresholds } from '../rounds/tables.js';
import { catches, traps } from '../traps/tables.js';
import { places, plantings } from './tables.js';

/** Every garden-owned table has these columns; the rest is its own. */
export type SubjectTable = PgTable & { gardenId: AnyPgColumn; id: AnyPgColumn; version: AnyPgColumn };

/** The tables that hold a garden's records, in the order in which they refer to each other. */
export const subjectTables: Readonly<Record<Subject, SubjectTable>> = {
  places,
  plantings,
  cases,
  decisions,
  applications,
  looks,
  traps,
  catches,
  rounds,
  stops,
  gaugings,
  chores,
  thresholds,
  ownEntries,
  clinicSamples,
  comments,
};
