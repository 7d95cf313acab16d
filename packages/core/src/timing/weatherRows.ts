import { instantOf } from './days.js';
import { hourMs } from './weatherHour.js';
import type { WeatherHour } from './weatherHour.js';

type Quantity = Exclude<keyof WeatherHour, 'at'>;
export type WeatherRow = Readonly<Record<string, unknown>>;

/** A cell that can't be read: its row from 1, its head and content, and what would be allowed. */
export type CellFault =
  | { readonly code: 'no-time'; readonly row: number; readonly cell: string }
  | {
      readonly code: 'out-of-range';
      readonly row: number;
      readonly head: string;
      readonly cell: string;
      readonly low: number;
      readonly high: number;
    };

/** Why rows are no weather. */
export type WeatherFault =
  | { readonly code: 'no-rows' }
  | { readonly code: 'no-time-column'; readonly heads: readonly string[] }
  | { readonly code: 'no-known-column' }
  | { readonly code: 'cells'; readonly first: readonly CellFault[]; readonly count: number };

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
const faultsTold = 4;

type Known = Map<Quantity, { sum: number; count: number }>;

/**
 * Hours of weather from the rows of a table. Columns are known by their heads (time; temperature, humidity, rain, wind, leaf wetness), units by what
 * the head says (°F, mph, m/s, knots, inches). Rows within an hour are put together: rain and wet minutes are added, the rest is averaged. Empty
 * cells stay unknown.
 *
 * @param timeZone - of times without an offset
 * @returns the hours in order, in SI; or why there are none, with the first cells that can't be read
 */
export function hoursFromRows(
  rows: readonly WeatherRow[],
  timeZone: string,
): { readonly hours: WeatherHour[] } | { readonly fault: WeatherFault } {
  if (rows.length === 0) return { fault: { code: 'no-rows' } };
  const heads = Object.keys(rows[0]!);
  const time = heads.find((head) => timeHead.test(head.trim().toLowerCase()));
  if (!time) return { fault: { code: 'no-time-column', heads } };
  const columns = columnsOf(heads);
  if (columns.size === 0) return { fault: { code: 'no-known-column' } };
  const first: CellFault[] = [];
  let count = 0;
  const tell = (fault: CellFault) => {
    if (count++ < faultsTold) first.push(fault);
  };
  const byHour = new Map<number, Known>();
  rows.forEach((row, i) => {
    const at = instantOfCell(row[time], timeZone);
    if (at === null) return tell({ code: 'no-time', row: i + 1, cell: cellWord(row[time]) });
    const hour = Math.floor(at / hourMs) * hourMs;
    const known = byHour.get(hour) ?? (new Map() as Known);
    byHour.set(hour, known);
    for (const [quantity, { head, toSi }] of columns) {
      const value = numberOf(row[head]);
      if (value === null) continue;
      const si = Number.isNaN(value) ? NaN : toSi(value);
      const [low, high] = ranges[quantity];
      if (si >= low && si <= high) {
        const { sum, count } = known.get(quantity) ?? { sum: 0, count: 0 };
        known.set(quantity, { sum: sum + si, count: count + 1 });
      } else tell({ code: 'out-of-range', row: i + 1, head, cell: cellWord(row[head]), low, high });
    }
  });
  if (count > 0) return { fault: { code: 'cells', first, count } };
  return { hours: [...byHour].sort(([a], [b]) => a - b).map(([at, known]) => hourOf(at, known)) };
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
  const match = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2})(?::\d{2}(?:\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/.exec(textOf(cell));
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
  const text = textOf(cell);
  return text === '' || /^(na|n\/a|null|-+)$/i.test(text) ? null : Number(text.replace(',', '.'));
}

/** What stands in a cell; a list or an object in it is nothing that could be read. */
const textOf = (cell: unknown): string =>
  typeof cell === 'string'
    ? cell.trim()
    : typeof cell === 'number' || typeof cell === 'boolean'
      ? String(cell)
      : cell
        ? JSON.stringify(cell)
        : '';
const cellWord = (cell: unknown) => textOf(cell).slice(0, 30);

function hourOf(at: number, known: Known): WeatherHour {
  const of = (quantity: Quantity): number | null => {
    const value = known.get(quantity);
    if (!value) return null;
    const [, high] = ranges[quantity];
    return Math.round(Math.min(high, sums.has(quantity) ? value.sum : value.sum / value.count) * 100) / 100;
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
