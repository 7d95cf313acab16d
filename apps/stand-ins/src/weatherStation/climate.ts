import { drawAt, smoothNoise } from './noise.js';
import { spells } from './spells.js';

const hourMs = 3_600_000;
const dayMs = 24 * hourMs;

/** Weather of one hour as the instruments would see it. */
export interface Hour {
  /** begin of the hour, milliseconds since 1970 */
  readonly at: number;
  readonly temperatureC: number;
  readonly humidityPercent: number;
  readonly rainMm: number;
  readonly windMetresPerSecond: number;
  readonly leafWetMinutes: number;
}

// Every quantity has a seed of its own, so that they do not move together by accident.
const [warmth, shorter, pressure, showers, amounts, gusts, gustsOfHour] = [11, 12, 13, 14, 15, 16, 17];
// Where the smoothed pressure is above this, it may rain.
const rainLevel = 0.28;

/**
 * One hour of a mild river valley in the north: a year's and a day's wave of temperature, spells of some days, showers where the pressure is low, dew on
 * clear nights. The same hour is the same always.
 *
 * @param seed - another seed is another valley
 */
export function weatherAt(at: number, seed: number): Hour {
  const wetness = wetnessAt(at, seed);
  const rainMm = rainAt(at, seed, wetness);
  const { temperatureC, dewPointC } = temperatureAt(at, seed, wetness, rainMm);
  const humidityPercent = Math.min(100, (100 * vapourPressure(dewPointC)) / vapourPressure(temperatureC));
  const wetBefore = [1, 2].some((back) => rainAt(at - back * hourMs, seed, wetnessAt(at - back * hourMs, seed)) > 0.1);
  return {
    at,
    temperatureC: round(temperatureC, 1),
    humidityPercent: round(humidityPercent, 0),
    rainMm,
    windMetresPerSecond: round(windAt(at, seed, wetness), 1),
    leafWetMinutes: rainMm > 0 ? 60 : humidityPercent >= 93 ? 60 : wetBefore ? 40 : humidityPercent >= 89 ? 20 : 0,
  };
}

function wetnessAt(at: number, seed: number): number {
  const days = at / dayMs;
  const own = spellAt(at);
  const drift = smoothNoise(seed + pressure, days / 3.5) * 0.8;
  return (own ? own.wetter * 0.75 + drift * 0.15 : drift) + smoothNoise(seed + showers, days / 0.9) * 0.35;
}

function rainAt(at: number, seed: number, wetness: number): number {
  const hour = Math.floor(at / hourMs);
  const chance = Math.min(0.5, Math.max(0, (wetness - rainLevel) * 0.8));
  if (drawAt(seed + showers, hour) >= chance) return 0;
  return round(Math.max(0.2, -Math.log(1 - drawAt(seed + amounts, hour)) * (0.5 + wetness * 0.5)), 1);
}

function temperatureAt(at: number, seed: number, wetness: number, rainMm: number): { temperatureC: number; dewPointC: number } {
  const days = at / dayMs;
  const yearly = 10.2 - 7 * Math.cos((2 * Math.PI * (days - 25)) / 365.2425);
  const mean =
    yearly + smoothNoise(seed + warmth, days / 5) * 3.2 + smoothNoise(seed + shorter, days / 1.7) * 1.4 + (spellAt(at)?.warmerC ?? 0);
  // Clouds flatten the day. The sun is highest at noon, the air warmest three hours later.
  const swing = Math.max(1.2, 4.6 - 3.4 * Math.max(0, Math.min(1, wetness + 0.3))) * (yearly / 14 + 0.35);
  const hour = (at % dayMs) / hourMs;
  const temperatureC = mean + swing * Math.cos((2 * Math.PI * (hour - 15)) / 24) - (rainMm > 0 ? 0.8 : 0);
  const dewPointC = Math.min(temperatureC - (rainMm > 0 ? 0.3 : 0), mean - swing * 0.9 + Math.max(-2.5, Math.min(0.4, wetness * 2)));
  return { temperatureC, dewPointC };
}

function windAt(at: number, seed: number, wetness: number): number {
  const days = at / dayMs;
  const hour = (at % dayMs) / hourMs;
  const front = 2.6 + smoothNoise(seed + gusts, days / 1.3) * 1.6 + Math.max(0, wetness) * 1.5;
  const byDay = 1 + 0.45 * Math.cos((2 * Math.PI * (hour - 14)) / 24);
  return Math.max(0, front * byDay + (drawAt(seed + gustsOfHour, Math.floor(at / hourMs)) - 0.5));
}

function spellAt(at: number) {
  const day = new Date(at).toISOString().slice(0, 10);
  return spells.find(({ from, until }) => from <= day && day <= until);
}

/** Tetens' formula, hPa. */
const vapourPressure = (celsius: number) => 6.1078 * 10 ** ((7.5 * celsius) / (celsius + 237.3));

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;
