import { countedAs, harmTo, judgeByLabel, preHarvestFor } from '../label/index.js';
import type { JudgedLine, LabelLine } from '../label/index.js';
import type { Effect, InterventionFacts, Situation, TreatableCondition } from './interventionFacts.js';
import { mustReport } from './mustReport.js';
import { stageShare, stagesSaid } from './stageNow.js';

export type ReasonCode =
  | 'notifiable'
  | 'ask-first'
  | 'report-first'
  | 'dont'
  | 'next-season'
  | 'check-sold'
  | 'bees-soon'
  | 'bees-unknown'
  | 'harvest-guess'
  | 'not-bare'
  | 'bare-unknown'
  | 'other-plant'
  | 'out-of-season'
  | 'age'
  | 'water'
  | 'animals'
  | 'soil-cold'
  | 'still-air'
  | 'many-plants'
  | 'releases'
  | 'forbidden-here'
  | 'restricted'
  | 'stance'
  | 'softer-first'
  | 'bees'
  | 'bees-care'
  | 'not-on-eaten'
  | 'harvest'
  | 'harvest-close'
  | 'too-hot'
  | 'too-cold'
  | 'setting'
  | 'stage'
  | 'stage-doubtful'
  | 'shielded'
  | 'too-soon'
  | 'season-max'
  | 'apart'
  | 'rotate'
  | 'host-burns'
  | 'host-marks'
  | 'helpers'
  | 'rain'
  | 'wind'
  | 'weak-evidence'
  | 'helpers-at-work'
  | 'no-helpers'
  | 'not-ripe'
  | 'nothing-to-pick'
  | 'ripe-unknown'
  | 'frost-near'
  | 'covers-part';

/** A coded reason with the facts that a sentence needs. It rules out, calls for care, or speaks for the option. */
export interface Reason {
  readonly code: ReasonCode;
  readonly weight: 'ruled-out' | 'care' | 'for';
  readonly facts?: Readonly<Record<string, string | number>>;
}

/** An intervention with its effects (condition × stage) that call for it here. */
export interface Proposal {
  readonly intervention: InterventionFacts;
  readonly effects: readonly Effect[];
  /** the condition that each effect belongs to, in the same order */
  readonly of: readonly TreatableCondition[];
  readonly all: ReadonlyMap<string, InterventionFacts>;
}

type Rule = (proposal: Proposal, situation: Situation) => Reason | undefined;

const reporting = 'call-authority';
const widelyBeforeFlower = 14;
// A working day of picking is more than most will do.
const longestWork = 6;
// Predators that were set out live about so long.
const stillAtWorkDays = 42;
// Of something that acts on less than this share of what there is, one should know more first.
const doubtfulShare = 0.35;
const strongestWind = 15;
const freshWind = 10;
const stillWind = 2;
const warmEvening = 25;

const isSpray = ({ reach, order }: InterventionFacts) => order === 'spray' && reach !== 'living';
const ruledOut = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'ruled-out', ...(facts && { facts }) });
const care = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'care', ...(facts && { facts }) });
const inFavour = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'for', ...(facts && { facts }) });

/** What must be reported comes before everything: nothing else is open, not even leaving it alone. */
const notifiable: Rule = ({ intervention }, situation) => {
  const suspects = situation.conditions.map((one) => ({ one, must: mustReport(one, situation) })).filter(({ must }) => must !== 'no');
  const first = suspects.find(({ must }) => must === 'report') ?? suspects[0];
  if (!first) return undefined;
  if (intervention.id === reporting) return inFavour('report-first');
  return ruledOut(first.must === 'report' ? 'notifiable' : 'ask-first', {
    condition: first.one.name,
    authority: situation.region.authority,
  });
};

const region: Rule = ({ intervention }, { region: rules }) => {
  const forbidden = rules.forbidden.find((one) => one.intervention === intervention.id);
  if (forbidden) return ruledOut('forbidden-here', { why: forbidden.why });
  const restricted = rules.restricted.find((one) => one.intervention === intervention.id);
  if (restricted) return ruledOut('restricted', { why: restricted.why });
  if (intervention.restricted) return ruledOut('restricted', { why: 'a licensed applicator decides and applies' });
  const mayNot = intervention.sold === 'professional' || intervention.sold === 'varies';
  return mayNot && !rules.soldHere.includes(intervention.id) ? care('check-sold', { to: intervention.sold! }) : undefined;
};

const dont: Rule = ({ intervention }) => (intervention.dont ? ruledOut('dont') : undefined);

const later: Rule = ({ intervention }) => (intervention.nextSeason ? care('next-season') : undefined);

/** Names of a plant in effects and cards: itself, a plant that it is like, its family. */
const isNamed = ({ host }: Situation, names: readonly string[]) =>
  [host.id, host.like, host.family].some((one) => one && names.includes(one));

