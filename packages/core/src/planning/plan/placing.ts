import type { PlanProduct, PlanRound } from './planQuestion.js';

/** A round in a half-day with a product, and what that loses. */
export interface Placing {
  readonly round: number;
  /** days from the start */
  readonly day: number;
  readonly evening: boolean;
  readonly product: PlanProduct;
  readonly loss: number;
}

/** Half-days from the start, a morning first. */
export const slotOf = ({ day, evening }: Pick<Placing, 'day' | 'evening'>): number => 2 * day + Number(evening);

const hoursInSlot = 12;
// Spraying itself takes hours of which nobody knows when they fall in the half-day.
const hoursToSpray = 6;

/** Half-days that must stay dry from the one of the application on; none for what rain does nothing to. */
export const drySlots = ({ rainFastHours }: PlanProduct): number =>
  rainFastHours === undefined ? 0 : Math.max(1, Math.ceil((rainFastHours + hoursToSpray) / hoursInSlot));

/** Half-days for which nothing else is done in the place, that of the application among them. */
export const closedSlots = ({ reEntryHours = 0 }: PlanProduct): number => Math.ceil(reEntryHours / hoursInSlot);

/** What its amount is taken from. */
export const takenFrom = ({ id, pack }: PlanProduct): string => pack ?? id;

/** What a season's maximum is counted for. */
export const countedFor = ({ id, season }: PlanProduct): string => season ?? id;

/** What is lost where a round is not done. */
export const dropLossOf = ({ dropLoss, dailyLoss, value }: PlanRound, days: number): number => dropLoss ?? dailyLoss * days + value;
