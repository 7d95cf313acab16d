import type { OwnEntryFacts } from '@field-nurse/library';
import { eq } from 'drizzle-orm';
import type { Deps } from '../deps.js';
import { gardens } from '../gardens/tables.js';
import { ApiError } from '../http/apiError.js';

/** The rules that hold in a garden cannot be taken out of it. @throws ApiError when this own entry is those */
export async function refuseRegionInUse(
  { db, library }: Pick<Deps, 'db' | 'library'>,
  gardenId: string,
  { kind, entry }: OwnEntryFacts,
): Promise<void> {
  if (kind !== 'regions' || library.regions.some(({ id }) => id === entry.id)) return;
  const [garden] = await db.select({ region: gardens.region }).from(gardens).where(eq(gardens.id, gardenId));
  if (garden?.region === entry.id)
    throw new ApiError(409, 'in-use', 'The rules of this region hold in the garden: choose another region in its settings first.');
}
