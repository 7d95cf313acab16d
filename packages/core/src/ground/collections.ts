import { centreOf, containsPoint, planArea } from './shape.js';
import type { PlanShape } from './shape.js';

/** A place in which plants may share air, hands and pests. */
export interface SharedPlace {
  readonly id: string;
  /** under a roof, or pots in a crowd: what is there shares more than neighbours in beds do */
  readonly isShared: boolean;
  readonly shape: PlanShape | null;
}

/**
 * Places that are one collection: a room or tunnel with every shelf, bench and sill that lies in it, or a shelf by itself.
 *
 * A place lies in another when its middle does and it is the smaller one.
 *
 * @returns for each outermost shared place the ids of all that belong to it, its own first
 */
export function collectionsOf(places: readonly SharedPlace[]): Map<string, string[]> {
  const shared = places.filter(({ isShared }) => isShared);
  const holds = (outer: SharedPlace, inner: SharedPlace) =>
    outer.id !== inner.id &&
    outer.shape !== null &&
    inner.shape !== null &&
    planArea(outer.shape) > planArea(inner.shape) &&
    containsPoint(outer.shape, centreOf(inner.shape));
  const outermost = shared.filter((place) => !shared.some((other) => holds(other, place)));
  return new Map(outermost.map((place) => [place.id, [place.id, ...shared.filter((other) => holds(place, other)).map(({ id }) => id)]]));
}

/** How crowded a collection is, and how much of it a hand reaches. */
export interface Crowding {
  /** from the middle of one plant to that of the next, if they stood evenly, centimetres */
  readonly apartCm: number;
  readonly isCrowded: boolean;
  /** share of the plants that can be turned from the open sides, 0 to 1 */
  readonly reached: number;
  readonly plantsReached: number;
}

// A hand that turns a pot reaches some 60 cm over a bench (ergonomic tables: 55 to 65).
const armM = 0.6;
// Nearer than this, pots of twelve centimetres touch with their leaves: our estimate.
const crowdedCm = 20;
// A share like 0.4 is a little less in the machine.
const rounding = 1e-9;

/**
 * How crowded plants stand, and how many of them can really be looked at.
 *
 * @param plants - 1 or more
 * @param areaM2 - that they stand on, above 0
 * @param depthM - from the open side to the back, above 0
 * @param sides - from which one gets at them, 1 or 2
 */
export function crowding(plants: number, areaM2: number, depthM: number, sides: 1 | 2): Crowding {
  if (!(plants >= 1 && areaM2 > 0 && depthM > 0)) throw new RangeError('A collection has plants, an area and a depth.');
  const apartCm = 100 * Math.sqrt(areaM2 / plants);
  const reached = Math.min(1, (sides * armM) / depthM);
  return { apartCm, isCrowded: apartCm < crowdedCm, reached, plantsReached: Math.floor(plants * reached + rounding) };
}

/** A day that is expected, with its mean. */
interface ExpectedDay {
  readonly day: string;
  readonly meanC: number;
}

const spellDays = 3;
// So much warmer, pests of warm places breed two fifths faster: at 15 °C over a threshold of 8, seven degrees become ten.
const spellC = 3;

/**
 * The first warm spell that is expected: three days in a row that are three degrees warmer than it was of late. What slept wakes, and what breeds breeds
 * faster.
 *
 * @param days - to come, in order
 * @param latelyC - mean of the last days, °C
 * @returns its first day and the mean of its three days; nothing where none is expected
 */
export function warmSpell(days: readonly ExpectedDay[], latelyC: number): ExpectedDay | null {
  for (let i = 0; i + spellDays <= days.length; i++) {
    const spell = days.slice(i, i + spellDays);
    if (spell.every(({ meanC }) => meanC >= latelyC + spellC))
      return { day: spell[0]!.day, meanC: spell.reduce((sum, { meanC }) => sum + meanC, 0) / spellDays };
  }
  return null;
}
