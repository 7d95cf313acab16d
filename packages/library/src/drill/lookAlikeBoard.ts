import { seenGiven, susceptibility } from '@field-nurse/core/diagnosis';
import type { LookAlike, TakenLook } from '@field-nurse/core/drill';
import { beliefAfter, bestLook, worthOf } from '@field-nurse/core/drill';
import type { Condition, Host, Sign } from '../entries.js';

/** A sick plant, what is seen at first, what it may be, and where one may look. */
export interface LookAlikeBoard {
  readonly host: string;
  /** the sign that all of them share, which is there */
  readonly seen: TakenLook;
  readonly troubles: readonly LookAlike[];
  /** signs that may be looked for */
  readonly open: readonly string[];
}

const sharedFrom = 0.3;
const mostTroubles = 5;
const tellingLooks = 5;
const idleLooks = 3;
// A board whose best look tells less than this is a riddle and no drill.
const leastBits = 0.3;

/**
 * A board on which a trouble of a host is to be told from what it is taken for.
 *
 * The sign that the plant shows is one that the trouble shares with most others of that host; rivals are its look-alikes first, then those
 * that show the sign most. Of the looks some tell much and some little.
 *
 * @param random - draws which idle looks lie among the telling ones, and their order
 * @returns nothing where the trouble shares no sign with two others, or no look would tell them apart
 */
export function lookAlikeBoard(
  trouble: Condition,
  host: Host,
  conditions: readonly Condition[],
  signs: ReadonlyMap<string, Sign>,
  random: () => number,
): LookAlikeBoard | undefined {
  const others = conditions.filter((one) => one.id !== trouble.id && susceptibility(one, host) !== 'unlisted');
  const shows = (condition: Condition, sign: string) => seenGiven(signs.get(sign)!, [condition]);
  const known = (condition: Condition) => Object.keys(condition.signs).filter((id) => signs.has(id) && shows(condition, id) >= sharedFrom);
  const shared = known(trouble)
    .map((sign) => ({ sign, rivals: others.filter((other) => shows(other, sign) >= sharedFrom) }))
    .sort((a, b) => b.rivals.length - a.rivals.length)[0];
  if (!shared || shared.rivals.length < 2) return undefined;
  const alike = new Set(trouble.lookalikes.map(({ condition }) => condition));
  const rivals = [...shared.rivals]
    .sort(
      (a, b) =>
        Number(alike.has(b.id)) - Number(alike.has(a.id)) || shows(b, shared.sign) - shows(a, shared.sign) || a.id.localeCompare(b.id),
    )
    .slice(0, mostTroubles - 1);
  const all = [trouble, ...rivals].sort((a, b) => a.name.localeCompare(b.name));
  const lookedFor = [...new Set(all.flatMap(known))].filter((sign) => sign !== shared.sign);
  const troubles = all.map((one): LookAlike => ({
    id: one.id,
    weight: 1,
    shows: Object.fromEntries([shared.sign, ...lookedFor].map((sign) => [sign, shows(one, sign)])),
  }));
  const seen = { look: shared.sign, seen: true };
  if ((bestLook(troubles, [seen], lookedFor)?.bits ?? 0) < leastBits) return undefined;
  const ranked = [...lookedFor].sort((a, b) => worthOf(troubles, [seen], b) - worthOf(troubles, [seen], a));
  const idle = shuffled(ranked.slice(tellingLooks), random).slice(0, idleLooks);
  return { host: host.id, seen, troubles, open: shuffled([...ranked.slice(0, tellingLooks), ...idle], random) };
}

/** The trouble that a plant on a board has, and what each look would find. */
export function sickPlant({ seen, troubles, open }: LookAlikeBoard, trouble: string, random: () => number): ReadonlyMap<string, boolean> {
  const { shows } = troubles.find(({ id }) => id === trouble)!;
  return new Map([[seen.look, seen.seen], ...open.map((look): [string, boolean] => [look, random() < shows[look]!])]);
}

/** How likely each trouble of a board is after some looks, the likeliest first. */
export const standing = ({ troubles, seen }: LookAlikeBoard, looks: readonly TakenLook[]): { id: string; chance: number }[] => {
  const belief = beliefAfter(troubles, [seen, ...looks]);
  return troubles.map(({ id }, i) => ({ id, chance: belief[i]! })).sort((a, b) => b.chance - a.chance);
};

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const other = Math.floor(random() * (i + 1));
    [all[i], all[other]] = [all[other]!, all[i]!];
  }
  return all;
}
