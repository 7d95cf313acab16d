import type { MilpRow } from './milp.js';
import type { Placing } from './placing.js';
import type { PlanLine } from './planQuestion.js';

/** The line that a row of the programme stands for; none where it only says that a round is done once or not. */
export type RowTag = PlanLine | 'once';

/** A placing and its column. */
export interface PlacingColumn extends Placing {
  readonly column: number;
  readonly slot: number;
}

/** Columns that count, each with how much. */
export type Terms = readonly (readonly [column: number, weight: number])[];

export const weigh = (columns: readonly PlacingColumn[], weight = 1): Terms => columns.map(({ column }) => [column, weight] as const);

/** A line of the programme from columns that may be named more than once. */
export function row(
  tag: RowTag,
  terms: Terms,
  { lower = -Infinity, upper = Infinity }: { lower?: number; upper?: number },
): MilpRow<RowTag> {
  const sums = new Map<number, number>();
  for (const [column, weight] of terms) sums.set(column, (sums.get(column) ?? 0) + weight);
  const kept = [...sums].filter(([, weight]) => weight !== 0);
  return { tag, indices: kept.map(([column]) => column), values: kept.map(([, weight]) => weight), lower, upper };
}
