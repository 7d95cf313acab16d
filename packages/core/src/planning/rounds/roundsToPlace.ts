import { addDays } from '../../timing/index.js';
import type { HalfDay, PlanProduct, PlanRound } from '../plan/index.js';

/** A way to do the rounds of a plan, with what its label says of each day. */
export interface WayOfPlan extends Omit<PlanProduct, 'barred'> {
  /** lines of its label that forbid it on a day; none: it may be done then */
  readonly forbiddenOn: (day: string) => readonly string[];
}

/** A round as it stands in the garden's records. */
export interface KnownRound {
  readonly ordinal: number;
  readonly state: 'planned' | 'under-way' | 'done' | 'not-needed';
  readonly date: string;
  readonly slot: HalfDay;
  /** id of the way that was chosen */
  readonly way: string;
  /** who was told to do it */
  readonly person?: string | undefined;
  /** it stays where it is */
  readonly held: boolean;
}

/** A plan of the garden, with what it takes to place its rounds. */
export interface PlanToPlace {
  readonly id: string;
  readonly case: string;
  readonly place: string;
  readonly startsOn: string;
  readonly rounds: number;
  /** at least, between two rounds */
  readonly betweenDays: number;
  /** first and last day */
  readonly flowers?: { readonly from: string; readonly until: string } | undefined;
  /** what would be lost if nothing were done */
  readonly value: number;
  readonly onset: Onset;
  readonly ways: readonly WayOfPlan[];
  readonly known: readonly KnownRound[];
  /** id of a plan whose first open round comes before: what is cut away is not sprayed */
  readonly follows?: string | undefined;
}

/** How fast a trouble comes on. */
export type Onset = 'overnight' | 'days' | 'weeks' | 'season';

/**
 * How much of what is at stake a day of waiting costs: our estimate from how fast a trouble comes on. Troubles that run through a crop in a week or
 * two take about a tenth a day; those that creep over a season hardly anything.
 */
const dailyShare: Readonly<Record<Onset, number>> = { overnight: 0.1, days: 0.06, weeks: 0.02, season: 0.005 };

// What people have been told is not moved for a gain that nobody would notice.
const moveShare = 0.01;

export const roundId = (plan: string, ordinal: number): string => `${plan} ${ordinal}`;

/**
 * The rounds of the garden's plans that are still to be done, as the planner asks for them.
 *
 * What was done fixes when the next may follow. A round that was put somewhere by hand, or that somebody has begun, stays there as long as the day has
 * not passed; any other is free, but not moved for nothing. What was decided is left out only where it can't be: leaving it out loses more than doing
 * it late and dearly.
 *
 * @param today - the first day that is planned
 * @param days - so many days are planned
 * @param minutePrice - what a minute of work costs
 */
export const roundsToPlace = (plans: readonly PlanToPlace[], today: string, days: number, minutePrice = 0): PlanRound[] =>
  plans.flatMap((plan) =>
    roundsOf(
      plan,
      plans.find(({ id }) => id === plan.follows),
      today,
      days,
      minutePrice,
    ),
  );

/** Ordinals of the rounds that are still to be done. */
const openOf = ({ known, rounds }: PlanToPlace): number[] =>
  Array.from({ length: rounds }, (_, i) => i + 1).filter(
    (ordinal) => !['done', 'not-needed'].includes(known.find((one) => one.ordinal === ordinal)?.state ?? 'planned'),
  );

function roundsOf(plan: PlanToPlace, before: PlanToPlace | undefined, today: string, days: number, minutePrice: number): PlanRound[] {
  const { known, betweenDays } = plan;
  const products = plan.ways.map((way) => productOf(way, today, days));
  const of = (ordinal: number) => known.find((one) => one.ordinal === ordinal);
  const open = openOf(plan);
  // Once something of the plan is done, or of the one before nothing is open, the order is kept already.
  const first = before && open.length === plan.rounds ? openOf(before)[0] : undefined;
  const lastDone = known
    .filter(({ state }) => state === 'done')
    .map(({ date }) => date)
    .sort()
    .at(-1);
  const value = plan.value / plan.rounds;
  const dailyLoss = value * dailyShare[plan.onset];
  const dearest = Math.max(0, ...plan.ways.map(({ cost, minutes }) => cost + minutes * minutePrice));
  return open.map((ordinal, i): PlanRound => {
    const stored = of(ordinal);
    const isHeld = stored !== undefined && (stored.held || stored.state === 'under-way') && stored.date >= today;
    const heldBy = products.filter(({ id }) => id === stored?.way);
    return {
      id: roundId(plan.id, ordinal),
      case: plan.case,
      place: plan.place,
      earliest: isHeld ? stored.date : latestOf([today, plan.startsOn, ...(lastDone && i === 0 ? [addDays(lastDone, betweenDays)] : [])]),
      ...(isHeld && { latest: stored.date, only: stored.slot }),
      ...(i > 0 && { after: { round: roundId(plan.id, open[i - 1]!), minDays: betweenDays } }),
      ...(i === 0 && first !== undefined && !isHeld && { after: { round: roundId(before!.id, first), minDays: 0 } }),
      dailyLoss,
      value,
      dropLoss: dailyLoss * days + value + dearest,
      ...(plan.flowers && { flowers: plan.flowers }),
      products: isHeld && heldBy.length > 0 ? heldBy : products,
      ...(stored &&
        !isHeld &&
        stored.date >= today && {
          expected: { date: stored.date, slot: stored.slot, moveLoss: value * moveShare, ...(stored.person && { person: stored.person }) },
        }),
    };
  });
}

const latestOf = (days: readonly string[]) => [...days].sort().at(-1)!;

/** A way with the stretches of days in which its label forbids it. */
function productOf({ forbiddenOn, ...way }: WayOfPlan, today: string, days: number): PlanProduct {
  const barred: { from: string; until: string }[] = [];
  for (let i = 0; i < days; i++) {
    const day = addDays(today, i);
    if (forbiddenOn(day).length === 0) continue;
    const last = barred.at(-1);
    if (last?.until === addDays(day, -1)) last.until = day;
    else barred.push({ from: day, until: day });
  }
  return { ...way, barred };
}
