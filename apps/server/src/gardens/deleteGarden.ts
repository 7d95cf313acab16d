import { eq } from 'drizzle-orm';
import { subjectTables } from '../records/subjects.js';
import { deletedGardens, gardens } from './tables.js';
import type { Tx } from '../records/recordStore.js';

/** Delete a garden for good. What refers goes before what it refers to; the rest goes with the garden itself, its pictures within the hour. */
export async function deleteGarden(tx: Tx, gardenId: string): Promise<void> {
  // Nobody adds to it while it goes.
  await tx.select({ id: gardens.id }).from(gardens).where(eq(gardens.id, gardenId)).for('update');
  for (const table of Object.values(subjectTables).reverse()) await tx.delete(table).where(eq(table.gardenId, gardenId));
  await tx.delete(gardens).where(eq(gardens.id, gardenId));
  await tx.insert(deletedGardens).values({ garden: gardenId }).onConflictDoNothing();
}
