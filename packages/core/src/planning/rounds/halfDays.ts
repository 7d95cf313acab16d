import { Temporal } from 'temporal-polyfill';
import { hourMs, rainChance, usualRainChance } from '../../timing/index.js';
import type { WeatherHour } from '../../timing/index.js';
import type { HalfDay, SlotWeather } from '../plan/index.js';

// People treat plants from six to eleven and from six to nine: it is neither hot then nor dark.
const workHours: Readonly<Record<HalfDay, readonly [number, number]>> = { morning: [6, 11], evening: [18, 21] };
// The half-days share the clock: rain from six to six counts for the morning, from then on for the evening.
const [dayBegins, nightBegins] = [6, 18];
// Less is dew.
const leastRainMm = 0.2;
// Of a half-day of which less is known nothing is said.
const leastKnown = 0.5;

/** Weather as the planner asks for it. */
export interface HalfDays {
  readonly halfDays: readonly SlotWeather[];
  /** chance of rain in any other half-day */
  readonly usualRain: number;
}

/**
 * Weather by half-days: mean temperature and wind of the hours in which people work, the rain of all twelve, and of those to come how likely it is that
 * it rains.
 *
 * @param hours - measured up to now, then forecast; in any order, one for each instant
 * @param now - instant at which the forecast is read
 * @param issuedAt - instant at which it was made: an old one, kept where there is no signal, is worth less
 * @returns half-days of which at least half of the working hours are known, in their order
 */
export function halfDays(hours: readonly WeatherHour[], timeZone: string, now: string, issuedAt = now): HalfDays {
  const slots = new Map<string, { date: string; slot: HalfDay; temperatures: number[]; winds: number[]; rainMm: number; begins: string }>();
  for (const { at, temperatureC, windKmh, rainMm } of hours) {
    const local = Temporal.Instant.from(at).toZonedDateTimeISO(timeZone);
    const slot: HalfDay = local.hour >= dayBegins && local.hour < nightBegins ? 'morning' : 'evening';
    // The small hours belong to the evening before.
    const date = (local.hour < dayBegins ? local.subtract({ days: 1 }) : local).toPlainDate().toString();
    const key = `${date} ${slot}`;
    const one = slots.get(key) ?? { date, slot, temperatures: [], winds: [], rainMm: 0, begins: at };
    slots.set(key, one);
    one.rainMm += rainMm ?? 0;
    if (at < one.begins) one.begins = at;
    const [from, until] = workHours[slot];
    if (local.hour < from || local.hour >= until) continue;
    if (temperatureC !== null) one.temperatures.push(temperatureC);
    if (windKmh !== null) one.winds.push(windKmh);
  }
  const isKnown = (values: readonly number[], slot: HalfDay) => values.length >= leastKnown * (workHours[slot][1] - workHours[slot][0]);
  const known = [...slots.values()].filter(({ temperatures, winds, slot }) => isKnown(temperatures, slot) && isKnown(winds, slot));
  const isWet = ({ rainMm }: { readonly rainMm: number }) => rainMm >= leastRainMm;
  const usual = usualRainChance(known.filter(({ begins }) => begins <= now).map(isWet));
  const list = known.map(({ date, slot, temperatures, winds, rainMm, begins }) => ({
    date,
    slot,
    temperatureC: meanOf(temperatures),
    windKmh: meanOf(winds),
    rainMm: isWet({ rainMm }) ? rainMm : 0,
    rainChance: rainChance({
      isWet: isWet({ rainMm }),
      daysAhead: begins <= now ? 0 : Math.max(0, Date.parse(begins) - Date.parse(issuedAt)) / (24 * hourMs),
      usual,
    }),
  }));
  return { halfDays: list.sort((a, b) => a.date.localeCompare(b.date) || b.slot.localeCompare(a.slot)), usualRain: usual };
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
