import type { Circumstances, Knowledge } from './knowledge.js';
import { priorLogOdds } from './prior.js';
import { frequencyTable } from './probabilityTable.js';

/** A look to take, with the chance that it shows something, and what it would most likely show, of at most three troubles. */
export interface LookHere {
  readonly check: string;
  readonly chance: number;
  readonly shows: readonly { readonly condition: string; readonly sign: string }[];
}

/** What to look for on a planting that nobody worries about yet, and where. */
export interface LookPlan {
  /** what may be there, most to be feared first, with its chance; what does not spread counts a fifth */
  readonly feared: readonly { readonly condition: string; readonly chance: number }[];
  /** which looks to take, in order: each with the chance that it shows something, after those before it */
  readonly checks: readonly LookHere[];
  /** parts of the plant by how much of the trouble shows there, 0 to 1 */
  readonly parts: readonly { readonly part: string; readonly share: number }[];
  /** chance that anything of it is there */
  readonly risk: number;
}

// What spreads is worth most to find early; a shortage or a dry pot waits a day; the rest gains nothing by it.
const spreads = new Set(['insect', 'mite', 'mollusc', 'vertebrate', 'fungus', 'oomycete', 'bacterium', 'virus', 'nematode']);
const waits = new Set(['deficiency', 'water']);
const waitingWeight = 0.2;
// Turning to another look takes a moment by itself.
const minutesBetween = 0.5;
// Who looks for very many things at once looks for none of them: each takes some ten seconds.
const minutesPerSign = 1 / 6;
const mostChecks = 4;
const mostFeared = 12;
const mostShown = 3;

/**
 * Where to look on a round: which checks find most of what may be there for the minutes that they take, and on which parts it shows.
 *
 * Checks are chosen one after the other, each for what those before it would have missed (a greedy cover is within 1 − 1/e of the best: Nemhauser,
 * Wolsey & Fisher 1978, Mathematical Programming 14:265–294). Checks that hurt the plant are left for when something is found.
 */
export function whereToLook({ conditions, signs, checks }: Knowledge, circumstances: Circumstances): LookPlan {
  const part = new Map(signs.map((sign) => [sign.id, sign.part]));
  const feared = conditions
    .filter(({ kind }) => spreads.has(kind) || waits.has(kind))
    .map((condition) => {
      const odds = Math.exp(priorLogOdds(condition, circumstances).logOdds);
      return { condition, chance: (odds / (1 + odds)) * (spreads.has(condition.kind) ? 1 : waitingWeight) };
    })
    .sort((a, b) => b.chance - a.chance);

  const missed = new Map(feared.map(({ condition, chance }) => [condition.id, chance]));
  const shows = (reveals: readonly string[], signsOf: Readonly<Record<string, keyof typeof frequencyTable>>) =>
    1 - reveals.reduce((hidden, sign) => hidden * (1 - (sign in signsOf ? frequencyTable[signsOf[sign]!] : 0)), 1);
  /** what a look would most likely show of what is still missed, each trouble by its plainest sign */
  const likeliest = (reveals: readonly string[]): LookHere['shows'] =>
    feared
      .flatMap(({ condition }) => {
        const own = reveals.filter((sign) => sign in condition.signs);
        if (own.length === 0) return [];
        const often = (sign: string) => frequencyTable[condition.signs[sign]!];
        const sign = own.reduce((a, b) => (often(b) > often(a) ? b : a));
        return [{ condition: condition.id, sign, weight: missed.get(condition.id)! * often(sign) }];
      })
      .sort((a, b) => b.weight - a.weight)
      .slice(0, mostShown)
      .map(({ condition, sign }) => ({ condition, sign }));
  const chosen: LookHere[] = [];
  let left = checks.filter(({ harm }) => harm === 'none');
  while (chosen.length < mostChecks && left.length > 0) {
    const valued = left.map((check) => {
      const chance = feared.reduce((sum, { condition }) => sum + missed.get(condition.id)! * shows(check.reveals, condition.signs), 0);
      const minutes = Math.max(check.minutes, check.reveals.length * minutesPerSign);
      return { check, chance, perMinute: chance / (minutes + minutesBetween) };
    });
    const best = valued.reduce((a, b) => (b.perMinute > a.perMinute ? b : a));
    if (best.chance < 1e-4) break;
    chosen.push({ check: best.check.id, chance: best.chance, shows: likeliest(best.check.reveals) });
    for (const { condition } of feared)
      missed.set(condition.id, missed.get(condition.id)! * (1 - shows(best.check.reveals, condition.signs)));
    left = left.filter((check) => check !== best.check);
  }

  // What only a look that hurts the plant would show is no place to look on a round.
  const harmless = new Set(checks.filter(({ harm }) => harm === 'none').flatMap(({ reveals }) => reveals));
  const revealed = new Set(checks.flatMap(({ reveals }) => reveals));
  const weights = new Map<string, number>();
  for (const { condition, chance } of feared)
    for (const [sign, frequency] of Object.entries(condition.signs)) {
      const where = part.get(sign);
      if (where && (harmless.has(sign) || !revealed.has(sign)))
        weights.set(where, (weights.get(where) ?? 0) + chance * frequencyTable[frequency]);
    }
  const most = Math.max(...weights.values(), 1e-9);
  return {
    feared: feared.slice(0, mostFeared).map(({ condition, chance }) => ({ condition: condition.id, chance })),
    checks: chosen,
    parts: [...weights].map(([where, weight]) => ({ part: where, share: weight / most })).sort((a, b) => b.share - a.share),
    risk: 1 - feared.reduce((none, { chance }) => none * (1 - chance), 1),
  };
}
