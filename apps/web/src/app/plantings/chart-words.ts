import type { AlmanacAnswer } from '@field-nurse/contract';
import { daysBetween } from '@field-nurse/core/timing';
import type { Library } from '../library/library';
import { dayWord } from '../shared/days';
import type { ChartRow } from './chart-rows';

type Names = Pick<Library, 'hostName' | 'interventionName'>;

// A look says something of so many days after it.
const lookSpeaksDays = 10;

/** What stands under a planting's name: cultivar and place. */
export const underWord = ({ planting, place }: ChartRow): string => [planting.cultivar, place].filter(Boolean).join(' · ');

/** "Leek, Winter Spear, Long bed" */
export const rowName = (library: Names, { planting, place }: ChartRow): string =>
  [library.hostName(planting.host), planting.cultivar, place].filter(Boolean).join(', ');

/** What a point of the chart says: of a planting on a day, or of the sky on it. */
export function dayOfRowWord(library: Names, day: string, today: string, row: ChartRow | undefined, sky: AlmanacAnswer['days']): string {
  const on = dayWord(day, today);
  if (row) return `${rowName(library, row)}, ${on}${told(library, row, day)}`;
  const weather = sky.find((one) => one.day === day);
  if (!weather || weather.minC === null || weather.maxC === null) return on;
  return `${on}, ${Math.round(weather.minC)} to ${Math.round(weather.maxC)} °C, ${(weather.rainMm ?? 0).toFixed(1)} mm`;
}

function told(library: Names, { cases, treatments, waits, rests }: ChartRow, day: string): string {
  const look = cases.flatMap(({ points }) => points).findLast((point) => point.day <= day && daysBetween(point.day, day) < lookSpeaksDays);
  const last = treatments.findLast((one) => one.day <= day);
  const left = last?.left[daysBetween(last.day, day)];
  return [
    look ? `: ${Math.round(look.severity)} % on ${dayWord(look.day)}` : '',
    last && left !== undefined ? `; ${library.interventionName(last.intervention)}, ${Math.round(100 * left)} % left` : '',
    waits.some(({ from, to }) => from <= day && day < to) ? '; not to be picked' : '',
    rests.some(({ from, to }) => from <= day && day < to) ? '; its ground rests from it' : '',
  ].join('');
}
