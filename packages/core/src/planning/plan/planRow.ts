import type { MilpRow } from './milp.js';
import type { Placing } from './placing.js';
import type { Counts, PlanLine } from './planQuestion.js';

/** The line that a row of the programme stands for; none where it only says that a round is done once or not. */
export type RowTag = PlanLine | 'once';

/** A placing and its column. */
export interface PlacingColumn extends Placing {
  readonly column: number;
  readonly slot: number;
  /** who does it, on a day on which that is settled with it */
  readonly by?: string | undefined;
}

/** A line that a solution breaks: how much each placing counts for it, and how much there may be. */
export interface Fault {
  readonly tag: RowTag;
  readonly weightOf: (placing: Placing) => number;
  readonly upper: number;
}

/** The same in a programme with these columns. */
export const rowOf = ({ tag, weightOf, upper }: Fault, columns: readonly PlacingColumn[]): MilpRow<RowTag> =>
  row(
    tag,
    columns.map((one) => [one.column, weightOf(one)] as const),
    { upper },
  );

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

/** Whether a line counts, and can be broken: what can't be exceeded says nothing. */
export const saysSomething = ({ tag, values, upper }: MilpRow<RowTag>, counts: Counts): boolean =>
  (tag === 'once' || isMeant(tag, counts)) && values.reduce((sum, value) => sum + Math.max(0, value), 0) > upper;

/** Which mode of action follows which is only known where no two rounds of a case share a half-day. */
const isMeant = (line: PlanLine, counts: Counts) => counts(line) || (line === 'same-slot' && counts('rotation'));
