import type { Condition } from '../entries.js';

/** An animal at one stage of its life, and which stage that is. */
export interface StageDrill {
  readonly id: string;
  /** its drawing */
  readonly mark: string;
  readonly kind: StageKind;
  /** trouble that it belongs to, and its stages that have a drawing */
  readonly condition: string;
}

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
    .filter(([, of]) => of.size === 1)
    .map(([mark, [kind]]) => ({
      id: `stage/${mark}`,
      mark,
      kind: kind!,
      condition: drawn.find((stage) => stage.mark === mark)!.condition,
    }));
}
