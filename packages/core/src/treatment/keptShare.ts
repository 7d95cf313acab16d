import type { Situation, TreatableCondition } from './interventionFacts.js';
import { stageShare } from './stageNow.js';

/**
 * Share of the damage of one condition that an intervention saves here, 0 to 1: the middle of its efficacy, for the share of the stages that
 * it acts on; 0 where it is not known to act.
 */
export function keptShare(intervention: string, condition: TreatableCondition, situation: Situation): number {
  const effect = condition.treat.find((one) => one.intervention === intervention);
  if (!effect) return 0;
  return ((effect.efficacy[0]! + effect.efficacy[1]!) / 200) * stageShare(effect, condition, situation);
}
