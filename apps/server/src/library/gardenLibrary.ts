import type { Library, OwnEntryFacts } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library';
import { and, eq, isNull } from 'drizzle-orm';
import type { Deps } from '../deps.js';
import { ownEntries } from './tables.js';

/**
 * The library with a garden's own entries in it.
 *
 * @param but - id of a record to leave out: the one that is being written
 */
export async function gardenLibrary({ db, library }: Pick<Deps, 'db' | 'library'>, gardenId: string, but?: string): Promise<Library> {
  const rows = await db
    .select({ id: ownEntries.id, kind: ownEntries.kind, entry: ownEntries.entry })
    .from(ownEntries)
    .where(and(eq(ownEntries.gardenId, gardenId), isNull(ownEntries.endedOn)));
  return withOwnEntries(
    library,
    rows.filter(({ id }) => id !== but).map(({ kind, entry }) => ({ kind, entry }) as OwnEntryFacts),
  );
}
