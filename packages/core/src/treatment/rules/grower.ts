import type { School } from '../interventionFacts.js';
import { isTakenFirst, takenSchools } from '../takenSchools.js';
import { weakestEvidence } from '../weakestEvidence.js';
import { care, inFavour, ruledOut } from './reason.js';
import type { Rule } from './reason.js';

// A working day of picking is more than most will do.
const longestWork = 6;

export const later: Rule = ({ intervention }) => (intervention.nextSeason ? care('next-season') : undefined);

export const muchWork: Rule = ({ intervention: { minutesPerPlant, rung } }, { plants }) => {
  const hours = ((plants ?? 1) * minutesPerPlant) / 60;
  return rung === 'hand' && hours > longestWork ? care('many-plants', { hours: Math.round(hours), plants: plants! }) : undefined;
};

export const stance: Rule = ({ intervention: { rung, organic } }, situation) => {
  if (situation.stance === 'hands' && ['biological', 'soft', 'synthetic'].includes(rung)) return ruledOut('stance', { stance: 'hands' });
  if (situation.stance === 'organic' && !organic) return ruledOut('stance', { stance: 'organic' });
  return situation.stance === 'softest' && rung === 'synthetic' ? care('softer-first') : undefined;
};

/** Where growers differ, what was chosen counts; of a view on one trouble, not for what it does to another. */
export const school: Rule = ({ intervention, of }, situation) => {
  const leaving = (views: readonly School[]) => views.find(({ leaves }) => leaves?.includes(intervention.id));
  const own = leaving(takenSchools(intervention, { ...situation, conditions: [] }));
  const each = of.map((condition) => leaving(takenSchools({ disputes: [] }, { ...situation, conditions: [condition] })));
  const against = own ?? (each.every(Boolean) ? each[0] : undefined);
  if (against) return ruledOut('school', { view: against.view });
  return isTakenFirst(intervention, situation) ? inFavour('own-school') : undefined;
};

export const evidence: Rule = ({ intervention, effects }) => {
  if (intervention.rung === 'none') return undefined;
  const grade = weakestEvidence(effects);
  return grade === 'weak' || grade === 'folk' ? care('weak-evidence', { grade }) : undefined;
};
