import type { PlanChange, SlotWeather } from '@field-nurse/core/planning';
import { planLineText } from '@field-nurse/library/texts';
import { slotWord } from '../shared/days';

/** Why a round is to move, in one line: what keeps it from where it stood. */
export function whyWord({ from, to, why }: PlanChange, today: string): string {
  if (!from) return 'new';
  if (from.date === to.date && from.slot === to.slot) return why.length > 0 ? linesWord(why) : 'Something else does more for less.';
  const was = `was ${slotWord(from.date, from.slot, today)}`;
  if (from.date < today || (from.date === today && why.includes('earliest'))) return `${was}, which is past.`;
  return why.length > 0 ? `${was}. ${linesWord(why)}` : `${was}. All plans together lose less so.`;
}

/** Lines in sentences. */
export const linesWord = (lines: readonly (keyof typeof planLineText)[]): string => lines.map((line) => planLineText[line]).join(' ');

// Planning only: a light breeze carries drift.
const windyKmh = 15;
// Nobody plans by less.
const leastChance = 0.05;

/** What a forecast says of a half-day, with its doubt. */
export function skyWord({ rainMm, rainChance, windKmh }: Pick<SlotWeather, 'rainMm' | 'rainChance' | 'windKmh'>): string {
  const wind = isWindy({ windKmh }) ? `, wind ${Math.round(windKmh)} km/h` : '';
  const percent = rainChance === undefined ? undefined : Math.round(100 * rainChance);
  const sure = percent === undefined || percent === 100;
  if (rainMm > 0) return `${rainMm.toFixed(1)} mm of rain${sure ? '' : `, ${percent} % likely`}${wind}`;
  return `dry${(rainChance ?? 0) < leastChance ? '' : `, though rain is ${percent} % likely`}${wind}`;
}

export const isWindy = ({ windKmh }: Pick<SlotWeather, 'windKmh'>): boolean => windKmh > windyKmh;

/** "+3.20": what a move costs, in the garden's money; a hair more is nothing. */
export const costWord = (extra: number): string =>
  extra < 0.005 ? 'costs nothing' : `costs ${extra < 10 ? extra.toFixed(2) : Math.round(extra)} more`;
