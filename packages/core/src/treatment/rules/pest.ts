import { countedAs } from '../../label/index.js';
import { isSpray } from '../isSpray.js';
import { stageShare, stagesSaid } from '../stageNow.js';
import { care, inFavour, ruledOut } from './reason.js';
import type { Rule } from './reason.js';

// Predators that were set out live about so long.
const stillAtWorkDays = 42;
// Of something that acts on less than this share of what there is, one should know more first.
const doubtfulShare = 0.35;

export const stage: Rule = ({ intervention, effects, of }, situation) => {
  // Leaving alone, tending and taking out work on the plant, whatever stage its trouble is in.
  if (['none', 'culture', 'removal'].includes(intervention.rung)) return undefined;
  const works = [...new Set(effects.flatMap(({ stages }) => stages))].join(' and ');
  const share = Math.max(...effects.map((effect, i) => stageShare(effect, of[i]!, situation)));
  const said = of.flatMap((condition) => stagesSaid(condition, situation));
  if (said.length > 0)
    return share > 0 ? undefined : ruledOut('stage', { works, now: [...new Set(said.map(({ kind }) => kind))].join(' and ') });
  return share < doubtfulShare ? care('stage-doubtful', { works, percent: Math.round(share * 100) }) : undefined;
};

export const shield: Rule = ({ intervention }, { hidden }) => {
  if (!hidden || !['contact', 'stomach', 'translaminar'].includes(intervention.reach) || !isSpray(intervention)) return undefined;
  const through = intervention.reach === 'translaminar' && hidden === 'mine';
  const dissolvesWax = hidden === 'wax' && intervention.reach === 'contact';
  if (through) return undefined;
  return dissolvesWax ? care('shielded', { by: hidden }) : ruledOut('shielded', { by: hidden });
};

/** What was set out within the last weeks is still at work, and would die of it. */
export const releases: Rule = ({ intervention, all }, { earlier }) => {
  const living = earlier
    .filter(({ daysAgo }) => daysAgo <= stillAtWorkDays)
    .map(({ intervention: id }) => all.get(id))
    .find((one) => one?.release && intervention.kills.some(({ what }) => what === one.release));
  return living && care('releases', { other: living.name });
};

export const rotate: Rule = ({ intervention, all }, situation) => {
  const group = countedAs(intervention);
  if (group === intervention.id || group === intervention.countsAs) return undefined;
  const same = situation.earlier.find(({ intervention: before, daysAgo }) => {
    const other = all.get(before);
    return daysAgo <= 30 && other !== undefined && countedAs(other) === group;
  });
  return same && care('rotate', { group, daysAgo: same.daysAgo });
};

export const helpers: Rule = ({ intervention }, { helpersSeen }) => {
  if (intervention.needsHelpers) return helpersSeen ? inFavour('helpers-at-work') : care('no-helpers');
  if (!helpersSeen || intervention.helpers === 'none') return undefined;
  return care('helpers', { harm: intervention.helpers });
};

export const partial: Rule = ({ effects }, { conditions }) =>
  effects.length < conditions.length ? care('covers-part', { of: conditions.length, covered: effects.length }) : undefined;
