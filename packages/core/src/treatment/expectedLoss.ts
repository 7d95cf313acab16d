import type { InterventionFacts, Stance, Effect } from './interventionFacts.js';

/** How heavily a school of growing counts harm to helpers, bees and soil, in plants' worth. */
const harmWeight: Readonly<Record<Stance, number>> = { hands: 1.2, organic: 0.8, softest: 0.5, protect: 0.15 };
const harmScore = { none: 0, slight: 0.3, serious: 1 } as const;
// Synthetic products carry a part of the harm that no label figure holds (residue, resistance).
const syntheticHarm = 0.4;

/** Value of one plant and the price of one minute, in the money of the garden. */
export interface Prices {
  readonly plantValue: number;
  readonly minute: number;
}

export const defaultPrices: Prices = { plantValue: 4, minute: 0.2 };

/**
 * What an option is expected to cost per plant: damage left + money + labour + harm.
 *
 * Damage left is the share that the mean of the efficacy range leaves, averaged over the conditions (0 for those it does not act on). The
 * sum is the decision side of the economic injury level, EIL = C/(V·I·D·K): an option pays when the damage it saves, V·I·D·K, is worth more
 * than C.
 *
 * Source: Stern et al. (1959), Hilgardia 29:81–101; Pedigo, Hutchins & Higley (1986), Annual Review of Entomology 31:341–368.
 *
 * @param conditionCount - how many conditions are to be treated; at least 1
 * @returns money per plant; lower is better
 */
export function expectedLoss(
  intervention: InterventionFacts,
  treatments: readonly Effect[],
  conditionCount: number,
  stance: Stance,
  prices: Prices = defaultPrices,
): number {
  const kept = treatments.reduce((sum, { efficacy }) => sum + (efficacy[0]! + efficacy[1]!) / 200, 0) / conditionCount;
  return (1 - kept) * prices.plantValue + stepCost(intervention, stance, prices);
}

/** What doing it costs, whatever it does for the plant: money, labour, harm, and half a plant where it is taken out; money per plant. */
export function stepCost(intervention: InterventionFacts, stance: Stance, prices: Prices = defaultPrices): number {
  const { bees, helpers, rung, costPerPlant, minutesPerPlant } = intervention;
  const harm = harmScore[helpers] + harmScore[bees] + (rung === 'synthetic' ? syntheticHarm : 0);
  const plantLost = rung === 'removal' ? prices.plantValue / 2 : 0;
  return costPerPlant + minutesPerPlant * prices.minute + harm * harmWeight[stance] + plantLost;
}
