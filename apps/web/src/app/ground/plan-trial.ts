import type { Assessment, Case } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';
import { plantsFollowed } from '../recovery/case-looks';
import type { PlanTrial } from './ground-plan';

/** What is compared on a planting on one day, by its open cases; nothing where nothing is. */
export function trialOn(
  day: string,
  planting: Pick<Planting, 'id' | 'rows' | 'plants'>,
  { cases, assessments }: { readonly cases: readonly Case[]; readonly assessments: readonly Assessment[] },
): PlanTrial | undefined {
  const open = cases.filter((one) => one.plantingId === planting.id && one.openedOn <= day && (!one.closedOn || one.closedOn > day));
  const divided = open.find(({ parts }) => parts.some(({ strips }) => strips.length > 0));
  const strips = (divided?.parts ?? [])
    .flatMap((part) =>
      part.strips.map((number) => ({ number, of: part.intervention === null ? ('alone' as const) : ('treated' as const) })),
    )
    .sort((a, b) => a.number - b.number)
    .map(({ of }) => of);
  const looks = assessments.filter(({ assessedOn }) => assessedOn <= day).sort((a, b) => a.assessedOn.localeCompare(b.assessedOn));
  const plants = open.flatMap(({ id }) => plantsFollowed(looks.filter(({ caseId }) => caseId === id)));
  return strips.length + plants.length > 0 ? { strips, plants, rows: planting.rows, of: planting.plants } : undefined;
}

/** The trial in words, for the panel beside the plan and for readers of the screen. */
export function trialWords({ strips, plants }: PlanTrial): string {
  const treated = strips.filter((of) => of === 'treated').length;
  const lagging = plants.flatMap(({ plant, lags }) => (lags ? [plant] : []));
  return [
    strips.length > 0 ? `${treated} strips treated, ${strips.length - treated} left alone` : '',
    plants.length > 0 ? `${plants.length === 1 ? '1 plant is' : `${plants.length} plants are`} followed` : '',
    lagging.length > 0 ? `plant ${lagging.join(', ')} ${lagging.length === 1 ? 'lags' : 'lag'} behind` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
