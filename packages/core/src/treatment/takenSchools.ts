import { isSpray } from './isSpray.js';
import type { Dispute, InterventionFacts, School, Situation } from './interventionFacts.js';

/** Questions that bear on an intervention here: its own, and those of the conditions that it acts on. */
const questionsOf = (
  intervention: Pick<InterventionFacts, 'disputes'>,
  { conditions }: Pick<Situation, 'conditions'>,
): readonly Dispute[] => [...intervention.disputes, ...conditions.flatMap(({ disputes }) => disputes)];

/**
 * The views that were taken on questions which bear on an intervention.
 *
 * A view whose words the library does not know any more counts for nothing.
 */
export function takenSchools(
  intervention: Pick<InterventionFacts, 'disputes'>,
  situation: Pick<Situation, 'conditions' | 'schools'>,
): readonly School[] {
  const taken = new Map((situation.schools ?? []).map(({ question, view }) => [question, view]));
  return questionsOf(intervention, situation).flatMap(({ id, schools }) => schools.find(({ view }) => view === taken.get(id)) ?? []);
}

/** Does a view that was taken put this intervention first? */
export const isTakenFirst = (
  intervention: Pick<InterventionFacts, 'id' | 'disputes'>,
  situation: Pick<Situation, 'conditions' | 'schools'>,
) => takenSchools(intervention, situation).some(({ does }) => does?.includes(intervention.id));

/** What is done besides, by views on questions of the intervention itself; of a condition, by those that name it, or name nothing: then with every spray. */
export function stepsOfSchools(intervention: InterventionFacts, situation: Pick<Situation, 'conditions' | 'schools'>): readonly string[] {
  const own = takenSchools(intervention, { ...situation, conditions: [] });
  const named = takenSchools({ disputes: [] }, situation).filter(({ does }) =>
    does && does.length > 0 ? does.includes(intervention.id) : isSpray(intervention),
  );
  return [...own, ...named].flatMap(({ steps }) => steps ?? []);
}
