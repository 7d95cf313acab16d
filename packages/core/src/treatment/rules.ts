import type { Situation } from './interventionFacts.js';
import { evidence, later, muchWork, school, stance } from './rules/grower.js';
import { byLabel, dont, notifiable, region } from './rules/law.js';
import { helpers, partial, releases, rotate, shield, stage } from './rules/pest.js';
import { age, bareWood, guessedHarvest, leafTest, marks, otherPlant, ripeness, season, soonInFlower } from './rules/plant.js';
import type { Proposal, Reason, Rule } from './rules/reason.js';
import { dusk, frost, nearAnimals, nearWater, soil, weather } from './rules/surroundings.js';

const rules: readonly Rule[] = [
  notifiable,
  dont,
  later,
  region,
  otherPlant,
  season,
  bareWood,
  age,
  nearWater,
  nearAnimals,
  soil,
  guessedHarvest,
  soonInFlower,
  muchWork,
  releases,
  stance,
  school,
  dusk,
  ripeness,
  stage,
  shield,
  rotate,
  leafTest,
  marks,
  helpers,
  weather,
  evidence,
  frost,
  partial,
];

/** Every reason for and against an intervention here today: what the label says, then every other rule, at most one reason each. */
export const reasonsFor = (proposal: Proposal, situation: Situation): Reason[] => [
  ...byLabel(proposal, situation),
  ...rules.flatMap((rule) => rule(proposal, situation) ?? []),
];
