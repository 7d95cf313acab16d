import type { InterventionFacts, Situation, Step } from './interventionFacts.js';
import type { Option } from './option.js';

/** One step of a plan that covers all causes, in the order of doing. */
export interface PlanStep {
  readonly use: string;
  readonly name: string;
  readonly step: Step;
  readonly covers: readonly string[];
}

const stepOrder: readonly Step[] = ['remove', 'water', 'clean', 'cut', 'shield', 'release', 'spray', 'feed', 'wait'];

/**
 * Combine options into a plan that acts on every cause: the best fitting option of each cause, joined by what is left, in an order in which
 * no step undoes another (water and roots before feed, cut before spray).
 *
 * Steps that must be kept days apart are not put into one plan.
 */
export function planFor(options: readonly Option[], all: ReadonlyMap<string, InterventionFacts>, { conditions }: Situation): PlanStep[] {
  const open = new Set(conditions.map(({ id }) => id));
  const chosen: Option[] = [];
  for (const option of options) {
    if (option.verdict === 'ruled-out' || !option.covers.some((id) => open.has(id))) continue;
    if (chosen.some((other) => clash(all.get(option.id), all.get(other.id)))) continue;
    chosen.push(option);
    option.covers.forEach((id) => open.delete(id));
  }
  return chosen
    .map(({ id, name, covers }) => ({ use: id, name, covers, step: all.get(id)!.order }))
    .sort((a, b) => stepOrder.indexOf(a.step) - stepOrder.indexOf(b.step));
}

function clash(a: InterventionFacts | undefined, b: InterventionFacts | undefined): boolean {
  if (!a || !b) return false;
  return a.apartFrom.some(({ use }) => use === b.id) || b.apartFrom.some(({ use }) => use === a.id);
}
