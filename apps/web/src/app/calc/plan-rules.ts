import { countedAs } from '@field-nurse/core/label';
import type { Intervention } from '@field-nurse/library';
import type { Cards, GardenToPlan, PlanSeen } from './garden-to-plan';
import { seasonKey } from './plan-ways';

// What holds between the plans of a garden, and with what was done before.

// What is cut away is not sprayed: of one case the cutting comes first.
const comesFirst = ['remove', 'clean', 'cut'];

/** Plans of a case in the order of their work: sprays follow what is cut. */
export const inOrder = (seen: readonly PlanSeen[]): PlanSeen[] =>
  seen.map((one) => {
    const isSpray = one.ways[0]?.card.order === 'spray';
    const before = seen.find(
      ({ plan, ways }) => plan.caseId !== null && plan.caseId === one.plan.caseId && comesFirst.includes(ways[0]?.card.order ?? ''),
    );
    return isSpray && before ? { ...one, toPlace: { ...one.toPlace, follows: before.plan.id } } : one;
  });

/** Every way with the days that the labels ask for between it and the others on the same planting: its own interval, and what may not meet. */
export const keptApart = (seen: readonly PlanSeen[]): PlanSeen[] =>
  seen.map((one) => {
    const here = seen.filter(({ plan }) => plan.plantingId === one.plan.plantingId).flatMap(({ ways }) => ways);
    const apartOf = (id: string) => {
      const own = one.ways.find(({ way }) => way.id === id)!;
      return here.map((other) => ({ from: other.way.id, days: daysApart(own.card, other.card) })).filter(({ days }) => days > 0);
    };
    return { ...one, toPlace: { ...one.toPlace, ways: one.toPlace.ways.map((way) => ({ ...way, apart: apartOf(way.id) })) } };
  });

/** Days between two applications on one planting, by either label. */
function daysApart(one: Intervention, other: Intervention): number {
  if (one.id === other.id) return Math.max(one.repeatDays?.[0] ?? 0, other.repeatDays?.[0] ?? 0);
  const asked = (a: Intervention, b: Intervention) => [
    ...a.apartFrom.filter(({ intervention }) => intervention === b.id),
    ...a.kills.filter(({ what }) => what === b.release),
  ];
  return Math.max(0, ...[...asked(one, other), ...asked(other, one)].map(({ days }) => days));
}

/** How often each mode of action may be used on each planting in a season, by the strictest label at hand. */
export function strictestMaxima(seen: readonly PlanSeen[]): Record<string, number> {
  const maxima: Record<string, number> = {};
  for (const { plan, ways } of seen)
    for (const { card } of ways)
      if (card.seasonMax !== undefined) {
        const key = seasonKey(card, plan.plantingId);
        maxima[key] = Math.min(maxima[key] ?? Infinity, card.seasonMax);
      }
  return maxima;
}

/** What was applied this season on the plantings of plans, each once: it counts for maxima and for what comes next in turn. */
export function doneBefore(seen: readonly PlanSeen[], { applied }: GardenToPlan, cards: Cards, season: string) {
  return applied.flatMap(({ plantingId, caseId, intervention, appliedOn }) => {
    const own = seen.filter(({ plan }) => plan.plantingId === plantingId);
    const plan = own.find(({ plan: one }) => one.caseId === caseId) ?? own[0];
    const card = cards.get(intervention);
    if (!plan || !card || appliedOn < season) return [];
    const mode = countedAs(card);
    return [{ case: plan.toPlace.case, product: seasonKey(card, plantingId), ...(mode !== card.id && { group: mode }), date: appliedOn }];
  });
}
