import { addDays } from '../timing/index.js';
import type { LevelledCondition } from './levels.js';
import { spotRates } from './trapCatch.js';
import type { SpotRate } from './trapCatch.js';
import { trapIntervals, weeklyCatch } from './trapIntervals.js';
import type { TrapPause, TrapPlace } from './trapIntervals.js';

export type TrapKind = 'sticky-card' | 'pheromone' | 'slug' | 'snap' | 'fly';

/** A trap with where it stood and when it caught nothing. */
export interface Trap<Spot extends TrapPlace = TrapPlace> {
  readonly id: string;
  readonly name: string;
  readonly kind: TrapKind;
  /** the condition that it is for */
  readonly target: string | null;
  /** in order of day; at least one */
  readonly spots: readonly Spot[];
  /** the grower's own level, caught in a week */
  readonly weeklyLevel: number | null;
  readonly pauses: readonly TrapPause[];
  readonly endedOn: string | null;
}

/** A reading of a trap: what was in it, by kind. */
export interface Catch {
  readonly id: string;
  readonly trapId: string;
  readonly checkedOn: string;
  readonly caught: readonly { readonly count: number }[];
  readonly emptied: boolean;
}

/** Snap traps are looked at every day: what is caught must not suffer. */
const checkEvery: Readonly<Record<TrapKind, number>> = { snap: 1, slug: 2, fly: 7, pheromone: 7, 'sticky-card': 7 };

/** Everything in a trap, of whatever kind. */
export const totalOf = ({ caught }: Pick<Catch, 'caught'>): number => caught.reduce((sum, { count }) => sum + count, 0);

/** Readings of a trap, in order of day. */
export const readingsOf = <C extends Catch>(trapId: string, catches: readonly C[]): C[] =>
  catches.filter((one) => one.trapId === trapId).sort((a, b) => a.checkedOn.localeCompare(b.checkedOn) || a.id.localeCompare(b.id));

/** What a trap caught between its readings. */
export const intervalsOf = ({ id, spots, pauses }: Trap, catches: readonly Catch[]) =>
  trapIntervals(
    spots,
    readingsOf(id, catches).map((one) => ({ checkedOn: one.checkedOn, count: totalOf(one), emptied: one.emptied })),
    pauses,
  );

/** The spot at which it stands now. */
export const spotNow = <Spot extends TrapPlace>({ spots }: Pick<Trap<Spot>, 'spots'>): Spot => spots.at(-1)!;

/** The pause that a trap has on a day; none when it catches. */
export const pausedOn = (day: string, { pauses }: Pick<Trap, 'pauses'>): TrapPause | undefined =>
  pauses.find(({ from, until }) => from <= day && (!until || until > day));

/** The day on which it wants to be looked at; none while it pauses. */
export function checkOn(trap: Trap, catches: readonly Catch[], today: string): string | null {
  if (trap.endedOn || pausedOn(today, trap)) return null;
  const last = readingsOf(trap.id, catches).at(-1)?.checkedOn ?? '';
  const since = [last, spotNow(trap).from, ...trap.pauses.flatMap(({ until }) => until ?? [])]
    .filter((day) => day <= today)
    .sort()
    .at(-1);
  return addDays(since ?? today, checkEvery[trap.kind]);
}

/** The level in a week at which it pays to act, and what it rests on; `null` where it is the grower's own. */
export function levelOf(
  { weeklyLevel, kind }: Trap,
  condition: LevelledCondition | undefined,
): { readonly act: number; readonly basis: string | null } | null {
  if (weeklyLevel !== null) return { act: weeklyLevel, basis: null };
  const told = condition?.levels.find(({ measure, trap }) => measure === 'trap-per-week' && (!trap || trap === kind));
  return told ? { act: told.act, basis: condition!.threshold.basis } : null;
}

/** How a trap does: its newest rate against its level. */
export function trapState(trap: Trap, catches: readonly Catch[], condition: LevelledCondition | undefined) {
  const weekly = weeklyCatch(intervalsOf(trap, catches));
  const level = levelOf(trap, condition);
  const verdict = weekly === null || !level ? ('unknown' as const) : weekly >= level.act ? ('act' as const) : ('leave' as const);
  return { weekly, level, verdict };
}

export interface SpotGroup {
  readonly kind: Trap['kind'];
  readonly target: string | null;
  readonly spots: readonly SpotRate[];
}

/** Catch per day by spot, among traps of one kind for one trouble: only those can be compared. */
export function spotGroups(traps: readonly Trap[], catches: readonly Catch[]): SpotGroup[] {
  const keys = [...new Set(traps.map(({ kind, target }) => `${kind} ${target ?? ''}`))];
  return keys.flatMap((key): SpotGroup[] => {
    const own = traps.filter(({ kind, target }) => `${kind} ${target ?? ''}` === key);
    const spots = spotRates(
      own.flatMap((trap) => intervalsOf(trap, catches).map((interval) => ({ ...interval, spot: `${trap.name}: ${interval.spot}` }))),
    );
    return spots.length > 1 ? [{ kind: own[0]!.kind, target: own[0]!.target, spots }] : [];
  });
}
