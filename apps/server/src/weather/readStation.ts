import { hourMs } from '@field-nurse/core/timing';
import type { Db } from '../db/client.js';
import { addStation, becomeSource, gardensNows, keepForecast, keepStationHours, lastHourOf, noteReading, stationRow } from './queries.js';
import { StationFault, StationGone } from './stations.js';
import type { Stations } from './stations.js';

const dayMs = 24 * hourMs;
// The first reading brings two seasons; later ones look three days back for what came late.
const firstDays = 560;
const lateDays = 3;
const pieceDays = 60;

/**
 * Bring a station up to the now of the gardens that go by it: the hours that are new or came late, and the newest forecast for each now. What was
 * read before a fault stays.
 *
 * @throws StationFault, which is noted with its time
 */
export async function readStation(db: Db, stations: Stations, id: string, clock: () => Date): Promise<void> {
  const now = clock();
  const nows = await gardensNows(db, id, now);
  const [earliest, latest] = [nows[0], nows.at(-1)];
  if (!earliest || !latest) return;
  const askedFrom = await begin(db, stations, id);
  await becomeSource(db, id, now);
  const read = async (fromMs: number, toMs: number) => {
    for (let from = fromMs; from < toMs; from += pieceDays * dayMs) {
      const to = Math.min(from + pieceDays * dayMs, toMs);
      await keepStationHours(db, id, await stations.observations(id, new Date(from), new Date(to), latest));
    }
  };
  try {
    const last = await lastHourOf(db, id);
    const wanted = earliest.getTime() - firstDays * dayMs;
    if (!askedFrom || !last || wanted < askedFrom) {
      // All of it, or what a garden that came later wants of earlier times.
      await read(wanted, last && askedFrom ? askedFrom : latest.getTime());
      await noteReading(db, id, { askedFrom: new Date(wanted).toISOString() });
    }
    if (last) await read(Date.parse(last) - lateDays * dayMs, latest.getTime());
    for (const at of nows) {
      const { issuedAt, hours } = await stations.forecast(id, at);
      await keepForecast(db, id, issuedAt, hours);
    }
    await noteReading(db, id, { readAt: now.toISOString(), failedAt: null });
  } catch (error) {
    if (error instanceof StationFault) await noteReading(db, id, { failedAt: now.toISOString() });
    throw error;
  }
}

/** @returns since when its hours were asked for; none for a station that was never read */
async function begin(db: Db, stations: Stations, id: string): Promise<number | null> {
  const known = await stationRow(db, id);
  if (known) return known.askedFrom === null ? null : Date.parse(known.askedFrom);
  const station = (await stations.list()).find((one) => one.id === id);
  if (!station) throw new StationGone(`The weather station ${id} is not there any more.`);
  await addStation(db, station);
  return null;
}
