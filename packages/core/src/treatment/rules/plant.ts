import { harmTo, preHarvestFor } from '../../label/index.js';
import type { InterventionFacts, Situation } from '../interventionFacts.js';
import { care, inFavour, ruledOut } from './reason.js';
import type { Rule } from './reason.js';

const widelyBeforeFlower = 14;

/** Names of a plant in effects and cards: itself, a plant that it is like, its family. */
const isNamed = ({ host }: Situation, names: readonly string[]) =>
  [host.id, host.like, host.family].some((one) => one && names.includes(one));

export const otherPlant: Rule = ({ intervention, effects }, situation) => {
  if (intervention.onlyHosts.length > 0 && !isNamed(situation, intervention.onlyHosts)) return ruledOut('other-plant');
  return effects.every(({ hosts }) => hosts && !isNamed(situation, hosts)) ? ruledOut('other-plant') : undefined;
};

export const season: Rule = ({ intervention, effects }, { month, setting }) => {
  const months = intervention.months ?? (effects.every((one) => one.months) ? effects.flatMap((one) => one.months!) : undefined);
  if (!months || !month || setting === 'indoor' || months.includes(month)) return undefined;
  return ruledOut('out-of-season', { months: [...new Set(months)].join(' ') });
};

export const bareWood: Rule = ({ intervention: { when } }, { bare }) => {
  if (when === 'in-leaf') return bare ? ruledOut('not-bare', { needs: 'in-leaf' }) : undefined;
  if (when !== 'dormant' || bare === true) return undefined;
  return bare === undefined ? care('bare-unknown') : ruledOut('not-bare', { needs: 'dormant' });
};

export const age: Rule = ({ effects }, { age: now }) => {
  if (!now || !effects.every((one) => one.age && !one.age.includes(now))) return undefined;
  return ruledOut('age', { now, works: [...new Set(effects.flatMap((one) => one.age!))].join(' ') });
};

/** A card's harvest days are a guess until the label in hand is copied. */
export const guessedHarvest: Rule = ({ intervention }, { edible, host, daysToHarvest }) => {
  if (intervention.fromLabel) return undefined;
  const days = preHarvestFor(intervention, host);
  return edible && days > 0 && daysToHarvest !== undefined && daysToHarvest >= days ? care('harvest-guess', { days }) : undefined;
};

export const soonInFlower: Rule = ({ intervention: { bees, daysBeforeFlower } }, { inFlower, flowersInDays: days, setting }) => {
  if (bees !== 'serious' || inFlower || setting === 'indoor' || days === undefined) return undefined;
  return days >= daysBeforeFlower && days < widelyBeforeFlower ? care('bees-soon', { days }) : undefined;
};

export const ripeness: Rule = ({ intervention: { harvestWithinDays } }, { edible, daysToHarvest }) => {
  if (harvestWithinDays === undefined) return undefined;
  if (!edible) return ruledOut('nothing-to-pick');
  if (daysToHarvest === undefined) return care('ripe-unknown');
  return daysToHarvest > harvestWithinDays ? ruledOut('not-ripe', { left: daysToHarvest, within: harvestWithinDays }) : undefined;
};

/** The newest test on a few leaves. */
const testOf = ({ id }: Pick<InterventionFacts, 'id'>, { tests }: Situation) =>
  (tests ?? []).filter(({ intervention }) => intervention === id).sort((a, b) => a.daysAgo - b.daysAgo)[0];

export const leafTest: Rule = ({ intervention }, situation) => {
  const test = testOf(intervention, situation);
  if (test?.outcome === 'marked') return ruledOut('test-marked', { days: test.daysAgo });
  if (test?.outcome === 'waiting') return care('test-waits', { days: test.lookInDays });
  return test && inFavour('test-clean', { days: test.daysAgo });
};

export const marks: Rule = ({ intervention }, situation) => {
  // What the plant has shown itself counts for more than what its kind may do.
  if (testOf(intervention, situation)?.outcome === 'clean') return undefined;
  const harm = harmTo(situation, intervention, 'slight');
  return harm && care('host-marks', { why: harm.why });
};
