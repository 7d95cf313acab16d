import { instantOf, hourMs } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import { parse } from 'papaparse';

/** Why a file of weather can't be read, in words for the gardener. */
export class NotWeather extends Error {}

type Quantity = Exclude<keyof WeatherHour, 'at'>;
type Row = Readonly<Record<string, unknown>>;

/** How a column is known by its head, and what its unit does to the value. */
interface Column {
  readonly head: string;
  readonly toSi: (value: number) => number;
}

const kinds: readonly {
  readonly quantity: Quantity;
  readonly heads: RegExp;
  readonly units: readonly [RegExp, (value: number) => number][];
}[] = [
  {
    quantity: 'temperatureC',
    heads: /^(air.?)?temp/,
    units: [[/(°f|_f\b|\bf\b|fahrenheit)/, (f) => ((f - 32) * 5) / 9]],
  },
  { quantity: 'humidityPercent', heads: /humid|^rh/, units: [] },
  { quantity: 'rainMm', heads: /rain|precip/, units: [[/(\bin\b|inch|_in\b)/, (inches) => inches * 25.4]] },
  {
    quantity: 'windKmh',
    heads: /^wind(?!.*(dir|bearing))/,
    units: [
      [/mph/, (mph) => mph * 1.609344],
      [/m\/s|ms-1|_mps/, (metres) => metres * 3.6],
      [/kn(ot)?s?\b/, (knots) => knots * 1.852],
    ],
  },
  { quantity: 'leafWetMinutes', heads: /wet/, units: [] },
];
const ranges: Readonly<Record<Quantity, readonly [number, number]>> = {
  temperatureC: [-60, 60],
  humidityPercent: [0, 100],
  rainMm: [0, 300],
  windKmh: [0, 400],
  leafWetMinutes: [0, 60],
};
const sums: ReadonlySet<Quantity> = new Set(['rainMm', 'leafWetMinutes']);
const timeHead = /^(time|date|at$|hour|timestamp)/;
const mostRows = 200_000;

/**
 * Hours of weather from a CSV or JSON file. Columns are known by their heads (time; temperature, humidity, rain, wind, leaf wetness), units by what the
 * head says (°F, mph, m/s, knots, inches). Rows within an hour are put together: rain is added, the rest is averaged. Empty cells stay unknown.
 *
 * @param timeZone - of times without an offset
 * @throws NotWeather that names the first rows that can't be read
 */
export function readWeatherFile(text: string, timeZone: string): WeatherHour[] {
  const rows = rowsOf(text);
  if (rows.length === 0) throw new NotWeather('The file has no rows.');
  if (rows.length > mostRows) throw new NotWeather(`The file has ${rows.length} rows; up to ${mostRows} can be read at a time.`);
  const heads = Object.keys(rows[0]!);
  const time = heads.find((head) => timeHead.test(head.trim().toLowerCase()));
  if (!time) throw new NotWeather(`No column says when: one must be called time or date. There are: ${heads.slice(0, 8).join(', ')}.`);
  const columns = columnsOf(heads);
  if (columns.size === 0)
    throw new NotWeather('No column is known. They are called temperature, humidity, rain, wind or leaf wetness, in any order.');
  const problems: string[] = [];
  const byHour = new Map<number, Map<Quantity, number[]>>();
  rows.forEach((row, i) => {
    const at = instantOfCell(row[time], timeZone);
    if (at === null) return void problems.push(`row ${i + 1}: “${cellWord(row[time])}” is no time such as 2026-07-18 09:00`);
    const hour = Math.floor(at / hourMs) * hourMs;
    const values = byHour.get(hour) ?? new Map<Quantity, number[]>();
    byHour.set(hour, values);
    for (const [quantity, { head, toSi }] of columns) {
      const value = numberOf(row[head]);
      if (value === null) continue;
      const si = Number.isNaN(value) ? NaN : toSi(value);
      const [low, high] = ranges[quantity];
      if (!(si >= low && si <= high)) problems.push(`row ${i + 1}, ${head}: “${cellWord(row[head])}” is not from ${low} to ${high}`);
      else values.set(quantity, [...(values.get(quantity) ?? []), si]);
    }
  });
  if (problems.length > 0)
    throw new NotWeather(
      `Nothing was taken in. ${problems.slice(0, 4).join('; ')}${problems.length > 4 ? `; and ${problems.length - 4} more` : ''}.`,
    );
  return [...byHour].sort(([a], [b]) => a - b).map(([at, values]) => hourOf(at, values));
}

function rowsOf(text: string): Row[] {
  if (/^\s*[[{]/.test(text)) return jsonRows(text);
  const { data, errors } = parse<Row>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const broken = errors.find(({ type }) => type === 'Quotes' || type === 'FieldMismatch');
  if (broken) throw new NotWeather(`Row ${(broken.row ?? 0) + 1} does not fit its heads: ${broken.message.toLowerCase()}.`);
  return data;
}

function jsonRows(text: string): Row[] {
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch {
    throw new NotWeather('The file begins like JSON but is none.');
  }
  const list = Array.isArray(content) ? content : (content as { hours?: unknown }).hours;
  if (!Array.isArray(list) || !list.every((row) => typeof row === 'object' && row !== null))
    throw new NotWeather('The JSON holds no list of hours: it is a list of objects, or an object with such a list under “hours”.');
  return list as Row[];
}

function columnsOf(heads: readonly string[]): Map<Quantity, Column> {
  const columns = new Map<Quantity, Column>();
  for (const head of heads) {
    const name = head.trim().toLowerCase();
    const kind = kinds.find(({ quantity, heads: known }) => !columns.has(quantity) && known.test(name));
    if (!kind) continue;
    const unit = kind.units.find(([pattern]) => pattern.test(name));
    columns.set(kind.quantity, { head, toSi: unit?.[1] ?? ((value) => value) });
  }
  return columns;
}

function instantOfCell(cell: unknown, timeZone: string): number | null {
  const match = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2})(?::\d{2}(?:\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/.exec(String(cell ?? '').trim());
  if (!match) return null;
  const [, day, clock, offset] = match;
  try {
    const at = Date.parse(
      offset ? `${day}T${clock}:00${offset.replace(/(\d{2})(\d{2})$/, '$1:$2')}` : instantOf(`${day}T${clock}`, timeZone),
    );
    return Number.isNaN(at) ? null : at;
  } catch {
    return null;
  }
}

/** `null` for an empty cell, NaN for what is no number. */
function numberOf(cell: unknown): number | null {
  const text = String(cell ?? '').trim();
  return text === '' || /^(na|n\/a|null|-+)$/i.test(text) ? null : Number(text.replace(',', '.'));
}

const cellWord = (cell: unknown) => String(cell ?? '').slice(0, 30);

function hourOf(at: number, values: ReadonlyMap<Quantity, readonly number[]>): WeatherHour {
  const of = (quantity: Quantity): number | null => {
    const known = values.get(quantity);
    if (!known) return null;
    const sum = known.reduce((so, value) => so + value, 0);
    const [, high] = ranges[quantity];
    return Math.round(Math.min(high, sums.has(quantity) ? sum : sum / known.length) * 100) / 100;
  };
  return {
    at: new Date(at).toISOString(),
    temperatureC: of('temperatureC'),
    humidityPercent: of('humidityPercent'),
    rainMm: of('rainMm'),
    windKmh: of('windKmh'),
    leafWetMinutes: of('leafWetMinutes'),
  };
}
