import { pricesOf, stepCost } from './expectedLoss.js';
import { countedAs } from '../label/index.js';
import { keptShare } from './keptShare.js';
import type { InterventionFacts, Situation, Step } from './interventionFacts.js';
import type { JudgedIntervention } from './judgedIntervention.js';

/** One step of a plan that covers all causes, in the order of doing. */
export interface PlanStep {
  readonly intervention: string;
  readonly name: string;
  readonly step: Step;
  readonly covers: readonly string[];
  /** names of what acts alike and may be taken every other time */
  readonly inTurnWith: readonly string[];
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
 * Leaving alone and taking out stand by themselves: they are the plan when they lose less than any combination. Steps that undo each other, must
 * be kept days apart or act alike are not put into one plan. What was chosen where growers differ comes first, and alone where it stands alone.
 *
 * Source: Bliss (1939), Annals of Applied Biology 26:585–615 (independent joint action).
 */
export function planFor(
  options: readonly JudgedIntervention[],
  all: ReadonlyMap<string, InterventionFacts>,
  situation: Situation,
): PlanStep[] {
  const open = options.filter(({ id, verdict }) => verdict !== 'ruled-out' && !all.get(id)!.nextSeason);
  const standsAlone = ({ rung }: JudgedIntervention) => rung === 'none' || rung === 'removal';
  const loss = (chosen: readonly JudgedIntervention[]) => lossOf(chosen, all, situation);
  const combined = combine(
    open.filter((option) => !standsAlone(option)),
    all,
    situation,
  );
  const coversAll = ({ covers }: JudgedIntervention) => covers.length === situation.conditions.length;
  const alone = open.filter((option) => standsAlone(option) && coversAll(option)).sort((a, b) => loss([a]) - loss([b]))[0];
  const chosen = open.find((option) => standsAlone(option) && isChosen(option) && coversAll(option));
  const best = chosen ? [chosen] : alone && (combined.length === 0 || loss([alone]) < loss(combined)) ? [alone] : combined;
  return best
    .map(({ id, name, covers }) => ({
      intervention: id,
      name,
      covers,
      step: all.get(id)!.order,
      inTurnWith: open.filter((other) => other.id !== id && alike(all.get(id)!, all.get(other.id)!)).map((other) => other.name),
    }))
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
      .sort(
        (a, b) =>
          Number(isChosen(b.option)) - Number(isChosen(a.option)) ||
          Number(b.gain >= leastGain) - Number(a.gain >= leastGain) ||
          b.gain - a.gain,
      )[0];
    if (!best) break;
    chosen.push(best.option);
  }
  return chosen;
}

/** It was put first where growers differ. */
export const isChosen = ({ reasons }: JudgedIntervention) => reasons.some(({ code }) => code === 'own-school');

/** Damage left under all steps together, and what they cost; money per plant. */
function lossOf(chosen: readonly JudgedIntervention[], all: ReadonlyMap<string, InterventionFacts>, situation: Situation): number {
  const prices = pricesOf(situation);
  const damage = situation.conditions.reduce((sum, condition) => {
    const left = chosen.reduce((share, { id }) => share * (1 - keptShare(id, condition, situation)), 1);
    return sum + left / situation.conditions.length;
  }, 0);
  return damage * prices.plantValue + chosen.reduce((sum, { id }) => sum + stepCost(all.get(id)!, situation.stance, prices), 0);
}

/** Whether two act in the same way: in turn they are good practice, together a double dose. */
const alike = (a: InterventionFacts, b: InterventionFacts) =>
  (a.effect !== undefined && a.effect === b.effect) || (a.modeOfAction !== undefined && countedAs(a) === countedAs(b));

function clash(a: InterventionFacts | undefined, b: InterventionFacts | undefined): boolean {
  if (!a || !b) return false;
  const undone = (one: InterventionFacts, other: InterventionFacts) =>
    one.undoes.includes(other.id) ||
    one.apartFrom.some(({ intervention }) => intervention === other.id) ||
    one.kills.some(({ what }) => what === other.release);
  return alike(a, b) || undone(a, b) || undone(b, a);
}
