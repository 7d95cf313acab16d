import type { Condition } from '../entries.js';

/** An animal at one stage of its life, and which stage that is. */
export interface StageDrill {
  readonly id: string;
  /** its drawing */
  readonly mark: string;
  readonly stage: StageKind;
  /** trouble that it belongs to, and its stages that have a drawing */
  readonly condition: string;
}

// Here the drawing does not settle it: wingless aphids and mealybugs look alike young and grown, and husks are no stage.
const unsettled: ReadonlySet<string> = new Set([
  'aphid-green',
  'aphid-black',
  'mealy-aphid',
  'mealybug',
  'nematode',
  'mummy',
  'cocooned-caterpillar',
]);

type StageKind = Condition['stages'][number]['kind'];

/**
 * Stages of animals that can be told from their drawing, one for each drawing.
 *
 * A drawing that stands for more than one kind of stage somewhere in the library tells nothing and is left out.
 */
export function stageDrills(conditions: readonly Condition[]): StageDrill[] {
  const kinds = new Map<string, Set<StageKind>>();
  for (const { stages } of conditions)
    for (const { mark, kind } of stages) if (mark) kinds.set(mark, (kinds.get(mark) ?? new Set()).add(kind));
  const drawn = conditions.flatMap(({ id, stages }) => stages.map((stage) => ({ condition: id, ...stage })));
  return [...kinds]
    .filter(([mark, of]) => of.size === 1 && !unsettled.has(mark))
    .map(([mark, [kind]]) => ({
      id: `stage/${mark}`,
      mark,
      stage: kind!,
      condition: drawn.find((stage) => stage.mark === mark)!.condition,
    }));
}
