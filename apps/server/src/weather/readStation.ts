import { hourMs } from '@field-nurse/core/timing';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../db/client.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { gardens } from '../gardens/tables.js';
import { addSource, keepForecast, keepHours, lastHourOf, noteReading, stationOf } from './queries.js';
import { StationFault, StationGone } from './stations.js';
import type { Stations } from './stations.js';

const dayMs = 24 * hourMs;
// The first reading brings two seasons; later ones look three days back for what came late.
const firstDays = 560;
const lateDays = 3;
const pieceDays = 60;

/**
 * Bring a garden's weather up to its own now: the hours that are new or came late, and the newest forecast. What was read before a fault stays.
 *
 * @returns false where the garden has no station
 * @throws StationFault, which is noted with its time
 */
export async function readStation(db: Db, stations: Stations, gardenId: string, clock: () => Date): Promise<boolean> {
  const [garden] = await db.select({ station: gardens.weatherStation }).from(gardens).where(eq(gardens.id, gardenId));
  if (!garden?.station) return false;
  const { now } = await gardenClock(db, gardenId, clock);
  const source = (await stationOf(db, gardenId)) ?? (await beginSource(db, stations, gardenId, garden.station, now));
  try {
    const last = await lastHourOf(db, source);
    let from = last ? Date.parse(last) - lateDays * dayMs : now.getTime() - firstDays * dayMs;
    for (; from < now.getTime(); from += pieceDays * dayMs) {
      const to = new Date(Math.min(from + pieceDays * dayMs, now.getTime()));
      await keepHours(db, gardenId, source.id, await stations.observations(garden.station, new Date(from), to, now));
    }
    const { issuedAt, hours } = await stations.forecast(garden.station, now);
    await keepForecast(db, gardenId, issuedAt, hours);
    await noteReading(db, source, { readAt: now.toISOString(), failedAt: null });
  } catch (error) {
    if (error instanceof StationFault) await noteReading(db, source, { failedAt: now.toISOString() });
    throw error;
  }
  return true;
}

async function beginSource(db: Db, stations: Stations, gardenId: string, id: string, now: Date) {
  const station = (await stations.list()).find((one) => one.id === id);
  if (!station) throw new StationGone(`The weather station ${id} is not there any more.`);
  await addSource(db, {
    gardenId,
    id: randomUUID(),
    kind: 'station',
    name: station.name,
    station: id,
    simulated: station.simulated,
    addedAt: now.toISOString(),
  });
  return (await stationOf(db, gardenId))!;
}
