import type { Catch, Trap } from '@field-nurse/contract';
import { spotRates, trapIntervals, weeklyCatch } from '@field-nurse/core/sampling';
import type { SpotRate } from '@field-nurse/core/sampling';
import { addDays } from '@field-nurse/core/timing';
import type { Condition } from '@field-nurse/library';

/** Snap traps are looked at every day: what is caught must not suffer. */
const checkEvery: Readonly<Record<Trap['kind'], number>> = { snap: 1, slug: 2, fly: 7, pheromone: 7, 'sticky-card': 7 };

export const totalOf = ({ caught }: Pick<Catch, 'caught'>): number => caught.reduce((sum, { count }) => sum + count, 0);

/** Readings of a trap, in order of day. */
export const readingsOf = (trapId: string, catches: readonly Catch[]): Catch[] =>
  catches.filter((one) => one.trapId === trapId).sort((a, b) => a.checkedOn.localeCompare(b.checkedOn) || a.id.localeCompare(b.id));

/** What a trap caught between its readings. */
export const intervalsOf = ({ id, spots, pauses }: Trap, catches: readonly Catch[]) =>
  trapIntervals(
    spots,
    readingsOf(id, catches).map((one) => ({ checkedOn: one.checkedOn, count: totalOf(one), emptied: one.emptied })),
    pauses,
  );

/** The spot at which it stands now. */
export const spotNow = ({ spots }: Trap) => spots.at(-1)!;

export const pausedOn = (day: string, { pauses }: Trap) => pauses.find(({ from, until }) => from <= day && (!until || until > day));

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

/** The level in a week at which it pays to act, and whose it is. */
export function levelOf(
  { weeklyLevel, kind }: Trap,
  condition: Condition | undefined,
): { readonly act: number; readonly basis: string } | null {
  if (weeklyLevel !== null) return { act: weeklyLevel, basis: 'your own level' };
  const told = condition?.levels.find(({ measure, trap }) => measure === 'trap-per-week' && (!trap || trap === kind));
  return told ? { act: told.act, basis: condition!.threshold.basis } : null;
}

/** How a trap does: its newest rate against its level. */
export function trapState(trap: Trap, catches: readonly Catch[], condition: Condition | undefined) {
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
