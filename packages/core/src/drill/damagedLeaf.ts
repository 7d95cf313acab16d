import { seededRandom } from '../statistics/index.js';
import { areaGrid } from './areaGrid.js';
import type { Point } from './areaGrid.js';

/** What damage looks like: how large its pieces are, how rough, and whether it is gone or only discoloured. */
export interface DamageShape {
  /** middle radius of one piece, as a share of the square root of the leaf's area */
  readonly radius: number;
  /** how far an edge strays from round, 0 to 1 */
  readonly roughness: number;
  /** how much pieces differ in size: the largest over the smallest, 1 or more */
  readonly range: number;
}

/** Where on a leaf the pieces lie. */
export type DamageSpread = 'even' | 'cluster' | 'edge' | 'middle';

/** A leaf with damage whose share is known. */
export interface DamagedLeaf {
  /** outlines of the pieces; they may reach over each other and over the margin of the leaf */
  readonly pieces: readonly (readonly Point[])[];
  /** share of the leaf that the pieces take, percent */
  readonly percent: number;
}

const corners = 18;
const halvings = 18;
const farthest = 6;
const nearestTenth = 0.1;
// A gap from the margin, by which "middle" and "edge" are told, as a share of the square root of the area.
const rimShare = 0.12;
const clusterShare = 0.22;
const tries = 40;

/**
 * Damage a leaf by so much and no more.
 *
 * Pieces are strewn over the blades and then all grown or shrunk together until they take the share that is wanted; what they take is counted
 * on a fine grid, each cell once however many pieces lie over it. It comes within a tenth of a point of what was asked where the pieces can
 * take that much, and says what it came to.
 *
 * @param blades - outlines of the leaf's blades, corners in order, in any unit
 * @param wanted - percent of the leaf, above 0 to 95
 * @param seed - the same gives the same leaf
 * @param fineness - cells along the leaf on which the share is counted; fewer where a leaf is drawn small
 * @throws RangeError where there is no leaf, or more or less is asked than a leaf can lose
 */
export function damagedLeaf(
  blades: readonly (readonly Point[])[],
  { radius, roughness, range }: DamageShape,
  spread: DamageSpread,
  wanted: number,
  seed: number,
  fineness?: number,
): DamagedLeaf {
  if (!(wanted > 0 && wanted <= 95)) throw new RangeError(`A leaf can lose more than 0 to 95 % here, not ${wanted}.`);
  const grid = areaGrid(blades, fineness);
  const random = seededRandom(seed);
  const unit = Math.sqrt(grid.area);
  const count = Math.max(1, Math.round((wanted / 100) * overlapping(wanted) * (1 / (Math.PI * radius ** 2))));
  const focus = grid.draw(random);
  const within = (place: Point): boolean => {
    if (spread === 'cluster') return Math.hypot(place[0] - focus[0], place[1] - focus[1]) < unit * (clusterShare + wanted / 100);
    if (spread === 'even') return true;
    return grid.marginOf(place) < unit * (rimShare + wanted / 250) === (spread === 'edge');
  };
  const strewn = Array.from({ length: count }, () => {
    const at = drawWithin(() => grid.draw(random), within);
    const size = radius * unit * Math.exp((random() - 0.5) * Math.log(range));
    const edge = Array.from({ length: corners }, () => 1 + roughness * (2 * random() - 1));
    return { at, size, edge: smooth(edge) };
  });
  const grown = (by: number) =>
    strewn.map(({ at: [x, y], size, edge }) =>
      edge.map((reach, i): Point => {
        const angle = (2 * Math.PI * i) / corners;
        return [x + by * size * reach * Math.cos(angle), y + by * size * reach * Math.sin(angle)];
      }),
    );
  let [low, high] = [0, farthest];
  let best: DamagedLeaf = { pieces: grown(1), percent: grid.percentOf(grown(1)) };
  for (let i = 0; i < halvings && Math.abs(best.percent - wanted) > nearestTenth / 2; i++) {
    const middle = (low + high) / 2;
    const pieces = grown(middle);
    const percent = grid.percentOf(pieces);
    if (Math.abs(percent - wanted) < Math.abs(best.percent - wanted)) best = { pieces, percent };
    if (percent < wanted) low = middle;
    else high = middle;
  }
  return best;
}

/** How many pieces more are needed where they fall onto each other by chance: −ln(1 − p) / p, from the Poisson coverage of a plane. */
const overlapping = (percent: number) => -Math.log(1 - percent / 100) / (percent / 100);

function drawWithin(draw: () => Point, holds: (place: Point) => boolean): Point {
  let place = draw();
  for (let i = 0; i < tries && !holds(place); i++) place = draw();
  return place;
}

/** Each corner drawn towards its neighbours, so that an edge bends and does not jag. */
const smooth = (edge: readonly number[]) => edge.map((here, i) => (edge.at(i - 1)! + 2 * here + edge[(i + 1) % edge.length]!) / 4);
