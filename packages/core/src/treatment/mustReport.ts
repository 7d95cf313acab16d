import type { Situation, TreatableCondition } from './interventionFacts.js';

/**
 * Whether a condition must be reported to the plant-health authority before anything is done.
 *
 * What the region says goes before what is usual in the world. Of what is listed in some places only the grower asks first.
 *
 * @returns `ask` until the grower has asked whether it is listed
 */
export function mustReport(
  { id, reportable }: Pick<TreatableCondition, 'id' | 'reportable'>,
  { region, notListed }: Pick<Situation, 'region' | 'notListed'>,
): 'report' | 'ask' | 'no' {
  if (region.notifiable.includes(id)) return 'report';
  if (region.notListed.includes(id)) return 'no';
  if (reportable === 'nearly-everywhere') return 'report';
  return reportable === 'in-places' && !notListed.includes(id) ? 'ask' : 'no';
}
