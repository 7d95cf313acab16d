import type { InterventionFacts, Situation, StageKind, Effect } from './interventionFacts.js';

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

/** An intervention with the treatments (condition × stage) that call for it here. */
export interface Proposal {
  readonly intervention: InterventionFacts;
  readonly treatments: readonly Effect[];
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

const bees: Rule = ({ intervention }, { inFlower, setting }) => {
  if (intervention.bees === 'none' || !inFlower) return undefined;
  if (intervention.bees === 'serious') return ruledOut('bees');
  return setting === 'indoor' ? undefined : care('bees-care');
};

const harvest: Rule = ({ intervention }, { edible, daysToHarvest }) => {
  if (!edible) return undefined;
  if (!intervention.onEaten) return ruledOut('not-on-eaten');
  if (daysToHarvest === undefined)
    return intervention.preHarvestDays > 0 ? care('harvest-close', { days: intervention.preHarvestDays }) : undefined;
  return intervention.preHarvestDays > daysToHarvest
    ? ruledOut('harvest', { days: intervention.preHarvestDays, left: daysToHarvest })
    : undefined;
};

const ripeness: Rule = ({ intervention: { harvestWithinDays } }, { edible, daysToHarvest }) => {
  if (harvestWithinDays === undefined) return undefined;
  if (!edible) return ruledOut('nothing-to-pick');
  if (daysToHarvest === undefined) return care('ripe-unknown');
  return daysToHarvest > harvestWithinDays ? ruledOut('not-ripe', { left: daysToHarvest, within: harvestWithinDays }) : undefined;
};

const heat: Rule = ({ intervention: { temperatureC: limits } }, { temperatureC, forecast }) => {
  const warmest = Math.max(temperatureC ?? -Infinity, forecast?.maxC ?? -Infinity);
  if (!limits || warmest === -Infinity) return undefined;
  if (warmest > limits.max) return ruledOut('too-hot', { limit: limits.max, now: warmest });
  return (temperatureC ?? warmest) < limits.min ? ruledOut('too-cold', { limit: limits.min, now: temperatureC ?? warmest }) : undefined;
};

const setting: Rule = ({ intervention }, situation) =>
  intervention.settings.includes(situation.setting) ? undefined : ruledOut('setting', { setting: situation.setting });

const stage: Rule = ({ intervention, treatments }, situation) => {
  // Leaving alone, tending and taking out work on the plant, whatever stage its trouble is in.
  if (['none', 'culture', 'removal'].includes(intervention.rung)) return undefined;
  if (treatments.some(({ stages }) => stages.includes('any'))) return undefined;
  const works = [...new Set(treatments.flatMap(({ stages }) => stages))].join(' and ');
  const kinds = kindsNow(situation);
  if (!kinds) return treatments.every(({ stages }) => stages.length === 1) ? care('stage-unknown', { works }) : undefined;
  return treatments.some(({ stages }) => stages.some((one) => kinds.has(one)))
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

const recent: Rule = ({ intervention }, situation) => {
  const own = situation.recent.filter((one) => one.intervention === intervention.id);
  if (intervention.seasonMax !== undefined && own.length >= intervention.seasonMax)
    return ruledOut('season-max', { max: intervention.seasonMax });
  const interval = intervention.repeatDays?.[0];
  const last = Math.min(...own.map(({ daysAgo }) => daysAgo));
  return interval !== undefined && last < interval ? ruledOut('too-soon', { interval, daysAgo: last, wait: interval - last }) : undefined;
};

const apart: Rule = ({ intervention, all }, situation) => {
  for (const { intervention: before, daysAgo } of situation.recent) {
    const clash =
      intervention.apartFrom.find((one) => one.intervention === before) ??
      all.get(before)?.apartFrom.find((one) => one.intervention === intervention.id);
    if (clash && daysAgo < clash.days)
      return ruledOut('apart', { other: all.get(before)?.name ?? before, days: clash.days, daysAgo, why: clash.why });
  }
  return undefined;
};

const rotate: Rule = ({ intervention, all }, situation) => {
  const group = intervention.modeOfAction;
  // Multi-site groups (FRAC M, "not classified") carry next to no risk of resistance.
  if (!group || /^(M|NC|UN)/.test(group.group)) return undefined;
  const same = situation.recent.find(({ intervention, daysAgo }) => {
    const other = all.get(intervention)?.modeOfAction;
    return daysAgo <= 30 && other?.scheme === group.scheme && other.group === group.group;
  });
  return same && care('rotate', { group: `${group.scheme} ${group.group}`, daysAgo: same.daysAgo });
};

const hostHarm: Rule = ({ intervention }, { host }) => {
  const harm = intervention.harmsHosts.find(({ host: named }) => named === host.id || named === host.family);
  return harm && (harm.harm === 'serious' ? ruledOut('host-burns', { why: harm.why }) : care('host-marks', { why: harm.why }));
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

const evidence: Rule = ({ intervention, treatments }) => {
  if (intervention.rung === 'none') return undefined;
  return treatments.every((treatment) => treatment.evidence === 'weak' || treatment.evidence === 'folk')
    ? care('weak-evidence', { grade: treatments[0]?.evidence ?? 'weak' })
    : undefined;
};

const frost: Rule = ({ intervention: { rung } }, { daysToFrost }) =>
  rung === 'none' && daysToFrost !== undefined && daysToFrost <= 14 ? inFavour('frost-near', { days: daysToFrost }) : undefined;

const partial: Rule = ({ treatments }, { conditions }) =>
  treatments.length < conditions.length ? care('covers-part', { of: conditions.length, covered: treatments.length }) : undefined;

/** Every rule, hard ones first; each gives at most one reason. */
export const rules: readonly Rule[] = [
  notifiable,
  region,
  stance,
  bees,
  harvest,
  ripeness,
  heat,
  setting,
  stage,
  shield,
  recent,
  apart,
  rotate,
  hostHarm,
  helpers,
  weather,
  evidence,
  frost,
  partial,
];
