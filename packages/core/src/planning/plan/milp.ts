/** A line of a 0-1 programme: a weighted sum of its columns stays within bounds. */
export interface MilpRow<Tag> {
  readonly indices: readonly number[];
  readonly values: readonly number[];
  readonly lower: number;
  readonly upper: number;
  /** what it stands for */
  readonly tag: Tag;
}

/** A least-cost choice among yes-or-no columns. */
export interface Milp<Tag> {
  readonly costs: readonly number[];
  /** columns from this one on follow from the others: they are no choices, cost nothing and lie between 0 and 1 */
  readonly choices: number;
  readonly rows: readonly MilpRow<Tag>[];
  /** columns that may not be chosen */
  readonly barred: readonly number[];
}

/** `optimal`: nothing is better; `feasible`: time was up, nothing is better than the bound; `open`: time was up before anything was found. */
export type MilpOutcome =
  | { readonly status: 'optimal' | 'feasible'; readonly objective: number; readonly bound: number; readonly chosen: readonly number[] }
  | { readonly status: 'infeasible' | 'open' };

/**
 * Something that solves 0-1 programmes exactly.
 *
 * @param seconds - when to stop and say what was found
 * @param known - the values of all columns in something that is allowed, to begin with
 */
export type MilpSolver = <Tag>(milp: Milp<Tag>, seconds: number, known?: readonly number[]) => MilpOutcome;
