import type { GardenContents, SeasonContents, Stored, Subject } from '@field-nurse/contract';
import { isOvertaken } from '../store/known-record';
import type { KnownRecord } from '../store/known-record';
import type { GardenHead, LocalDb, RecordRow } from './local-db';

// This device's copy of gardens: one row for each record, and what stands beside them.

/** A copy of a garden: its records by subject, and which older seasons are in it. */
export interface ReadCopy {
  readonly contents: GardenContents;
  readonly seasons: readonly string[];
  readonly savedAt: string;
}

/** Take the place of what was known of a garden. */
export async function saveContents(db: LocalDb, contents: GardenContents): Promise<void> {
  const { garden, sequence, season, firstSeason, pastCases } = contents;
  await db.transaction('rw', db.gardens, db.records, async () => {
    await db.records.where('garden').equals(garden.id).delete();
    await db.records.bulkPut(rowsOf(garden.id, contents));
    await db.gardens.put({
      id: garden.id,
      head: { garden, sequence, season, firstSeason, pastCases },
      seasons: [],
      savedAt: new Date().toISOString(),
    });
  });
}

/** Add the records of an older season. */
export async function saveSeason(db: LocalDb, garden: string, from: string, contents: SeasonContents): Promise<void> {
  await db.transaction('rw', db.gardens, db.records, async () => {
    const copy = await db.gardens.get(garden);
    if (!copy) return;
    await putNewer(db, rowsOf(garden, contents));
    await db.gardens.put({ ...copy, seasons: [...new Set([...copy.seasons, from])] });
  });
}

/** Bring single records up to date. @param head - what changed beside them */
export async function saveRecords(
  db: LocalDb,
  garden: string,
  records: readonly KnownRecord[],
  head: Partial<GardenHead> = {},
): Promise<void> {
  await db.transaction('rw', db.gardens, db.records, async () => {
    const copy = await db.gardens.get(garden);
    if (!copy) return;
    await putNewer(
      db,
      records.flatMap(({ subject, id, record }) => (record ? [{ garden, subject, id, record }] : [])),
    );
    await db.records.bulkDelete(records.filter(({ record }) => !record).map(({ subject, id }) => [garden, subject, id]));
    const heard = 'sequence' in head ? { savedAt: new Date().toISOString() } : {};
    await db.gardens.put({ ...copy, head: { ...copy.head, ...head }, ...heard });
  });
}

/** An answer that was overtaken on its way takes nothing back. */
async function putNewer(db: LocalDb, rows: readonly RecordRow[]): Promise<void> {
  const known = await db.records.bulkGet(rows.map(({ garden, subject, id }) => [garden, subject, id]));
  await db.records.bulkPut(rows.filter(({ record }, i) => !isOvertaken(known[i]?.record, record)));
}

/** A record as the server has it, as far as this device knows. */
export const readRecord = async (db: LocalDb, garden: string, subject: Subject, id: string): Promise<Stored<Subject> | undefined> =>
  (await db.records.get([garden, subject, id]))?.record;

/** The copy of a garden; none before it was opened here. */
export async function readCopy(db: LocalDb, garden: string): Promise<ReadCopy | undefined> {
  const copy = await db.gardens.get(garden);
  if (!copy) return undefined;
  const lists: Record<string, Stored<Subject>[]> = {};
  for (const { subject, record } of await db.records.where('garden').equals(garden).toArray()) (lists[subject] ??= []).push(record);
  return { contents: { ...lists, ...copy.head } as unknown as GardenContents, seasons: copy.seasons, savedAt: copy.savedAt };
}

const beside = new Set(['garden', 'sequence', 'season', 'firstSeason', 'pastCases']);

const rowsOf = (garden: string, contents: object): RecordRow[] =>
  Object.entries(contents as Record<string, Stored<Subject>[]>)
    .filter(([name]) => !beside.has(name))
    .flatMap(([subject, list]) =>
      list.map((record) => ({ garden, subject: subject as Subject, id: (record as { id: string }).id, record })),
    );
