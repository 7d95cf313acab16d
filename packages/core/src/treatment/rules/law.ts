import { judgeByLabel } from '../../label/index.js';
import type { JudgedLine, LabelLine } from '../../label/index.js';
import type { Situation } from '../interventionFacts.js';
import { mustReport } from '../mustReport.js';
import { care, inFavour, ruledOut } from './reason.js';
import type { Proposal, Reason, ReasonCode, Rule } from './reason.js';

const reporting = 'call-authority';

/** What must be reported comes before everything: nothing else is open, not even leaving it alone. */
export const notifiable: Rule = ({ intervention }, situation) => {
  const suspects = situation.conditions.map((one) => ({ one, must: mustReport(one, situation) })).filter(({ must }) => must !== 'no');
  const first = suspects.find(({ must }) => must === 'report') ?? suspects[0];
  if (!first) return undefined;
  if (intervention.id === reporting) return inFavour('report-first');
  return ruledOut(first.must === 'report' ? 'notifiable' : 'ask-first', {
    condition: first.one.name,
    authority: situation.region.authority,
  });
};

export const region: Rule = ({ intervention }, { region: rules }) => {
  const forbidden = rules.forbidden.find((one) => one.intervention === intervention.id);
  if (forbidden) return ruledOut('forbidden-here', { why: forbidden.why });
  const restricted = rules.restricted.find((one) => one.intervention === intervention.id);
  if (restricted) return ruledOut('restricted', { why: restricted.why });
  if (intervention.restricted) return ruledOut('restricted', { why: 'a licensed applicator decides and applies' });
  const mayNot = intervention.sold === 'professional' || intervention.sold === 'varies';
  return mayNot && !rules.soldHere.includes(intervention.id) ? care('check-sold', { to: intervention.sold }) : undefined;
};

export const dont: Rule = ({ intervention }) => (intervention.dont ? ruledOut('dont') : undefined);

const brokenCodes: Readonly<Record<LabelLine, ReasonCode>> = {
  crop: 'no-crop-line',
  target: 'no-target-line',
  validity: 'expired',
  licence: 'licence',
  rate: 'above-rate',
  wind: 'wind-line',
  buffer: 'buffer',
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
export function byLabel({ intervention, all }: Proposal, situation: Situation): Reason[] {
  const { host, setting, edible, inFlower, daysToHarvest, flowersInDays, bare, waterNear, earlier, temperatureC, forecast } = situation;
  const lines = judgeByLabel(intervention, {
    planting: { host, setting, eaten: edible, inFlower, daysToHarvest, flowersInDays, bare, waterNear },
    earlier,
    weather: { temperatureC, maxC: forecast?.maxC, windKmh: forecast?.windKmh },
    on: situation.on,
    hasLicence: situation.hasLicence,
    cards: all,
  });
  return lines.flatMap(({ line, state, facts }: JudgedLine) => {
    if (state === 'open' && line === 'bees') return setting === 'indoor' ? [] : care('bees-unknown', facts);
    if (state === 'open' && line === 'buffer') return setting === 'indoor' ? [] : care('buffer', facts);
    if (state === 'open') return line === 'pre-harvest' ? care('harvest-close', facts) : [];
    if (state === 'kept') return [];
    return ruledOut(line === 'temperature' && 'least' in facts ? 'too-cold' : brokenCodes[line], facts);
  });
}
