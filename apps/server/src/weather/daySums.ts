import { addDays, daysBetween, instantOf, weatherDays } from '@field-nurse/core/timing';
import type { WeatherDay } from '@field-nurse/core/timing';
import { and, between, eq } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { hoursBetween } from './queries.js';
import { weatherDaySums } from './tables.js';

// Hours come late by up to three days; what is older stays as it is until somebody adds or takes out hours.
const settledAfterDays = 5;
// So many days are worked out from their hours at once.
const daysAtOnce = 400;

/** The weather of a garden by days: what is settled is worked out once and kept. @param to - inclusive, today at the latest */
export async function dayWeather(db: Db, gardenId: string, timeZone: string, from: string, to: string): Promise<WeatherDay[]> {
  const settled = addDays(to, -settledAfterDays);
  const kept = await db
    .select()
    .from(weatherDaySums)
    .where(and(eq(weatherDaySums.gardenId, gardenId), eq(weatherDaySums.timeZone, timeZone), between(weatherDaySums.day, from, to)));
  const days = new Map(kept.map(({ gardenId: _, timeZone: __, ...day }) => [day.day, day as WeatherDay]));
  for (const [first, last] of gaps(days, from, to)) {
    const midnight = (day: string) => instantOf(`${day}T00:00`, timeZone);
    const worked = weatherDays(await hoursBetween(db, gardenId, midnight(first), midnight(addDays(last, 1))), timeZone, first, last);
    for (const day of worked) days.set(day.day, day);
    await keep(
      db,
      gardenId,
      timeZone,
      worked.filter(({ day }) => day <= settled),
    );
  }
  return Array.from({ length: daysBetween(from, to) + 1 }, (_, i) => days.get(addDays(from, i))!);
}

/** Runs of days that are not known yet. */
function gaps(days: ReadonlyMap<string, unknown>, from: string, to: string): [string, string][] {
  const found: [string, string][] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) {
    if (days.has(day)) continue;
    const last = found.at(-1);
    if (last && addDays(last[1], 1) === day && daysBetween(last[0], day) < daysAtOnce) last[1] = day;
    else found.push([day, day]);
  }
  return found;
}

async function keep(db: Db, gardenId: string, timeZone: string, days: readonly WeatherDay[]): Promise<void> {
  const [first, last] = [days[0]?.day, days.at(-1)?.day];
  if (!first || !last) return;
  await db.transaction(async (tx) => {
    // Those of another time zone make room.
    await tx.delete(weatherDaySums).where(and(eq(weatherDaySums.gardenId, gardenId), between(weatherDaySums.day, first, last)));
    await tx
      .insert(weatherDaySums)
      .values(days.map((day) => ({ ...day, gardenId, timeZone })))
      .onConflictDoNothing();
  });
}
