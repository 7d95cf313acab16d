import fc from 'fast-check';
import { layOutIn, layOutUndrawn } from './layOut';
import { boundsOf, centreOf, containsPoint, corners, movedBy, planArea, snapShift } from './shape';
import type { PlanShape, Rectangle } from './shape';

const bed: Rectangle = { kind: 'rectangle', x: 5, y: 2, width: 10, depth: 1.2, turn: 0 };
const pond: PlanShape = { kind: 'circle', x: 0, y: 0, radius: 2 };
const corner: PlanShape = {
  kind: 'outline',
  points: [
    [0, 0],
    [4, 0],
    [4, 2],
    [2, 2],
    [2, 4],
    [0, 4],
  ],
};

describe('shapes', () => {
  test('areas worked by hand', () => {
    expect(planArea(bed)).toBe(12);
    expect(planArea(pond)).toBeCloseTo(4 * Math.PI, 9);
    expect(planArea(corner)).toBe(12);
  });

  test('middles: of an angle (5/3, 5/3), and of an outline that folds into nothing', () => {
    expect(centreOf(corner).x).toBeCloseTo(5 / 3, 9);
    expect(centreOf(corner).y).toBeCloseTo(5 / 3, 9);
    expect(
      centreOf({
        kind: 'outline',
        points: [
          [0, 0],
          [4, 0],
          [0, 0],
          [4, 0],
        ],
      }),
    ).toEqual({ x: 2, y: 0 });
  });

  test('what lies inside', () => {
    expect([containsPoint(corner, { x: 1, y: 3 }), containsPoint(corner, { x: 3, y: 3 })]).toEqual([true, false]);
    expect([containsPoint(pond, { x: 1.9, y: 0 }), containsPoint(pond, { x: 1.5, y: 1.5 })]).toEqual([true, false]);
    expect(containsPoint({ ...bed, turn: 90 }, { x: 5, y: 6 })).toBe(true);
    expect(containsPoint(bed, { x: 5, y: 6 })).toBe(false);
  });

  test('a quarter turn swaps width and depth of the box round it', () => {
    const { left, right, top, bottom } = boundsOf({ ...bed, turn: 90 });
    expect([right - left, bottom - top].map((one) => Math.round(one * 1e6) / 1e6)).toEqual([1.2, 10]);
  });

  test('moving keeps size and form', () => {
    const shift = fc.double({ min: -100, max: 100, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom<PlanShape>(bed, pond, corner), shift, shift, (shape, dx, dy) => {
        const moved = movedBy(shape, dx, dy);
        expect(planArea(moved)).toBeCloseTo(planArea(shape), 6);
        expect(centreOf(moved).x - centreOf(shape).x).toBeCloseTo(dx, 6);
        expect(centreOf(moved).y - centreOf(shape).y).toBeCloseTo(dy, 6);
      }),
    );
  });

  test('snaps to the edge of a neighbour where one is near, and else to the grid', () => {
    const near = { ...bed, x: 16.13, y: 2.04 };
    const { dx, dy } = snapShift(near, [bed], 0.25, 0.3);
    expect(boundsOf(movedBy(near, dx, dy)).left).toBeCloseTo(11.25, 9); // the grid: the neighbour ends at 10, too far
    expect(boundsOf(movedBy(near, dx, dy)).top).toBeCloseTo(1.4, 9); // the neighbour's own edge
    const touching = { ...bed, x: 15.2 };
    expect(snapShift(touching, [bed], 0.25, 0.3).dx).toBeCloseTo(-0.2, 9);
  });
});

describe('laying out', () => {
  test('side by side along the longer side, in proportion, within the place', () => {
    const laid = layOutIn(bed, [
      { id: 'a', weight: 3 },
      { id: 'b', weight: 1 },
    ]);
    const [a, b] = [laid.get('a')!, laid.get('b')!];
    expect(a.x).toBeLessThan(b.x);
    expect(a.width / b.width).toBeGreaterThan(2.5);
    for (const shape of [a, b])
      for (const point of corners(shape)) expect(containsPoint({ ...bed, width: 10.01, depth: 1.21 }, point)).toBe(true);
  });

  test('turned beds take their rows along', () => {
    const laid = layOutIn({ ...bed, turn: 30 }, [{ id: 'a', weight: 1 }]);
    expect(laid.get('a')).toMatchObject({ turn: 30 });
    expect(laid.get('a')!.x).toBeCloseTo(5, 9);
  });

  test('nothing overlaps, in any kind of place', () => {
    const weights = fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(fc.constantFrom<PlanShape>(bed, pond, corner), weights, (place, list) => {
        const shapes = [
          ...layOutIn(
            place,
            list.map((weight, i) => ({ id: String(i), weight })),
          ).values(),
        ];
        expect(shapes).toHaveLength(list.length);
        for (const [i, shape] of shapes.entries()) if (i > 0) expect(overlap(shape, shapes[i - 1]!)).toBe(0);
      }),
    );
  });

  test('places that were not drawn lie below the others, with their area', () => {
    const laid = layOutUndrawn(
      [
        { id: 'a', areaM2: 36 },
        { id: 'b', areaM2: 6 },
        { id: 'c', areaM2: 60 },
      ],
      [bed],
    );
    for (const [id, area] of [
      ['a', 36],
      ['b', 6],
      ['c', 60],
    ] as const) {
      expect(planArea(laid.get(id)!)).toBeCloseTo(area, 6);
      expect(boundsOf(laid.get(id)!).top).toBeGreaterThan(boundsOf(bed).bottom);
    }
    expect(overlap(laid.get('a')!, laid.get('b')!)).toBe(0);
    expect(overlap(laid.get('b')!, laid.get('c')!)).toBe(0);
  });
});

/** Shared area of the boxes round two shapes. */
function overlap(a: PlanShape, b: PlanShape): number {
  const [one, two] = [boundsOf(a), boundsOf(b)];
  const [w, d] = [
    Math.min(one.right, two.right) - Math.max(one.left, two.left),
    Math.min(one.bottom, two.bottom) - Math.max(one.top, two.top),
  ];
  return Math.max(0, w - 1e-9) * Math.max(0, d - 1e-9);
}
