import { defaultPrices, stepCost } from './expectedLoss.js';
import type { InterventionFacts, Situation, Step } from './interventionFacts.js';
import type { JudgedIntervention } from './judgedIntervention.js';

/** One step of a plan that covers all causes, in the order of doing. */
export interface PlanStep {
  readonly intervention: string;
  readonly name: string;
  readonly step: Step;
  readonly covers: readonly string[];
}

const stepOrder: readonly Step[] = ['remove', 'water', 'clean', 'cut', 'shield', 'release', 'spray', 'feed', 'wait'];
const mostSteps = 4;
// A further step must be worth its trouble, in the money of the garden for one plant.
const leastGain = 0.1;

/**
 * Combine options into a plan that acts on every cause, in an order in which no step undoes another (water and roots before feed, cut before
 * spray).
 *
 * Steps are added one after the other, each time the one that lowers the expected loss most; what one step leaves of a trouble the next one
 * acts on, as if they worked independently (Bliss 1939). A cause that no step has reached yet gets its best one even where it hardly pays.
 * Leaving alone and taking out stand by themselves: they are the plan when they lose less than any combination. Steps that must be kept days
 * apart are not put into one plan.
 *
 * Source: Bliss (1939), Annals of Applied Biology 26:585–615 (independent joint action).
 */
export function planFor(
  options: readonly JudgedIntervention[],
  all: ReadonlyMap<string, InterventionFacts>,
  situation: Situation,
): PlanStep[] {
  const open = options.filter(({ verdict }) => verdict !== 'ruled-out');
  const standsAlone = ({ rung }: JudgedIntervention) => rung === 'none' || rung === 'removal';
  const loss = (chosen: readonly JudgedIntervention[]) => lossOf(chosen, all, situation);
  const combined = combine(
    open.filter((option) => !standsAlone(option)),
    all,
    situation,
  );
  const coversAll = ({ covers }: JudgedIntervention) => covers.length === situation.conditions.length;
  const alone = open.filter((option) => standsAlone(option) && coversAll(option)).sort((a, b) => loss([a]) - loss([b]))[0];
  const best = alone && (combined.length === 0 || loss([alone]) < loss(combined)) ? [alone] : combined;
  return best
    .map(({ id, name, covers }) => ({ intervention: id, name, covers, step: all.get(id)!.order }))
    .sort((a, b) => stepOrder.indexOf(a.step) - stepOrder.indexOf(b.step));
}

function combine(
  options: readonly JudgedIntervention[],
  all: ReadonlyMap<string, InterventionFacts>,
  situation: Situation,
): JudgedIntervention[] {
  const chosen: JudgedIntervention[] = [];
  for (let step = 0; step < mostSteps; step++) {
    const reached = new Set(chosen.flatMap(({ covers }) => covers));
    const fitting = options.filter(
      (option) => !chosen.includes(option) && !chosen.some((other) => clash(all.get(option.id), all.get(other.id))),
    );
    const now = lossOf(chosen, all, situation);
    const best = fitting
      .map((option) => ({
        option,
        gain: now - lossOf([...chosen, option], all, situation),
        reachesNew: option.covers.some((id) => !reached.has(id)),
      }))
      .filter(({ gain, reachesNew }) => gain >= leastGain || reachesNew)
      .sort((a, b) => Number(b.gain >= leastGain) - Number(a.gain >= leastGain) || b.gain - a.gain)[0];
    if (!best) break;
    chosen.push(best.option);
  }
  return chosen;
}

/** Damage left under all steps together, and what they cost; money per plant. */
function lossOf(
  chosen: readonly JudgedIntervention[],
  all: ReadonlyMap<string, InterventionFacts>,
  { conditions, stance }: Situation,
): number {
  const damage = conditions.reduce((sum, { treat }) => {
    const left = chosen.reduce((share, { id }) => share * (1 - keptBy(treat.find(({ intervention }) => intervention === id)?.efficacy)), 1);
    return sum + left / conditions.length;
  }, 0);
  return damage * defaultPrices.plantValue + chosen.reduce((sum, { id }) => sum + stepCost(all.get(id)!, stance), 0);
}

const keptBy = (efficacy: readonly number[] | undefined): number => (efficacy ? (efficacy[0]! + efficacy[1]!) / 200 : 0);

function clash(a: InterventionFacts | undefined, b: InterventionFacts | undefined): boolean {
  if (!a || !b) return false;
  return a.apartFrom.some(({ intervention }) => intervention === b.id) || b.apartFrom.some(({ intervention }) => intervention === a.id);
}
