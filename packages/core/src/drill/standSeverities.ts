import { seededRandom } from '../statistics/index.js';

/** How damage lies over a stand: here and there, round one spot, or from one side. */
export type StandPattern = 'scattered' | 'focus' | 'side';

const worst = 95;
const least = 0.5;
const halvings = 50;
// How far a focus reaches, and how deep a side is, as shares of the stand.
const focusReach = 0.28;
const sideDepth = 0.3;
// How unlike neighbours are: standard deviations of the logarithm.
const unlike = { scattered: 1.1, focus: 0.4, side: 0.4 } as const;

/**
 * How badly each plant of a stand is marked, so that the stand as a whole has a severity.
 *
 * @param rows - and `columns`: plants, 1 or more each
 * @param wanted - mean over all plants, percent, 0 to 90
 * @returns percent for each plant, row by row, each 0 or from a half to 95; their mean is within half a point of what was asked
 */
export function standSeverities(rows: number, columns: number, pattern: StandPattern, wanted: number, seed: number): number[] {
  const random = seededRandom(seed);
  const focus = [random(), random()] as const;
  const fromLeft = random() < 0.5;
  const weights = Array.from({ length: rows * columns }, (_, i) => {
    const [x, y] = [((i % columns) + 0.5) / columns, (Math.floor(i / columns) + 0.5) / rows];
    const lot = Math.exp(unlike[pattern] * (random() + random() + random() + random() - 2) * Math.sqrt(3));
    if (pattern === 'focus') return lot * Math.exp(-0.5 * (Math.hypot(x - focus[0], y - focus[1]) / focusReach) ** 2);
    if (pattern === 'side') return lot * Math.exp(-(fromLeft ? x : 1 - x) / sideDepth);
    return lot;
  });
  const marked = (scale: number) =>
    weights.map((weight) => Math.min(worst, scale * weight)).map((percent) => (percent < least ? 0 : percent));
  const meanOf = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;
  let [low, high] = [0, 1];
  while (meanOf(marked(high)) < wanted && high < 1e9) high *= 2;
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2;
    if (meanOf(marked(middle)) < wanted) low = middle;
    else high = middle;
  }
  return marked(high);
}
