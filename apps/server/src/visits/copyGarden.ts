import { eq, getTableColumns, sql } from 'drizzle-orm';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import { clinicReports } from '../clinic/tables.js';
import { changes, gardens } from '../gardens/tables.js';
import { recordParts } from '../records/recordParts.js';
import type { Tx } from '../records/recordStore.js';
import { subjectTables } from '../records/subjects.js';
import { weatherDaySums, weatherHours, weatherSources } from '../weather/tables.js';

/** Tables of a garden that go along, in the order in which they refer to each other. Left are its people, photos, secrets and their log. */
export const copiedTables: readonly (PgTable & { readonly gardenId: AnyPgColumn })[] = [
  ...Object.values(subjectTables),
  ...Object.values(recordParts).map(({ table }) => table),
  clinicReports,
  changes,
  weatherSources,
  weatherHours,
  weatherDaySums,
];

/**
 * Copy a garden with all of its records, under the ids that they have.
 *
 * @param person - id of whose doing it is from now on
 */
export async function copyGarden(tx: Tx, from: string, to: string, person: string): Promise<void> {
  const [garden] = await tx.select().from(gardens).where(eq(gardens.id, from));
  await tx.insert(gardens).values({ ...garden!, id: to, photoCount: 0, photoBytes: 0 });
  const replaced: Readonly<Record<string, string>> = { garden_id: to, person_id: person };
  for (const table of copiedTables) {
    const names = Object.values(getTableColumns(table)).map(({ name }) => name);
    const columns = sql.join(
      names.map((name) => sql.identifier(name)),
      sql`, `,
    );
    const values = sql.join(
      names.map((name) => (name in replaced ? sql`${replaced[name]}::uuid` : sql.identifier(name))),
      sql`, `,
    );
    await tx.execute(sql`insert into ${table} (${columns}) select ${values} from ${table} where garden_id = ${from}`);
  }
}
