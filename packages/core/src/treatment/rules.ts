import { judgeByLabel } from '../label/index.js';
import type { JudgedLine, LabelLine } from '../label/index.js';
import type { Effect, InterventionFacts, Situation, StageKind } from './interventionFacts.js';

export type ReasonCode =
  | 'notifiable'
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
  | 'stage-unknown'
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
  readonly all: ReadonlyMap<string, InterventionFacts>;
}

type Rule = (proposal: Proposal, situation: Situation) => Reason | undefined;

const isSpray = ({ reach, order }: InterventionFacts) => order === 'spray' && reach !== 'living';
const ruledOut = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'ruled-out', ...(facts && { facts }) });
const care = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'care', ...(facts && { facts }) });
const inFavour = (code: ReasonCode, facts?: Reason['facts']): Reason => ({ code, weight: 'for', ...(facts && { facts }) });

const notifiable: Rule = (_, { conditions, region }) => {
  const suspect = conditions.find(({ id }) => region.notifiable.includes(id));
  return suspect && ruledOut('notifiable', { condition: suspect.name, authority: region.authority });
};

const region: Rule = ({ intervention }, { region: rules }) => {
  const forbidden = rules.forbidden.find((one) => one.intervention === intervention.id);
  if (forbidden) return ruledOut('forbidden-here', { why: forbidden.why });
  const restricted = rules.restricted.find((one) => one.intervention === intervention.id);
  if (restricted) return ruledOut('restricted', { why: restricted.why });
  return intervention.restricted ? ruledOut('restricted', { why: 'a licensed applicator decides and applies' }) : undefined;
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

const stage: Rule = ({ intervention, effects }, situation) => {
  // Leaving alone, tending and taking out work on the plant, whatever stage its trouble is in.
  if (['none', 'culture', 'removal'].includes(intervention.rung)) return undefined;
  if (effects.some(({ stages }) => stages.includes('any'))) return undefined;
  const works = [...new Set(effects.flatMap(({ stages }) => stages))].join(' and ');
  const kinds = kindsNow(situation);
  if (!kinds) return effects.every(({ stages }) => stages.length === 1) ? care('stage-unknown', { works }) : undefined;
  return effects.some(({ stages }) => stages.some((one) => kinds.has(one)))
    ? undefined
    : ruledOut('stage', { works, now: [...kinds].join(' and ') });
};

/** Stage kinds that the situation's stage stands for: a kind itself or a stage of one of the conditions; `undefined` when not known. */
function kindsNow({ stage: name, conditions }: Situation): Set<StageKind> | undefined {
  if (!name || name === 'any') return undefined;
  const own = conditions.flatMap(({ stages }) => stages.filter(({ id, kind }) => id === name || kind === name).map(({ kind }) => kind));
  return own.length > 0 ? new Set(own) : new Set([name as StageKind]);
}

const shield: Rule = ({ intervention }, { hidden }) => {
  if (!hidden || !['contact', 'stomach', 'translaminar'].includes(intervention.reach) || !isSpray(intervention)) return undefined;
  const through = intervention.reach === 'translaminar' && hidden === 'mine';
  const dissolvesWax = hidden === 'wax' && intervention.reach === 'contact';
  if (through) return undefined;
  return dissolvesWax ? care('shielded', { by: hidden }) : ruledOut('shielded', { by: hidden });
};

const rotate: Rule = ({ intervention, all }, situation) => {
  const group = intervention.modeOfAction;
  // Multi-site groups (FRAC M, "not classified") carry next to no risk of resistance.
  if (!group || /^(M|NC|UN)/.test(group.group)) return undefined;
  const same = situation.earlier.find(({ intervention: before, daysAgo }) => {
    const other = all.get(before)?.modeOfAction;
    return daysAgo <= 30 && other?.scheme === group.scheme && other.group === group.group;
  });
  return same && care('rotate', { group: `${group.scheme} ${group.group}`, daysAgo: same.daysAgo });
};

const marks: Rule = ({ intervention }, { host }) => {
  const harm = intervention.harmsHosts.find((one) => one.harm === 'slight' && [host.id, host.family].includes(one.host));
  return harm && care('host-marks', { why: harm.why });
};

const helpers: Rule = ({ intervention }, { helpersSeen }) => {
  if (intervention.needsHelpers) return helpersSeen ? inFavour('helpers-at-work') : care('no-helpers');
  if (!helpersSeen || intervention.helpers === 'none') return undefined;
  return care('helpers', { harm: intervention.helpers });
};

const weather: Rule = ({ intervention }, { forecast, setting: where }) => {
  if (!isSpray(intervention) || where !== 'outdoor' || !forecast) return undefined;
  if (forecast.windKmh !== undefined && forecast.windKmh > 15) return care('wind', { kmh: forecast.windKmh });
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
  const { host, setting, edible, inFlower, daysToHarvest, earlier, temperatureC, forecast } = situation;
  const lines = judgeByLabel(intervention, {
    planting: { host, setting, eaten: edible, inFlower, daysToHarvest },
    earlier,
    warmth: { temperatureC, maxC: forecast?.maxC },
    cards: all,
  });
  return lines.flatMap(({ line, state, facts }: JudgedLine) => {
    if (state === 'open') return line === 'pre-harvest' ? care('harvest-close', facts) : [];
    if (state === 'kept') return [];
    return ruledOut(line === 'temperature' && 'least' in facts ? 'too-cold' : brokenCodes[line], facts);
  });
}

const rules: readonly Rule[] = [
  notifiable,
  region,
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
