import type { InterventionFacts, Situation, Stance, Worth } from './interventionFacts.js';

/** How heavily a school of growing counts harm to helpers, bees and soil, in plants' worth. */
const harmWeight: Readonly<Record<Stance, number>> = { hands: 1.2, organic: 0.8, softest: 0.5, protect: 0.15 };
/** How much a harm counts beside a serious one. */
export const harmScore = { none: 0, slight: 0.3, serious: 1 } as const;
// Synthetic products carry a part of the harm that no label figure holds (residue, resistance).
const syntheticHarm = 0.4;

/** Value of one plant and the price of one minute, in the money of the garden, and how many plants share what must be bought. */
export interface Prices {
  readonly plantValue: number;
  readonly minute: number;
  /** not known where left out: then nothing is dearer for being few */
  readonly plants?: number | undefined;
}

const plantValues: Readonly<Record<Worth, number>> = { cheap: 1, usual: 4, dear: 20 };
/** Price of a minute of work, in the money of the garden. */
export const minutePrice = 0.2;
// Living helpers come in packs that do not keep: the smallest, in the money of the garden.
const smallestPack = 12;
// A crop that goes on longer than this still has its whole worth before it.
const fullSeasonDays = 45;

/** Prices of a planting: what a plant is worth, and how much of that the days left can still lose; a houseplant and a tree are dear unless it is said. */
export function pricesOf({
  host,
  worth = usualWorth(host),
  daysToFrost,
  daysToEnd,
  plants,
}: Pick<Situation, 'worth' | 'host' | 'daysToFrost' | 'daysToEnd' | 'plants'>): Prices {
  const daysLeft = Math.min(host.tender ? (daysToFrost ?? Infinity) : Infinity, daysToEnd ?? Infinity);
  // What a trouble can still take goes with the days left, and with how far it grows in them.
  return { plantValue: plantValues[worth] * Math.min(1, daysLeft / fullSeasonDays) ** 2, minute: minutePrice, plants };
}

/** A houseplant and a tree stand for years and are not one of many. */
const usualWorth = ({ kind, habit }: Situation['host']): Worth => (kind === 'houseplant' || habit === 'tree' ? 'dear' : 'usual');

/**
 * What an option is expected to cost per plant: damage left + money + labour + harm.
 *
 * Damage left is the share that the option leaves, averaged over the conditions. The sum is the decision side of the economic injury level,
 * EIL = C/(V·I·D·K): an option pays when the damage it saves, V·I·D·K, is worth more than C.
 *
 * Source: Stern et al. (1959), Hilgardia 29:81–101; Pedigo, Hutchins & Higley (1986), Annual Review of Entomology 31:341–368.
 *
 * @param kept - share of the damage that it saves in each condition, 0 to 1; 0 where it does nothing
 * @returns money per plant; lower is better
 */
export function expectedLoss(intervention: InterventionFacts, kept: readonly number[], stance: Stance, prices: Prices): number {
  const saved = kept.reduce((sum, one) => sum + one, 0) / kept.length;
  return (1 - saved) * prices.plantValue + stepCost(intervention, stance, prices);
}

/** What doing it costs, whatever it does for the plant: money, labour, harm, and half a plant where it is taken out; money per plant. */
export function stepCost(intervention: InterventionFacts, stance: Stance, prices: Prices): number {
  const { bees, helpers, rung, minutesPerPlant } = intervention;
  const harm = harmScore[helpers] + harmScore[bees] + (rung === 'synthetic' ? syntheticHarm : 0);
  const plantLost = rung === 'removal' ? prices.plantValue / 2 : 0;
  return moneyPerPlant(intervention, prices.plants) + minutesPerPlant * prices.minute + harm * harmWeight[stance] + plantLost;
}

/** What one time of it costs for a plant. @param plants - how many share what must be bought; not known: it costs no more for being few */
export const moneyPerPlant = ({ order, costPerPlant }: Pick<InterventionFacts, 'order' | 'costPerPlant'>, plants?: number): number =>
  order === 'release' && plants ? Math.max(costPerPlant, smallestPack / plants) : costPerPlant;