const otherPlant: Rule = ({ intervention, effects }, situation) => {
  if (intervention.onlyHosts.length > 0 && !isNamed(situation, intervention.onlyHosts)) return ruledOut('other-plant');
  return effects.every(({ hosts }) => hosts && !isNamed(situation, hosts)) ? ruledOut('other-plant') : undefined;
};

const season: Rule = ({ intervention, effects }, { month, setting }) => {
  const months = intervention.months ?? (effects.every((one) => one.months) ? effects.flatMap((one) => one.months!) : undefined);
  if (!months || !month || setting === 'indoor' || months.includes(month)) return undefined;
  return ruledOut('out-of-season', { months: [...new Set(months)].join(' ') });
};

const bareWood: Rule = ({ intervention: { when } }, { bare }) => {
  if (when === 'in-leaf') return bare ? ruledOut('not-bare', { needs: 'in-leaf' }) : undefined;
  if (when !== 'dormant' || bare === true) return undefined;
  return bare === undefined ? care('bare-unknown') : ruledOut('not-bare', { needs: 'dormant' });
};

const age: Rule = ({ effects }, { age: now }) => {
  if (!now || !effects.every((one) => one.age && !one.age.includes(now))) return undefined;
  return ruledOut('age', { now, works: [...new Set(effects.flatMap((one) => one.age!))].join(' ') });
};

const nearWater: Rule = ({ intervention }, { waterNear }) =>
  !waterNear || intervention.water === 'none' ? undefined : intervention.water === 'serious' ? ruledOut('water') : care('water');

const nearAnimals: Rule = ({ intervention }, { animalsNear }) =>
  animalsNear && intervention.animals !== 'none' ? care('animals', { harm: intervention.animals }) : undefined;

/** Air colder than the soil must be says that the soil is most likely too cold as well. */
const soil: Rule = ({ intervention: { soilC } }, { temperatureC }) =>
  soilC && temperatureC !== undefined && temperatureC < soilC.min ? care('soil-cold', { least: soilC.min, now: temperatureC }) : undefined;

/** A card's harvest days are a guess until the label in hand is copied. */
const guessedHarvest: Rule = ({ intervention }, { edible, host, daysToHarvest }) => {
  const days = preHarvestFor(intervention, host);
  return edible && days > 0 && daysToHarvest !== undefined && daysToHarvest >= days ? care('harvest-guess', { days }) : undefined;
};

const soonInFlower: Rule = ({ intervention: { bees, daysBeforeFlower } }, { inFlower, flowersInDays: days, setting }) => {
  if (bees !== 'serious' || inFlower || setting === 'indoor' || days === undefined) return undefined;
  return days >= daysBeforeFlower && days < widelyBeforeFlower ? care('bees-soon', { days }) : undefined;
};

const muchWork: Rule = ({ intervention: { minutesPerPlant, rung } }, { plants }) => {
  const hours = ((plants ?? 1) * minutesPerPlant) / 60;
  return rung === 'hand' && hours > longestWork ? care('many-plants', { hours: Math.round(hours), plants: plants! }) : undefined;
};

/** What was set out within the last weeks is still at work, and would die of it. */
const releases: Rule = ({ intervention, all }, { earlier }) => {
  const living = earlier
    .filter(({ daysAgo }) => daysAgo <= stillAtWorkDays)
    .map(({ intervention: id }) => all.get(id))
    .find((one) => one?.release && intervention.kills.some(({ what }) => what === one.release));
  return living && care('releases', { other: living.name });
};

const stance: Rule = ({ intervention: { rung, organic } }, situation) => {
  if (situation.stance === 'hands' && ['biological', 'soft', 'synthetic'].includes(rung)) return ruledOut('stance', { stance: 'hands' });
  if (situation.stance === 'organic' && !organic) return ruledOut('stance', { stance: 'organic' });
  return situation.stance === 'softest' && rung === 'synthetic' ? care('softer-first') : undefined;
};

const dusk: Rule = ({ intervention }, { inFlower, setting }) =>
  intervention.bees === 'slight' && inFlower && setting !== 'indoor' ? care('bees-care') : undefined;

const ripeness: Rule = ({ intervention: { harvestWithinDays } }, { edible, daysToHarvest }) => {
  if (harvestWithinDays === undefined) return undefined;
  if (!edible) return ruledOut('nothing-to-pick');
  if (daysToHarvest === undefined) return care('ripe-unknown');
  return daysToHarvest > harvestWithinDays ? ruledOut('not-ripe', { left: daysToHarvest, within: harvestWithinDays }) : undefined;
};

const stage: Rule = ({ intervention, effects, of }, situation) => {
  // Leaving alone, tending and taking out work on the plant, whatever stage its trouble is in.
  if (['none', 'culture', 'removal'].includes(intervention.rung)) return undefined;
  const works = [...new Set(effects.flatMap(({ stages }) => stages))].join(' and ');
  const share = Math.max(...effects.map((effect, i) => stageShare(effect, of[i]!, situation)));
  const said = of.flatMap((condition) => stagesSaid(condition, situation));
  if (said.length > 0)
    return share > 0 ? undefined : ruledOut('stage', { works, now: [...new Set(said.map(({ kind }) => kind))].join(' and ') });
  return share < doubtfulShare ? care('stage-doubtful', { works, percent: Math.round(share * 100) }) : undefined;
};

