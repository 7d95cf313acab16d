import type { ResidueFacts } from '../timing/index.js';

/** A range that a number may lie in. */
export type Span = readonly [low: number, high: number];

/** Something that can be done in the season, as far as the trouble feels it. Amounts are for one plant. */
export interface SeasonAction {
  readonly id: string;
  /**
   * what it does, each as a share from 0 to 1 with its doubt: of a pest the share of each stage that it kills, and under `arrivals` of
   * what comes in that it keeps off from then on; of a disease under `protects` the share of infections that it keeps off, under `cures` of those that
   * hatch, and under `clears` of the leaf with spots that it takes away
   */
  readonly effect: Readonly<Record<string, Span>>;
  /** it gets to what sits sheltered, too */
  readonly reachesSheltered: boolean;
  /** how long what was put on keeps; nothing stays without it */
  readonly residue?: ResidueFacts | undefined;
  /** helpers that are set out on each plant */
  readonly releases?: number | undefined;
  /** share of the helpers that live through it */
  readonly sparesHelpers: number;
  /** 0 none, 0.3 slight, 1 serious */
  readonly harmsBees: number;
  readonly harmsHelpers: number;
  /** what acts alike selects for the same resistance */
  readonly group?: string | undefined;
  readonly isSpray: boolean;
  readonly cost: number;
  readonly minutes: number;
  /** at least so many days between two of it */
  readonly everyDays: number;
  /** most in the season */
  readonly most?: number | undefined;
  /** of the air, °C */
  readonly minC?: number | undefined;
  readonly maxC?: number | undefined;
  readonly preHarvestDays?: number | undefined;
}

/** The middle of what it does, or where in its range a run has it: `at` from 0 to 1. */
export const effectOf = ({ effect }: Pick<SeasonAction, 'effect'>, what: string, at: number): number => {
  const span = effect[what];
  return span ? span[0] + (span[1] - span[0]) * at : 0;
};
