import { judgeInterventions } from './judgeInterventions.js';
import type { InterventionFacts, Situation } from './interventionFacts.js';

/** A fact about a planting that nobody has said yet, and that may change what is open. */
export type OpenFact = 'stage' | 'flowersInDays' | 'bare' | 'waterNear' | 'animalsNear' | 'daysToHarvest' | 'temperatureC' | 'hidden';

// A stage that is surer than this needs no question.
const sureStage = 0.8;

/**
 * The facts worth asking for: those of which some answer would change the verdict of an option. Of the rest nothing need be known today.
 *
 * Each is tried with the values that decide, everything else as it stands.
 */
export function openQuestions(interventions: readonly InterventionFacts[], situation: Situation): OpenFact[] {
  const known = new Set(situation.conditions.flatMap(({ treat }) => treat.map(({ intervention }) => intervention)));
  const own = interventions.filter(({ id }) => known.has(id));
  const verdicts = (changed: Partial<Situation>) =>
    judgeInterventions(own, { ...situation, ...changed })
      .options.map(({ id, verdict }) => `${id} ${verdict}`)
      .sort()
      .join();
  const now = verdicts({});
  return (Object.keys(answersTo) as OpenFact[]).filter((fact) => answersTo[fact](situation).some((answer) => verdicts(answer) !== now));
}

/** Answers that a fact may have where it isn't known; none where it is. */
const answersTo: Readonly<Record<OpenFact, (situation: Situation) => Partial<Situation>[]>> = {
  stage: ({ stage, stageChances, conditions }) => {
    const surest = Math.max(0, ...[...(stageChances?.values() ?? [])].flatMap((chances) => [...chances.values()]));
    return stage || surest >= sureStage ? [] : conditions.flatMap(({ stages }) => stages.map(({ id }) => ({ stage: id })));
  },
  flowersInDays: ({ inFlower, flowersInDays }) =>
    inFlower || flowersInDays !== undefined ? [] : [{ flowersInDays: 1 }, { flowersInDays: 60 }],
  bare: ({ bare }) => (bare === undefined ? [{ bare: true }, { bare: false }] : []),
  waterNear: ({ waterNear }) => (waterNear === undefined ? [{ waterNear: true }] : []),
  animalsNear: ({ animalsNear }) => (animalsNear === undefined ? [{ animalsNear: true }] : []),
  daysToHarvest: ({ edible, daysToHarvest }) =>
    edible && daysToHarvest === undefined ? [{ daysToHarvest: 1 }, { daysToHarvest: 200 }] : [],
  temperatureC: ({ temperatureC }) => (temperatureC === undefined ? [{ temperatureC: 4 }, { temperatureC: 32 }] : []),
  hidden: ({ hidden, conditions }) =>
    hidden ? [] : conditions.flatMap(({ stages }) => stages.flatMap((stage) => (stage.hidden ? [{ hidden: stage.hidden }] : []))),
};