const shield: Rule = ({ intervention }, { hidden }) => {
  if (!hidden || !['contact', 'stomach', 'translaminar'].includes(intervention.reach) || !isSpray(intervention)) return undefined;
  const through = intervention.reach === 'translaminar' && hidden === 'mine';
  const dissolvesWax = hidden === 'wax' && intervention.reach === 'contact';
  if (through) return undefined;
  return dissolvesWax ? care('shielded', { by: hidden }) : ruledOut('shielded', { by: hidden });
};

const rotate: Rule = ({ intervention, all }, situation) => {
  const group = countedAs(intervention);
  if (group === intervention.id || group === intervention.countsAs) return undefined;
  const same = situation.earlier.find(({ intervention: before, daysAgo }) => {
    const other = all.get(before);
    return daysAgo <= 30 && other !== undefined && countedAs(other) === group;
  });
  return same && care('rotate', { group, daysAgo: same.daysAgo });
};

const marks: Rule = ({ intervention }, situation) => {
  const harm = harmTo(situation, intervention, 'slight');
  return harm && care('host-marks', { why: harm.why });
};

const helpers: Rule = ({ intervention }, { helpersSeen }) => {
  if (intervention.needsHelpers) return helpersSeen ? inFavour('helpers-at-work') : care('no-helpers');
  if (!helpersSeen || intervention.helpers === 'none') return undefined;
  return care('helpers', { harm: intervention.helpers });
};

const weather: Rule = ({ intervention }, { forecast, setting: where }) => {
  if (!isSpray(intervention) || where !== 'outdoor' || !forecast) return undefined;
  const { windKmh: kmh } = forecast;
  if (kmh !== undefined && kmh > strongestWind) return ruledOut('wind', { kmh });
  if (kmh !== undefined && kmh > freshWind) return care('wind', { kmh });
  if (kmh !== undefined && kmh < stillWind && (forecast.maxC ?? 0) >= warmEvening) return care('still-air', { kmh });
  const { rainInHours } = forecast;
  return rainInHours !== undefined && intervention.rainFastHours !== undefined && rainInHours < intervention.rainFastHours
    ? care('rain', { hours: rainInHours, needs: intervention.rainFastHours })
    : undefined;
};

const grades: readonly Effect['evidence'][] = ['strong', 'moderate', 'weak', 'folk'];

/** The grade of the least tested of its effects: what acts on several causes is as well proved as on the worst of them. */
export const weakestEvidence = (effects: readonly Effect[]): Effect['evidence'] =>
  grades[Math.max(...effects.map(({ evidence: grade }) => grades.indexOf(grade)))] ?? 'weak';

const evidence: Rule = ({ intervention, effects }) => {
  if (intervention.rung === 'none') return undefined;
  const grade = weakestEvidence(effects);
  return grade === 'weak' || grade === 'folk' ? care('weak-evidence', { grade }) : undefined;
};

const frost: Rule = ({ intervention: { rung } }, { daysToFrost }) =>
  rung === 'none' && daysToFrost !== undefined && daysToFrost <= 14 ? inFavour('frost-near', { days: daysToFrost }) : undefined;

const partial: Rule = ({ effects }, { conditions }) =>
  effects.length < conditions.length ? care('covers-part', { of: conditions.length, covered: effects.length }) : undefined;

const brokenCodes: Readonly<Record<LabelLine, ReasonCode>> = {
  bees: 'bees',
  eaten: 'not-on-eaten',
  'pre-harvest': 'harvest',
  temperature: 'too-hot',
  settings: 'setting',
  'season-max': 'season-max',
  interval: 'too-soon',
  apart: 'apart',
  host: 'host-burns',
};

/** What the label says of it: a broken line rules out; a harvest that nobody has named calls for care. */
function byLabel({ intervention, all }: Proposal, situation: Situation): Reason[] {
  const { host, setting, edible, inFlower, daysToHarvest, flowersInDays, bare, earlier, temperatureC, forecast } = situation;
  const lines = judgeByLabel(intervention, {
    planting: { host, setting, eaten: edible, inFlower, daysToHarvest, flowersInDays, bare },
    earlier,
    warmth: { temperatureC, maxC: forecast?.maxC },
    cards: all,
  });
  return lines.flatMap(({ line, state, facts }: JudgedLine) => {
    if (state === 'open' && line === 'bees') return setting === 'indoor' ? [] : care('bees-unknown', facts);
    if (state === 'open') return line === 'pre-harvest' ? care('harvest-close', facts) : [];
    if (state === 'kept') return [];
    return ruledOut(line === 'temperature' && 'least' in facts ? 'too-cold' : brokenCodes[line], facts);
  });
}

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
  dusk,
  ripeness,
  stage,
  shield,
  rotate,
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
