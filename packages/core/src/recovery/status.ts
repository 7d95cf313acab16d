/** One recovery look: how much of the plant is marked, and how the new growth is. */
export interface Assessment {
  readonly day: number;
  readonly severity: number;
  readonly count?: number | undefined;
  readonly newGrowth: 'clean' | 'marked' | 'none' | 'unknown';
}

export type RecoveryStatus = 'first-look' | 'recovering' | 'level' | 'relapsing' | 'clear';

// Eyes can't tell closer than this, percent of the plant.
const noticeable = 3;

/**
 * How a plant does since the look before, judged by new growth and falling counts first: old scars stay and say little.
 *
 * Clear: nothing found on the two newest looks and new growth clean. Relapsing: marked new growth after a clean one, or severity or count clearly up.
 *
 * @param looks - in order of day
 */
export function recoveryStatus(looks: readonly Assessment[]): RecoveryStatus {
  const last = looks.at(-1);
  const before = looks.at(-2);
  if (!last || !before) return 'first-look';
  if (isClear(last) && isClear(before)) return 'clear';
  const change = last.severity - before.severity;
  const countChange = relativeChange(before.count, last.count);
  if (last.newGrowth === 'marked' && before.newGrowth === 'clean') return 'relapsing';
  if (change > noticeable || countChange > 0.25) return 'relapsing';
  if (change < -noticeable || countChange < -0.25 || (last.newGrowth === 'clean' && before.newGrowth === 'marked')) return 'recovering';
  return 'level';
}

const isClear = ({ count, newGrowth }: Assessment) => count === 0 && newGrowth === 'clean';

function relativeChange(before: number | undefined, after: number | undefined): number {
  if (before === undefined || after === undefined) return 0;
  return before === 0 ? (after > 0 ? 1 : 0) : (after - before) / before;
}

/**
 * Days until the next look is worth while: the condition's own rhythm, halved while things get worse, stretched once it looks clear.
 *
 * @param usualDays - the condition's look-again interval, days; at least 1
 * @returns whole days, 1 or more
 */
export function daysToNextLook(status: RecoveryStatus, usualDays: number): number {
  const factor = { 'first-look': 1, recovering: 1, level: 1, relapsing: 0.5, clear: 2 }[status];
  return Math.max(1, Math.round(usualDays * factor));
}
