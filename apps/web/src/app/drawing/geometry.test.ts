import fc from 'fast-check';
import { seededRandom } from '@field-nurse/core/statistics';
import { blob, closedPath, distance, ellipse, isInside, middle, openPath, polar, polygonPath, turn } from './geometry';
import { blades, leafShapes } from './leaf';
import { scatter } from './placing';
import type { Point } from './shape';

const square: Point[] = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
];
const anyPoint = fc.tuple(fc.integer({ min: -50, max: 150 }), fc.integer({ min: -50, max: 150 }));

test('a polygon path joins its corners and closes', () => {
  expect(polygonPath(square)).toBe('M0 0L10 0L10 10L0 10Z');
});

test('a smooth closed path goes through the middles of the sides', () => {
  expect(closedPath(square)).toBe('M0 5Q0 0 5 0Q10 0 10 5Q10 10 5 10Q0 10 0 5Z');
});

test('an open path begins and ends at its ends', () => {
  const path = openPath([
    [1, 1],
    [5, 9],
    [9, 1],
  ]);
  expect(path.startsWith('M1 1')).toBe(true);
  expect(path.endsWith('9 1')).toBe(true);
  expect(
    openPath([
      [1, 1],
      [2, 2],
    ]),
  ).toBe('M1 1L2 2');
});

test('an ellipse is two half turns, with its angle in degrees', () => {
  expect(ellipse([50, 50], 10, 5)).toBe('M40 50A10 5 0 1 1 60 50A10 5 0 1 1 40 50Z');
  expect(ellipse([0, 0], 10, 5, Math.PI / 2)).toContain('A10 5 90');
});

test('inside and outside of a square', () => {
  expect(isInside([5, 5], square)).toBe(true);
  expect([isInside([11, 5], square), isInside([5, -1], square), isInside([-1, -1], square)]).toEqual([false, false, false]);
});

test('a turn keeps the distance from its centre, and a whole one leads back', () => {
  fc.assert(
    fc.property(anyPoint, anyPoint, fc.double({ min: -7, max: 7, noNaN: true }), (point, centre, angle) => {
      expect(distance(turn(point, centre, angle), centre)).toBeCloseTo(distance(point, centre), 6);
      const [x, y] = turn(point, centre, 2 * Math.PI);
      expect([x, y].map((value) => Math.round(value * 1e6) / 1e6 + 0)).toEqual(point.map((value) => value + 0));
    }),
  );
});

test('a point lies as far out as asked; the middle lies between', () => {
  expect(distance(polar([3, 4], 5, 1.1), [3, 4])).toBeCloseTo(5, 9);
  expect(middle([0, 0], [10, 4])).toEqual([5, 2]);
});

test('a patch is round within its roughness', () => {
  const numbers = [...blob([50, 50], 10, seededRandom(3), 0.2).matchAll(/(-?\d+(?:\.\d+)?) (-?\d+(?:\.\d+)?)/g)].map(([, x, y]): Point => [
    Number(x),
    Number(y),
  ]);
  for (const point of numbers) expect(distance(point, [50, 50])).toBeLessThanOrEqual(12.1);
});

test.each(leafShapes)('points are scattered on a %s leaf, and apart from each other', (leaf) => {
  const own = blades(leaf);
  const points = scatter({ random: seededRandom(7), severity: 1, blades: own }, 12, 3, 1);
  expect(points.length).toBeGreaterThan(3);
  points.forEach((point, i) => {
    expect(own.some(({ outline }) => isInside(point, outline))).toBe(true);
    for (const other of points.slice(i + 1)) expect(distance(point, other)).toBeGreaterThanOrEqual(3);
  });
});

test('every leaf lies on its sheet', () => {
  for (const leaf of leafShapes)
    for (const { outline } of blades(leaf))
      for (const [x, y] of outline) expect([leaf, x >= -1 && x <= 101 && y >= -1 && y <= 101]).toEqual([leaf, true]);
});
