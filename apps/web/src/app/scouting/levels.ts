import type { OwnThreshold } from '@field-nurse/contract';
import { youngDays } from '@field-nurse/core/ground';
import type { Level, ThresholdMeasure } from '@field-nurse/core/sampling';
import { daysBetween } from '@field-nurse/core/timing';
import type { Condition } from '@field-nurse/library';

/** A level at which it pays to act, with what it is based on. */
export interface LevelNow extends Level {
  readonly basis: string;
  readonly own: boolean;
  readonly young: boolean;
}

/** The levels that hold for a trouble on plants of this age: the grower's own first, then those of the library, lower on young plants. */
export function levelsNow(condition: Condition, own: readonly OwnThreshold[], plantedOn: string, today: string): LevelNow[] {
  const young = daysBetween(plantedOn, today) < youngDays;
  const mine = own
    .filter((one) => one.condition === condition.id && !one.endedOn)
    .map(({ measure, act, why }): LevelNow => ({ measure, act, basis: why, own: true, young: false }));
  const told = condition.levels
    .filter((level) => level.measure !== 'trap-per-week')
    .map((level): LevelNow => {
      const lower = young && level.young !== undefined;
      return {
        measure: level.measure as ThresholdMeasure,
        act: lower ? level.young! : level.act,
        basis: condition.threshold.basis,
        own: false,
        young: lower,
      };
    })
    .filter(({ measure }) => !mine.some((one) => one.measure === measure));
  return [...mine, ...told];
}

/** "one plant", "5 % of plants", "3 on a plant", "10 % of the leaf" */
export function levelWords({ measure, act }: Level): string {
  const words: Readonly<Record<ThresholdMeasure, string>> = {
    any: 'one plant',
    'plants-percent': `${act} % of plants`,
    'count-per-plant': `${act} on a plant`,
    'count-per-leaf': `${act} on a leaf`,
    'leaf-percent': `${act} % of the leaf`,
  };
  return words[measure];
}
