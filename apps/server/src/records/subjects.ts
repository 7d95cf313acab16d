import type { Subject } from '@field-nurse/contract';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import { cases, comments } from '../cases/tables.js';
import { clinicSamples } from '../clinic/tables.js';
import { groundEvents, preventionTasks } from '../prevention/tables.js';
import { applications } from '../applications/tables.js';
import { ownEntries } from '../library/tables.js';
import { plannedApplications, treatmentPlans, workTimes } from '../plans/tables.js';
import { decisions, sprayers, testSprays } from '../treatment/tables.js';
import { labelCards, products, stockMoves } from '../shelf/tables.js';
import { assessments, harvests, lessons, removals } from '../recovery/tables.js';
import { drills, leafMeasurements, scoutingRounds, stops, thresholds } from '../scouting/tables.js';
import { catches, traps } from '../traps/tables.js';
import { places, plantings } from '../gardens/tables.js';

/** Every garden-owned table has these columns; the rest is its own. */
export type SubjectTable = PgTable & { gardenId: AnyPgColumn; id: AnyPgColumn; version: AnyPgColumn };

/** The tables that hold a garden's records, in the order in which they refer to each other. */
export const subjectTables: Readonly<Record<Subject, SubjectTable>> = {
  places,
  plantings,
  cases,
  products,
  labelCards,
  stockMoves,
  treatmentPlans,
  decisions,
  applications,
  plannedApplications,
  workTimes,
  sprayers,
  testSprays,
  assessments,
  harvests,
  lessons,
  removals,
  traps,
  catches,
  scoutingRounds,
  stops,
  leafMeasurements,
  drills,
  preventionTasks,
  groundEvents,
  thresholds,
  ownEntries,
  clinicSamples,
  comments,
};
