import type { Bounds } from './shape.js';

/** A plant that is set beside others for what it does to a trouble. */
export interface CompanionFacts {
  readonly id: string;
  /** hosts that it is made of; none where the library has none */
  readonly plants: readonly string[];
  /** troubles */
  readonly for: readonly string[];
  /** hosts or families that it serves */
  readonly beside: readonly string[];
  readonly settings: readonly string[];
  /** months in which it is sown or planted, and in which it works; northern hemisphere */
  readonly begin: readonly number[];
  readonly months: readonly number[];
  /** as far as it works, metres */
  readonly reachM: number;
  /** percent of the trouble that is spared */
  readonly efficacy: readonly [number, number];
}

/** A planting with what may come to it now. */
export interface NeedyPlanting {
  readonly id: string;
  readonly placeId: string;
  readonly host: string;
  readonly family: string;
  readonly setting: string;
  readonly troubles: readonly string[];
  /** where it lies; nothing where that is not known */
  readonly bounds: Bounds | null;
}

/** What a companion would do in a garden now. */
export interface CompanionUse {
  readonly companion: string;
  readonly serves: readonly { readonly planting: string; readonly troubles: readonly string[]; readonly standing: readonly string[] }[];
  /** works now, may be begun now, or comes another time */
  readonly when: 'stands' | 'works-now' | 'begin-now' | 'later';
}

/**
 * Which companions serve what grows in a garden this month, the most useful first: those that stand already, then by what they spare at the least and at
 * the most, times the plantings that they serve.
 *
 * A planting of the companion's own kind serves others within its reach, measured between the edges; where it is not known where things lie, within the
 * same place. Nothing serves itself.
 *
 * @param month - of the northern hemisphere, 1 to 12
 */
export function companionsNow(companions: readonly CompanionFacts[], plantings: readonly NeedyPlanting[], month: number): CompanionUse[] {
  const uses = companions.flatMap((companion): CompanionUse[] => {
    const own = plantings.filter(({ host }) => companion.plants.includes(host));
    const serves = plantings
      .filter((one) => !companion.plants.includes(one.host))
      .filter(({ host, family }) => companion.beside.includes(host) || companion.beside.includes(family))
      .filter(({ setting }) => companion.settings.length === 0 || companion.settings.includes(setting))
      .map((one) => ({
        planting: one.id,
        troubles: companion.for.filter((trouble) => one.troubles.includes(trouble)),
        standing: own.filter((other) => isWithin(one, other, companion.reachM)).map(({ id }) => id),
      }))
      .filter(({ troubles }) => troubles.length > 0);
    if (serves.length === 0) return [];
    const works = companion.months.includes(month);
    const stands = works && serves.some(({ standing }) => standing.length > 0);
    const when = stands ? 'stands' : companion.begin.includes(month) ? 'begin-now' : works ? 'works-now' : 'later';
    return [{ companion: companion.id, serves, when }];
  });
  const worth = ({ companion, serves }: CompanionUse) => {
    const [low, high] = companions.find(({ id }) => id === companion)!.efficacy;
    return (low + high) * serves.length;
  };
  const order = ['stands', 'begin-now', 'works-now', 'later'];
  return uses.sort(
    (a, b) => order.indexOf(a.when) - order.indexOf(b.when) || worth(b) - worth(a) || a.companion.localeCompare(b.companion),
  );
}

function isWithin(one: NeedyPlanting, other: NeedyPlanting, reachM: number): boolean {
  if (one.placeId === other.placeId) return true;
  if (reachM === 0 || !one.bounds || !other.bounds) return false;
  return gapBetween(one.bounds, other.bounds) <= reachM;
}

/** Between the nearest edges of two upright boxes; 0 where they touch. */
const gapBetween = (a: Bounds, b: Bounds) => Math.hypot(gap(a.left, a.right, b.left, b.right), gap(a.top, a.bottom, b.top, b.bottom));
const gap = (low: number, high: number, otherLow: number, otherHigh: number) => Math.max(0, otherLow - high, low - otherHigh);
