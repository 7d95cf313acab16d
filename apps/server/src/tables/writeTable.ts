import type { Stored, Subject, TableName } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { csvOf, headsOf, linesOf, listTables } from '@field-nurse/library/tables';
import type { TableNames } from '@field-nurse/library/tables';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import type { Db } from '../db/client.js';
import { recordJson } from '../records/recordJson.js';
import { recordsOf } from '../records/recordStore.js';
import { subjectTables } from '../records/subjects.js';

type Reader = Pick<Db, 'select'>;

// So many records are in memory at once.
const page = 500;

/** Names for what the records of a garden refer to. */
export async function namesIn(db: Reader, library: Library, gardenId: string): Promise<TableNames> {
  const [plantings, places, products, traps] = [
    byId(await recordsOf(db, 'plantings', gardenId)),
    byId(await recordsOf(db, 'places', gardenId)),
    byId(await recordsOf(db, 'products', gardenId)),
    byId(await recordsOf(db, 'traps', gardenId)),
  ];
  const nameIn = (entries: readonly { readonly id: string; readonly name: string }[]) => {
    const known = byId(entries);
    // An entry that the library has no more goes by its id.
    return (id: string) => known.get(id)?.name ?? id;
  };
  return {
    planting: (id) => plantings.get(id),
    place: (id) => places.get(id)?.name ?? '',
    host: nameIn(library.hosts),
    intervention: nameIn(library.interventions),
    condition: nameIn(library.conditions),
    sign: nameIn(library.signs),
    product: (id) => products.get(id)?.name ?? '',
    trap: (id) => traps.get(id)?.name ?? '',
  };
}

const byId = <T extends { readonly id: string }>(all: readonly T[]) => new Map(all.map((one) => [one.id, one]));

/** A list of the garden as CSV, oldest first, in parts: a long list needs no more memory than a short one. */
export async function* writeTable(db: Reader, names: TableNames, gardenId: string, table: TableName): AsyncGenerator<string> {
  const { subject, orderedBy } = listTables[table] as { readonly subject: Subject; readonly orderedBy: string };
  const from = subjectTables[subject];
  const ordered = (from as unknown as Record<string, AnyPgColumn>)[orderedBy]!;
  const ids = (await db.select({ id: from.id }).from(from).where(eq(from.gardenId, gardenId)).orderBy(asc(ordered), from.id)).map(
    ({ id }) => id as string,
  );
  yield csvOf([headsOf(table)]);
  for (let i = 0; i < ids.length; i += page) {
    const wanted = ids.slice(i, i + page);
    const rows = await db
      .select({ id: sql<string>`${from.id}`, record: recordJson(subject) })
      .from(from)
      .where(and(eq(from.gardenId, gardenId), inArray(from.id, wanted)));
    const records = new Map(rows.map(({ id, record }) => [id, record as Stored<Subject>]));
    yield csvOf(wanted.flatMap((id) => (records.has(id) ? linesOf(table, records.get(id)!, names) : [])));
  }
}
