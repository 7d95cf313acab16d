/** A stage of a pest before it is grown. */
interface Growing {
  readonly lowerC: number;
  readonly degreeDays: number;
}

/**
 * Days from egg to egg at a steady warmth: degree-days of every stage but the last, over the degrees above its threshold.
 *
 * Source: the linear model of development (Campbell et al. 1974, J. Appl. Ecol. 11:431–438).
 *
 * @param stages - in order, the adult last, whose degree-days are its life span and are not counted
 * @param meanC - mean temperature, °C
 * @returns days; nothing where a stage stands still
 * @example
 * generationDays([{ lowerC: 10, degreeDays: 100 }, { lowerC: 10, degreeDays: 300 }], 20) // => 10
 */
export function generationDays(stages: readonly Growing[], meanC: number): number | null {
  const days = stages.slice(0, -1).map(({ lowerC, degreeDays }) => (meanC > lowerC ? degreeDays / (meanC - lowerC) : Infinity));
  const sum = days.reduce((all, one) => all + one, 0);
  return Number.isFinite(sum) ? sum : null;
}
