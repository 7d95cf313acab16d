import Fraction from 'fraction.js';
import { unitTable } from '../units/index.js';
import type { UnitName } from '../units/index.js';

export type SpoonSet = 'us' | 'metric';

/** A measure in spoons as near as they come, with how far it is off. */
export interface SpoonMeasure {
  readonly text: string;
  /** below zero when the spoons hold less than asked, percent */
  readonly errorPercent: number;
}

interface Spoon {
  readonly name: string;
  readonly plural: string;
  readonly unit: UnitName;
  readonly share: Fraction;
}

const spoon = (name: string, plural: string, unit: UnitName, share: Fraction): Spoon => ({ name, plural, unit, share });
const half = new Fraction(1n, 2n);
const quarter = new Fraction(1n, 4n);
const eighth = new Fraction(1n, 8n);

const sets: Readonly<Record<SpoonSet, readonly Spoon[]>> = {
  us: [
    spoon('cup', 'cups', 'cup-us', new Fraction(1n)),
    spoon('tablespoon', 'tablespoons', 'tbsp-us', new Fraction(1n)),
    spoon('teaspoon', 'teaspoons', 'tsp-us', new Fraction(1n)),
    spoon('½ teaspoon', '½ teaspoons', 'tsp-us', half),
    spoon('¼ teaspoon', '¼ teaspoons', 'tsp-us', quarter),
    spoon('⅛ teaspoon', '⅛ teaspoons', 'tsp-us', eighth),
  ],
  metric: [
    spoon('cup (250 ml)', 'cups (250 ml)', 'cup-metric', new Fraction(1n)),
    spoon('tablespoon (15 ml)', 'tablespoons (15 ml)', 'tbsp-metric', new Fraction(1n)),
    spoon('teaspoon (5 ml)', 'teaspoons (5 ml)', 'tsp-metric', new Fraction(1n)),
    spoon('½ teaspoon', '½ teaspoons', 'tsp-metric', half),
    spoon('¼ teaspoon', '¼ teaspoons', 'tsp-metric', quarter),
    spoon('⅛ teaspoon', '⅛ teaspoons', 'tsp-metric', eighth),
  ],
};

/**
 * The nearest measure that a set of spoons can give, never above a limit.
 *
 * Amounts are counted in eighths of a teaspoon and then made up from the largest spoons down. Rounding goes to the nearest eighth, and down
 * where the nearest would pass the limit.
 *
 * @param volumeMl - exact volume, ml; above 0
 * @param limitMl - label maximum for the same water, ml
 * @returns the measure; `undefined` when the amount is less than an eighth of a teaspoon and rounding up is not allowed
 * @example
 * inSpoons(new Fraction(20), 'metric') // => { text: '1 tablespoon (15 ml) + 1 teaspoon (5 ml)', errorPercent: 0 }
 */
export function inSpoons(volumeMl: Fraction, set: SpoonSet, limitMl?: Fraction): SpoonMeasure | undefined {
  const eighthMl = spoonMl(sets[set].at(-1)!);
  const exact = volumeMl.div(eighthMl);
  const down = exact.floor();
  const up = down.add(1);
  const nearerUp = exact.sub(down).gte(half);
  const count = nearerUp && (!limitMl || up.mul(eighthMl).lte(limitMl)) ? up : down;
  if (count.equals(0)) return undefined;
  const measured = count.mul(eighthMl);
  return { text: inWords(measured, sets[set]), errorPercent: measured.sub(volumeMl).div(volumeMl).mul(100).valueOf() };
}

const spoonMl = ({ unit, share }: Spoon): Fraction => unitTable[unit].inBase.mul(share);

function inWords(volumeMl: Fraction, spoons: readonly Spoon[]): string {
  const words: string[] = [];
  let left = volumeMl;
  for (const one of spoons) {
    const size = spoonMl(one);
    const count = left.div(size).floor().n;
    if (count > 0n) words.push(count === 1n && /^[½¼⅛]/.test(one.name) ? one.name : `${count} ${count === 1n ? one.name : one.plural}`);
    left = left.mod(size);
  }
  return words.join(' + ');
}
