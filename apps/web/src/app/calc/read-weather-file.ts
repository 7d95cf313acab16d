import { hoursFromRows } from '@field-nurse/core/timing';
import type { CellFault, WeatherFault, WeatherHour, WeatherRow } from '@field-nurse/core/timing';
import { parse } from 'papaparse';

/** Why a file of weather can't be read, in words for the gardener. */
class NotWeather extends Error {}

const mostRows = 200_000;

/** Hours of weather from a CSV or JSON file, or why there are none, in words for the gardener. */
export function readWeatherFile(text: string, timeZone: string): { readonly hours: WeatherHour[] } | { readonly refused: string } {
  try {
    const result = hoursFromRows(rowsOf(text), timeZone);
    return 'hours' in result ? result : { refused: faultWord(result.fault) };
  } catch (error) {
    if (error instanceof NotWeather) return { refused: error.message };
    throw error;
  }
}

function rowsOf(text: string): WeatherRow[] {
  if (/^\s*[[{]/.test(text)) return limited(jsonRows(text));
  // One row more than can be taken tells that there are too many, without reading them all.
  const { data, errors } = parse<WeatherRow>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    preview: mostRows + 1,
  });
  const broken = errors.find(({ type }) => type === 'Quotes' || type === 'FieldMismatch');
  if (broken) throw new NotWeather(`Row ${(broken.row ?? 0) + 1} does not fit its heads: ${broken.message.toLowerCase()}.`);
  return limited(data);
}

function limited(rows: WeatherRow[]): WeatherRow[] {
  if (rows.length > mostRows)
    throw new NotWeather(`The file has more than ${mostRows.toLocaleString('en-GB')} rows, which is the most that can be read at a time.`);
  return rows;
}

function jsonRows(text: string): WeatherRow[] {
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch {
    throw new NotWeather('The file begins like JSON but is none.');
  }
  const list = Array.isArray(content) ? content : (content as { hours?: unknown }).hours;
  if (!Array.isArray(list) || !list.every((row) => typeof row === 'object' && row !== null))
    throw new NotWeather('The JSON holds no list of hours: it is a list of objects, or an object with such a list under “hours”.');
  return list as WeatherRow[];
}

function faultWord(fault: WeatherFault): string {
  switch (fault.code) {
    case 'no-rows':
      return 'The file has no rows.';
    case 'no-time-column':
      return `No column says when: one must be called time or date. There are: ${fault.heads.slice(0, 8).join(', ')}.`;
    case 'no-known-column':
      return 'No column is known. They are called temperature, humidity, rain, wind or leaf wetness, in any order.';
    case 'cells': {
      const more = fault.count - fault.first.length;
      return `Nothing was taken in. ${fault.first.map(cellFaultWord).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`;
    }
  }
}

const cellFaultWord = (fault: CellFault): string =>
  fault.code === 'no-time'
    ? `row ${fault.row}: “${fault.cell}” is no time such as 2026-07-18 09:00`
    : `row ${fault.row}, ${fault.head}: “${fault.cell}” is not from ${fault.low} to ${fault.high}`;
