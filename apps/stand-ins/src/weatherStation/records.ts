import { weatherAt } from './climate.js';
import type { Hour } from './climate.js';
import { drawAt, smoothNoise } from './noise.js';

const hourMs = 3_600_000;
const [outage, sensorOut, delay, forecastError] = [31, 32, 33, 34];
const forecastHours = 240;
// An outage begins on about one day in twelve and lasts up to nine hours; on one day in nine the leaf sensor is silent.
const outageChance = 1 / 12;
const sensorOutChance = 1 / 9;
// One hour in five arrives late, by up to six hours.
const lateChance = 0.2;

/** What the station sends of an hour; an instrument that was silent sends null. */
export interface StationRecord {
  readonly time: string;
  readonly air_temperature: number | null;
  readonly relative_humidity: number | null;
  readonly precipitation: number | null;
  /** metres per second */
  readonly wind_speed: number | null;
  /** minutes of the hour */
  readonly leaf_wetness: number | null;
}

/**
 * What the station has recorded, as known at an instant: hours that arrive late are not there yet, and those of an outage never come.
 *
 * @param from - inclusive, to - exclusive, asOf - now; milliseconds since 1970
 */
export function observations(from: number, to: number, asOf: number, seed: number): StationRecord[] {
  const records: StationRecord[] = [];
  for (let at = Math.ceil(from / hourMs) * hourMs; at < Math.min(to, asOf - hourMs + 1); at += hourMs)
    if (!isOut(at, seed) && arrivedAt(at, seed) <= asOf) records.push(asRecord(weatherAt(at, seed), isSensorOut(at, seed)));
  return records;
}

/** A forecast for ten days, made at an instant. It errs more the further it looks. */
export function forecast(issued: number, seed: number): StationRecord[] {
  const start = Math.ceil(issued / hourMs) * hourMs;
  return Array.from({ length: forecastHours }, (_, i) => {
    const at = start + i * hourMs;
    const days = i / 24;
    // Far off, the forecast sees the right weather at the wrong hour.
    const issue = Math.floor(issued / (6 * hourMs));
    const shift = Math.round(smoothNoise(seed + forecastError + issue, days / 2) * days * 1.6) * hourMs;
    const seen = weatherAt(at + shift, seed);
    const { temperatureC } = weatherAt(at, seed);
    const warmer = smoothNoise(seed + forecastError + issue + 1, days) * days * 0.4;
    return asRecord({ ...seen, at, temperatureC: Math.round((temperatureC + warmer) * 10) / 10 }, true);
  });
}

const dayOf = (at: number) => Math.floor(at / (24 * hourMs));

function isOut(at: number, seed: number): boolean {
  const day = dayOf(at);
  if (drawAt(seed + outage, day) >= outageChance) return false;
  const first = Math.floor(drawAt(seed + outage + 1, day) * 14);
  const length = 2 + Math.floor(drawAt(seed + outage + 2, day) * 8);
  const hour = (at / hourMs) % 24;
  return hour >= first && hour < first + length;
}

const isSensorOut = (at: number, seed: number) => drawAt(seed + sensorOut, dayOf(at)) < sensorOutChance;

function arrivedAt(at: number, seed: number): number {
  const hour = at / hourMs;
  const late = drawAt(seed + delay, hour) < lateChance ? Math.floor(drawAt(seed + delay + 1, hour) * 6) + 1 : 0;
  return at + (1 + late) * hourMs;
}

function asRecord({ at, ...hour }: Hour, leafSensorOut: boolean): StationRecord {
  return {
    time: new Date(at).toISOString(),
    air_temperature: hour.temperatureC,
    relative_humidity: hour.humidityPercent,
    precipitation: hour.rainMm,
    wind_speed: hour.windMetresPerSecond,
    leaf_wetness: leafSensorOut ? null : hour.leafWetMinutes,
  };
}
