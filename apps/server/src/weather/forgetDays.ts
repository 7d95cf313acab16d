import { addDays } from '@field-nurse/core/timing';
import { and, between, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { weatherDaySums, weatherSources } from './tables.js';

/** Hours came or went: days that they lie in are worked out anew. */
export async function forgetDays(
  db: Pick<Db, 'delete' | 'select'>,
  whose: { readonly gardenId: string } | { readonly station: string },
  hours?: readonly { readonly at: string }[],
): Promise<void> {
  const gardens =
    'gardenId' in whose
      ? eq(weatherDaySums.gardenId, whose.gardenId)
      : inArray(
          weatherDaySums.gardenId,
          db.select({ id: weatherSources.gardenId }).from(weatherSources).where(eq(weatherSources.station, whose.station)),
        );
  if (hours?.length === 0) return;
  const ats = hours?.map(({ at }) => at.slice(0, 10)).sort();
  // A day of the garden's calendar may begin up to fourteen hours before or after one in UTC.
  const touched = ats && between(weatherDaySums.day, addDays(ats[0]!, -1), addDays(ats.at(-1)!, 1));
  await db.delete(weatherDaySums).where(and(gardens, touched));
}
