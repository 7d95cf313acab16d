import fc from 'fast-check';
import { containsPoint, planArea, plantSpot, rowsOf, stripsOf } from '.';
import type { Point, Rectangle } from '.';

const bed: Rectangle = { kind: 'rectangle', x: 6, y: 1, width: 12, depth: 2, turn: 0 };
const rounded = ({ x, y }: Point) => [Math.round(x * 1000) / 1000, Math.round(y * 1000) / 1000];

test('rows run along the longer side, half a distance from the edge', () => {
  expect(rowsOf(bed, 2).map((row) => row.map(rounded))).toEqual([
    [
      [0, 0.5],
      [12, 0.5],
    ],
    [
      [0, 1.5],
      [12, 1.5],
    ],
  ]);
  expect(rowsOf({ ...bed, x: 1, y: 6, width: 2, depth: 12 }, 1).map((row) => row.map(rounded))).toEqual([
    [
      [1, 0],
      [1, 12],
    ],
  ]);
});

test('strips follow each other across the rows and leave nothing over', () => {
  const strips = stripsOf(bed, 4);
  expect(strips.map(([first, , third]) => [rounded(first), rounded(third)])).toEqual([
    [
      [0, 0],
      [3, 2],
    ],
    [
      [3, 0],
      [6, 2],
    ],
    [
      [6, 0],
      [9, 2],
    ],
    [
      [9, 0],
      [12, 2],
    ],
  ]);
});

test('plants are counted along the first row, then along the next', () => {
  expect([1, 4, 5, 8].map((number) => rounded(plantSpot(bed, 2, 8, number)!))).toEqual([
    [1.5, 0.5],
    [10.5, 0.5],
    [1.5, 1.5],
    [10.5, 1.5],
  ]);
  expect([0, 9].map((number) => plantSpot(bed, 2, 8, number))).toEqual([undefined, undefined]);
});

test('however it lies, strips fill it and plants stand in it, no two at one spot', () => {
  const size = fc.double({ min: 0.3, max: 40, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({ width: size, depth: size, x: size, y: size, turn: fc.integer({ min: -180, max: 180 }) }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 60 }),
      (lies, rows, plants) => {
        const shape = { kind: 'rectangle' as const, ...lies };
        const area = stripsOf(shape, rows).reduce(
          (sum, corners) => sum + planArea({ kind: 'outline', points: corners.map(({ x, y }) => [x, y] as const) }),
          0,
        );
        expect(area).toBeCloseTo(planArea(shape), 6);
        const spots = Array.from({ length: plants }, (_, i) => plantSpot(shape, Math.min(rows, plants), plants, i + 1)!);
        expect(spots.every((spot) => containsPoint(shape, spot))).toBe(true);
        expect(new Set(spots.map((spot) => `${spot.x.toFixed(6)} ${spot.y.toFixed(6)}`)).size).toBe(plants);
      },
    ),
    { numRuns: 150 },
  );
});
