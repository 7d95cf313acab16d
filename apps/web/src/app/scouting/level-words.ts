import type { Level, ThresholdMeasure } from '@field-nurse/core/sampling';

/** "one plant", "5 % of plants", "3 on a plant", "10 % of the leaf" */
export function levelWords({ measure, act }: Level): string {
  const words: Readonly<Record<ThresholdMeasure, string>> = {
    any: 'one plant',
    'plants-percent': `${act} % of plants`,
    'count-per-plant': `${act} on a plant`,
    'count-per-leaf': `${act} on a leaf`,
    'count-per-m2': `${act} to a square metre`,
    'count-per-minute': `${act} in a minute`,
    'leaf-percent': `${act} % of the leaf`,
  };
  return words[measure];
}
