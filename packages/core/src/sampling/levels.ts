import { isYoung } from '../ground/index.js';
import type { Level, ThresholdMeasure } from './meter.js';

/** A level at which it pays to act, with what it is based on. */
export interface LevelNow extends Level {
  readonly basis: string;
  readonly own: boolean;
  readonly young: boolean;
}

/** What a condition's entry says of when to act. */
export interface LevelledCondition {
  readonly id: string;
  readonly levels: readonly {
    readonly measure: ThresholdMeasure | 'trap-per-week';
    readonly act: number;
    /** on young plants */
    readonly young?: number | undefined;
    /** the kind of trap that it is counted in */
    readonly trap?: string | undefined;
  }[];
  readonly threshold: { readonly basis: string };
}

/** A grower's own level; it goes before that of the library. */
export interface OwnLevel {
  readonly condition: string;
  readonly measure: ThresholdMeasure;
  readonly act: number;
  readonly why: string;
  readonly endedOn: string | null;
}

/** The levels that hold for a trouble on plants of this age: the grower's own first, then those of the library, lower on young plants. */
export function levelsNow(condition: LevelledCondition, own: readonly OwnLevel[], plantedOn: string | null, today: string): LevelNow[] {
  const young = isYoung(plantedOn, today);
  const mine = own
    .filter((one) => one.condition === condition.id && !one.endedOn)
    .map(({ measure, act, why }): LevelNow => ({ measure, act, basis: why, own: true, young: false }));
  const told = condition.levels
    .flatMap(({ measure, act, young: onYoung }): LevelNow[] => {
      if (measure === 'trap-per-week') return [];
      const lower = young && onYoung !== undefined;
      return [{ measure, act: lower ? onYoung : act, basis: condition.threshold.basis, own: false, young: lower }];
    })
    .filter(({ measure }) => !mine.some((one) => one.measure === measure));
  return [...mine, ...told];
}
