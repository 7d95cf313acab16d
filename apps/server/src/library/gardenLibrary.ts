import type { Library, OwnEntryFacts } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library';
import { and, eq, isNull } from 'drizzle-orm';
import type { Deps } from '../deps.js';
import { ownEntries } from './tables.js';

/** The entries of a garden's own that count now. @param but - id of a record to leave out: the one that is being written */
export async function ownEntriesOf(db: Deps['db'], gardenId: string, but?: string): Promise<OwnEntryFacts[]> {
  const rows = await db
    .select({ id: ownEntries.id, kind: ownEntries.kind, entry: ownEntries.entry })
    .from(ownEntries)
    .where(and(eq(ownEntries.gardenId, gardenId), isNull(ownEntries.endedOn)));
  return rows.filter(({ id }) => id !== but).map(({ kind, entry }) => ({ kind, entry }) as OwnEntryFacts);
}

/** The library with a garden's own entries in it. */
export const gardenLibrary = async ({ db, library }: Pick<Deps, 'db' | 'library'>, gardenId: string, but?: string): Promise<Library> =>
  withOwnEntries(library, await ownEntriesOf(db, gardenId, but));
