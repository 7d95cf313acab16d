import type { PlanChange } from '@field-nurse/core/planning';
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

/** "+3.20": what a move costs, in the garden's money; a hair more is nothing. */
export const costWord = (extra: number): string =>
  extra < 0.005 ? 'costs nothing' : `costs ${extra < 10 ? extra.toFixed(2) : Math.round(extra)} more`;
