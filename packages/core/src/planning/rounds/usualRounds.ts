/** What decides how often something is done. */
export interface RepeatFacts {
  /** least and most days between two applications; none: it is done once */
  readonly repeatDays?: readonly number[] | undefined;
  /** stages that it acts on: kinds of stage, or stages of the trouble by their id */
  readonly actsOn: readonly string[];
  /** the life stages of what it is used against */
  readonly stages: readonly { readonly id: string; readonly kind: string; readonly hidden?: string | undefined }[];
  /** how often a label still allows it in this season; not known: left out */
  readonly left?: number | undefined;
}

/**
 * How many rounds a treatment usually takes: what an application can't reach comes out after it.
 *
 * One round for what is done once. Two where every stage is reached, so that the second takes what the first missed. Three where eggs, pupae or what
 * sits hidden live through it: until the last of them is out there are young ones between two rounds. Never more than a label still allows.
 */
export function usualRounds({ repeatDays, actsOn, stages, left = Infinity }: RepeatFacts): number {
  if (!repeatDays) return Math.min(1, left);
  const isReached = ({ id, kind }: RepeatFacts['stages'][number]) => actsOn.includes('any') || actsOn.includes(id) || actsOn.includes(kind);
  const comesOutLater = stages.some((stage) => (['egg', 'pupa'].includes(stage.kind) || stage.hidden !== undefined) && !isReached(stage));
  return Math.min(comesOutLater ? 3 : 2, left);
}
