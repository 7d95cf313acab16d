import type { Subject } from '@field-nurse/contract';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import { applicationTargets } from '../applications/tables.js';
import { caseDiagnoses } from '../cases/tables.js';
import { stopSigns } from '../scouting/tables.js';
import { plantingEvents } from './tables.js';

/** A row of a part: its columns without the garden and the record that it belongs to. */
export type PartRow = Readonly<Record<string, unknown>>;

/** A list inside a record that is kept as rows of its own, so that it can be asked by itself. */
export interface RecordPart {
  /** of the record */
  readonly field: string;
  readonly table: PgTable & { readonly gardenId: AnyPgColumn; readonly ordinal: AnyPgColumn };
  /** the column that names the record, by its name in the row */
  readonly owner: string;
  readonly ownerColumn: AnyPgColumn;
  readonly toRows: (list: readonly never[]) => PartRow[];
  /** rows of one record, in order */
  readonly fromRows: (rows: readonly PartRow[]) => unknown[];
}

const numbered = (list: readonly object[]) => list.map((one, ordinal) => ({ ...one, ordinal }));

interface Diagnosis {
  readonly on: string;
  readonly conditions: readonly string[];
  readonly why: string;
}

export const recordParts: Readonly<Partial<Record<Subject, RecordPart>>> = {
  plantings: {
    field: 'events',
    table: plantingEvents,
    owner: 'plantingId',
    ownerColumn: plantingEvents.plantingId,
    toRows: numbered,
    fromRows: (rows) => rows.map(eventOf),
  },
  cases: {
    field: 'diagnoses',
    table: caseDiagnoses,
    owner: 'caseId',
    ownerColumn: caseDiagnoses.caseId,
    toRows: (list: readonly Diagnosis[]) =>
      list.flatMap(({ on, conditions, why }, ordinal) => conditions.map((condition, rank) => ({ ordinal, rank, on, condition, why }))),
    fromRows: diagnosesOf,
  },
  applications: {
    field: 'targets',
    table: applicationTargets,
    owner: 'applicationId',
    ownerColumn: applicationTargets.applicationId,
    toRows: numbered,
    fromRows: (rows) => rows.map(({ ordinal: _, ...target }) => target),
  },
  stops: {
    field: 'signs',
    table: stopSigns,
    owner: 'stopId',
    ownerColumn: stopSigns.stopId,
    toRows: (signs: readonly string[]) => signs.map((sign, ordinal) => ({ sign, ordinal })),
    fromRows: (rows) => rows.map(({ sign }) => sign),
  },
};

function eventOf({ kind, on, until, placeId, setting, stage }: PartRow): object {
  if (kind === 'moved') return { kind, on, placeId, setting };
  if (kind === 'stage') return { kind, on, stage };
  return kind === 'ended' ? { kind, on } : { kind, on, until };
}

function diagnosesOf(rows: readonly PartRow[]): Diagnosis[] {
  const inOrder = [...rows].sort((a, b) => Number(a['rank']) - Number(b['rank']));
  return [...grouped(inOrder, ({ ordinal }) => Number(ordinal))]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => ({
      on: String(own[0]!['on']),
      conditions: own.map(({ condition }) => String(condition)),
      why: String(own[0]!['why']),
    }));
}

/** Things by a key, each group in the order in which they came. */
export function grouped<T, K>(list: readonly T[], keyOf: (one: T) => K): ReadonlyMap<K, readonly T[]> {
  const groups = new Map<K, T[]>();
  for (const one of list) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}
