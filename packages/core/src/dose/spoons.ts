import { compare, divide, floor, fromDecimal, multiply, rational, subtract, toNumber, unitTable } from '../units/index.js';
import type { Rational, UnitName } from '../units/index.js';

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
  readonly share: Rational;
}

const spoon = (name: string, plural: string, unit: UnitName, share: Rational): Spoon => ({ name, plural, unit, share });
const half = rational(1n, 2n);
const quarter = rational(1n, 4n);
const eighth = rational(1n, 8n);

const sets: Readonly<Record<SpoonSet, readonly Spoon[]>> = {
  us: [
    spoon('cup', 'cups', 'cup-us', rational(1n)),
    spoon('tablespoon', 'tablespoons', 'tbsp-us', rational(1n)),
    spoon('teaspoon', 'teaspoons', 'tsp-us', rational(1n)),
    spoon('½ teaspoon', '½ teaspoons', 'tsp-us', half),
    spoon('¼ teaspoon', '¼ teaspoons', 'tsp-us', quarter),
    spoon('⅛ teaspoon', '⅛ teaspoons', 'tsp-us', eighth),
  ],
  metric: [
    spoon('cup (250 ml)', 'cups (250 ml)', 'cup-metric', rational(1n)),
    spoon('tablespoon (15 ml)', 'tablespoons (15 ml)', 'tbsp-metric', rational(1n)),
    spoon('teaspoon (5 ml)', 'teaspoons (5 ml)', 'tsp-metric', rational(1n)),
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
 * inSpoons(rational(20n), 'metric') // => { text: '1 tablespoon (15 ml) + 1 teaspoon (5 ml)', errorPercent: 0 }
 */
export function inSpoons(volumeMl: Rational, set: SpoonSet, limitMl?: Rational): SpoonMeasure | undefined {
  const eighthMl = spoonMl(sets[set].at(-1)!);
  const exact = divide(volumeMl, eighthMl);
  let count = floor(exact);
  const up = multiply(rational(count + 1n), eighthMl);
  const nearerUp = compare(subtract(exact, rational(count)), half) >= 0;
  if (nearerUp && (!limitMl || compare(up, limitMl) <= 0)) count += 1n;
  if (count === 0n) return undefined;
  const measured = multiply(rational(count), eighthMl);
  return {
    text: inWords(measured, sets[set]),
    errorPercent: toNumber(multiply(divide(subtract(measured, volumeMl), volumeMl), fromDecimal(100))),
  };
}

const spoonMl = ({ unit, share }: Spoon): Rational => multiply(unitTable[unit].inBase, share);

function inWords(volumeMl: Rational, spoons: readonly Spoon[]): string {
  const words: string[] = [];
  let left = volumeMl;
  for (const one of spoons) {
    const size = spoonMl(one);
    const count = floor(divide(left, size));
    if (count > 0n) words.push(count === 1n && /^[½¼⅛]/.test(one.name) ? one.name : `${count} ${count === 1n ? one.name : one.plural}`);
    left = subtract(left, multiply(rational(count), size));
  }
  return words.join(' + ');
}
