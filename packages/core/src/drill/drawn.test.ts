import { seededRandom } from '../statistics';
import type { DamageSpread, Point } from '.';
import { crawlersOn, damagedLeaf, gatheredBelow, standSeverities } from '.';
import { areaGrid } from './areaGrid';

const circle = (x: number, y: number, radius: number, corners = 60): Point[] =>
  Array.from({ length: corners }, (_, i) => [
    x + radius * Math.cos((2 * Math.PI * i) / corners),
    y + radius * Math.sin((2 * Math.PI * i) / corners),
  ]);
const square: Point[] = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];
const lobed = [circle(30, 50, 24), circle(62, 50, 24), circle(46, 24, 18)];
const spots = { radius: 0.03, roughness: 0.2, range: 3 };
const holes = { radius: 0.08, roughness: 0.35, range: 4 };

/** Winding number by angles: another way to tell inside from outside than the grid's. */
function winds(outline: readonly Point[], [x, y]: Point): boolean {
  const turned = outline.reduce((sum, [ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    return sum + Math.atan2((ax - x) * (by - y) - (ay - y) * (bx - x), (ax - x) * (bx - x) + (ay - y) * (by - y));
  }, 0);
  return Math.abs(turned) > Math.PI;
}

/** Within the box round a piece: saves most of the angles. */
const isNear = (piece: readonly Point[], [x, y]: Point) =>
  piece.some(([px]) => px >= x) && piece.some(([px]) => px <= x) && piece.some(([, py]) => py >= y) && piece.some(([, py]) => py <= y);

test('areas as geometry has them', () => {
  expect(areaGrid([square]).area).toBeCloseTo(10_000, 0);
  expect(areaGrid([circle(0, 0, 10)]).area / (Math.PI * 100)).toBeCloseTo(0.998, 2);
  expect(areaGrid([square]).percentOf([circle(50, 50, 20)])).toBeCloseTo((Math.PI * 400) / 100, 0);
  // What lies over another counts once, and what lies beside the leaf not at all.
  expect(areaGrid([square]).percentOf([square, circle(50, 50, 20), circle(300, 300, 50)])).toBe(100);
  expect(areaGrid([square]).marginOf([10, 40])).toBeCloseTo(10);
  expect(() => areaGrid([[]])).toThrow(RangeError);
  expect(() => areaGrid([[[5, 5]]])).toThrow(/no leaf/);
});

test('gathered at the foot of a leaf', () => {
  expect(gatheredBelow([square], 30)).toBeCloseTo(70, 0);
  expect(gatheredBelow([circle(50, 50, 40)], 50)).toBeCloseTo(50, 0);
  expect(gatheredBelow(lobed, 0)).toBeCloseTo(74, 0);
  expect(gatheredBelow(lobed, 100)).toBeCloseTo(6, 0);
});

describe('a damaged leaf', () => {
  const spreads: readonly DamageSpread[] = ['even', 'cluster', 'edge', 'middle'];

  test.each(spreads.flatMap((spread) => [0.7, 12, 70].map((wanted) => [spread, wanted] as const)))(
    '%s: %d %% is what is there',
    (spread, wanted) => {
      for (const [i, shape] of [spots, holes].entries()) {
        const { pieces, percent } = damagedLeaf(lobed, shape, spread, wanted, 31 + i);
        expect(Math.abs(percent - wanted)).toBeLessThan(0.25);
        // Counted another way: points thrown at the leaf.
        const random = seededRandom(99);
        let [on, hit] = [0, 0];
        while (on < 700) {
          const place: Point = [random() * 100, random() * 100];
          if (!lobed.some((blade) => winds(blade, place))) continue;
          on++;
          if (pieces.some((piece) => isNear(piece, place) && winds(piece, place))) hit++;
        }
        expect(Math.abs((100 * hit) / on - percent)).toBeLessThan(4 * Math.sqrt((percent * (100 - percent)) / on) + 0.1);
      }
    },
  );

  test('the pieces lie where they are said to', () => {
    const grid = areaGrid([square]);
    const middles = (spread: DamageSpread) =>
      damagedLeaf([square], spots, spread, 5, 4).pieces.map((piece): Point => {
        const mean = (axis: 0 | 1) => piece.reduce((sum, corner) => sum + corner[axis], 0) / piece.length;
        return [mean(0), mean(1)];
      });
    expect(Math.max(...middles('edge').map((place) => grid.marginOf(place)))).toBeLessThan(18);
    expect(Math.min(...middles('middle').map((place) => grid.marginOf(place)))).toBeGreaterThan(8);
    const cluster = middles('cluster');
    const spread = (axis: 0 | 1) => Math.max(...cluster.map((one) => one[axis])) - Math.min(...cluster.map((one) => one[axis]));
    expect(Math.max(spread(0), spread(1))).toBeLessThan(60);
  });

  test('the same seed, the same leaf; and no leaf loses all of itself or nothing', () => {
    expect(damagedLeaf(lobed, spots, 'even', 12, 5)).toEqual(damagedLeaf(lobed, spots, 'even', 12, 5));
    expect(damagedLeaf(lobed, spots, 'even', 12, 5)).not.toEqual(damagedLeaf(lobed, spots, 'even', 12, 6));
    for (const wanted of [0, -1, 96, NaN]) expect(() => damagedLeaf(lobed, spots, 'even', wanted, 1)).toThrow(RangeError);
  });
});

describe('a stand', () => {
  test.each(['scattered', 'focus', 'side'] as const)('%s: its plants come to what is asked', (pattern) => {
    for (const wanted of [2, 10, 35, 70])
      for (let seed = 1; seed < 12; seed++) {
        const all = standSeverities(5, 8, pattern, wanted, seed);
        expect(all).toHaveLength(40);
        expect(Math.min(...all)).toBeGreaterThanOrEqual(0);
        expect(Math.max(...all)).toBeLessThanOrEqual(95);
        expect(Math.abs(all.reduce((sum, one) => sum + one, 0) / 40 - wanted)).toBeLessThan(0.5);
      }
    expect(standSeverities(5, 8, pattern, 0, 1)).toEqual(Array(40).fill(0));
  });

  test('from one side: the near third is worse than the far one', () => {
    const all = standSeverities(6, 9, 'side', 20, 3);
    const third = (from: number) => all.filter((_, i) => i % 9 >= from && i % 9 < from + 3).reduce((sum, one) => sum + one, 0);
    expect(Math.max(third(0), third(6))).toBeGreaterThan(3 * Math.min(third(0), third(6)));
  });
});

test('animals sit on the leaf, apart, each on its way', () => {
  for (const count of [0, 1, 7, 40]) {
    const all = crawlersOn([circle(50, 50, 40)], count, 7, count);
    expect(all).toHaveLength(count);
    for (const [i, { at, to }] of all.entries()) {
      expect(Math.hypot(at[0] - 50, at[1] - 50)).toBeLessThan(40);
      expect(Math.hypot(at[0] - to[0], at[1] - to[1])).toBeLessThan(3.6);
      for (const other of all.slice(i + 1)) expect(Math.hypot(at[0] - other.at[0], at[1] - other.at[1])).toBeGreaterThan(5);
    }
  }
});
