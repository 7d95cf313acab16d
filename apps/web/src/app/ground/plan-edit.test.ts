import type { Shape } from '@field-nurse/contract';
import { boundsOf, planArea } from '@field-nurse/core/ground';
import fc from 'fast-check';
import { fromGeoJson, NotAPlan, toGeoJson } from './geojson';
import { asKind, dragged, handles, pulled, tidy, turnedBy } from './plan-edit';

// What must hold of every shape on the plan, however it is moved and pulled.

const cm = (low: number, high: number) => fc.integer({ min: low * 100, max: high * 100 }).map((value) => value / 100);
const rectangle = fc.record({
  kind: fc.constant('rectangle' as const),
  x: cm(0, 40),
  y: cm(0, 40),
  width: cm(1, 20),
  depth: cm(1, 20),
  turn: fc.integer({ min: -12, max: 12 }).map((steps) => steps * 15),
});
const circle = fc.record({ kind: fc.constant('circle' as const), x: cm(0, 40), y: cm(0, 40), radius: cm(1, 10) });
const outline = fc.tuple(cm(0, 40), cm(0, 40), cm(1, 20), cm(1, 20)).map(([x, y, w, d]): Shape => ({
  kind: 'outline',
  points: [
    [x, y],
    [x + w, y],
    [x + w, y + d],
  ],
}));
const shape: fc.Arbitrary<Shape> = fc.oneof(rectangle, circle, outline);
const numbersOf = (one: Shape) =>
  one.kind === 'rectangle' ? [one.x, one.y, one.width, one.depth] : one.kind === 'circle' ? [one.x, one.y, one.radius] : one.points.flat();

test('a drag keeps the size, and nobody lays out closer than a centimetre', () => {
  fc.assert(
    fc.property(shape, cm(-10, 10), cm(-10, 10), fc.array(shape, { maxLength: 3 }), (one, dx, dy, others) => {
      const moved = dragged(one, dx, dy, others);
      // An outline's corners are rounded each for itself.
      expect(Math.abs(planArea(moved) - planArea(one))).toBeLessThan(0.5);
      expect(moved.kind).toBe(one.kind);
      for (const value of numbersOf(moved)) expect(Math.abs(value * 100 - Math.round(value * 100))).toBeLessThan(1e-6);
    }),
  );
});

test('a drag goes where it is told, to within what it snaps by', () => {
  fc.assert(
    fc.property(rectangle, cm(-10, 10), cm(-10, 10), (one, dx, dy) => {
      const [before, after] = [boundsOf(one), boundsOf(dragged(one, dx, dy, []))];
      expect(Math.abs(after.left - before.left - dx)).toBeLessThanOrEqual(0.36);
      expect(Math.abs(after.top - before.top - dy)).toBeLessThanOrEqual(0.36);
    }),
  );
});

test('the corner that is pulled comes to the hand, the one across stays', () => {
  fc.assert(
    fc.property(rectangle, cm(1, 15), cm(1, 15), (one, width, depth) => {
      const straight = { ...one, turn: 0 };
      const [left, top] = [straight.x - straight.width / 2, straight.y - straight.depth / 2];
      const after = pulled(straight, 0, { x: left + width, y: top + depth });
      const bounds = boundsOf(after);
      expect(Math.abs(bounds.left - left)).toBeLessThan(0.03);
      expect(Math.abs(bounds.top - top)).toBeLessThan(0.03);
      const [corner] = handles(after);
      expect(Math.abs(corner!.x - (left + width))).toBeLessThan(0.09);
      expect(Math.abs(corner!.y - (top + depth))).toBeLessThan(0.09);
    }),
  );
});

test('nothing can be pulled to nothing, wherever the hand goes', () => {
  fc.assert(
    fc.property(fc.oneof(rectangle, circle), cm(-60, 60), cm(-60, 60), (one, x, y) => {
      expect(planArea(pulled(one, 0, { x, y }))).toBeGreaterThan(0.03);
    }),
  );
});

test('in another kind it stays on its ground, and the kind is the one asked for', () => {
  fc.assert(
    fc.property(shape, fc.constantFrom('rectangle' as const, 'circle' as const, 'outline' as const), (one, kind) => {
      const [before, after] = [boundsOf(one), boundsOf(asKind(one, kind))];
      expect(asKind(one, kind).kind).toBe(kind);
      const slack = 0.02;
      // A circle lies round the middle of an outline, which may be off the middle of its box.
      if (one.kind === 'outline' && kind === 'circle') return;
      expect(after.left).toBeGreaterThanOrEqual(before.left - slack);
      expect(after.right).toBeLessThanOrEqual(before.right + slack);
      expect(after.top).toBeGreaterThanOrEqual(before.top - slack);
      expect(after.bottom).toBeLessThanOrEqual(before.bottom + slack);
    }),
  );
});

test('twenty-four turns of fifteen degrees are none, and a circle does not turn', () => {
  fc.assert(
    fc.property(rectangle, (one) => {
      let turned: Shape = one;
      for (let i = 0; i < 24; i++) turned = turnedBy(turned, 15);
      const full = (degrees: number) => ((degrees % 360) + 360) % 360;
      expect(turned.kind === 'rectangle' && full(turned.turn)).toBe(full(one.turn));
    }),
  );
  fc.assert(fc.property(circle, (one) => expect(turnedBy(one, 15)).toEqual(tidy(one))));
});

test('what goes out as GeoJSON comes back as it was, for any shapes', () => {
  fc.assert(
    fc.property(fc.array(shape, { minLength: 1, maxLength: 8 }), (shapes) => {
      const drawn = shapes.map(tidy);
      const features = drawn.map((one, i) => ({
        id: `p${i}`,
        shape: one,
        properties: { subject: 'places', name: `Bed ${i}`, kind: 'bed' },
      }));
      const back = fromGeoJson(JSON.stringify(toGeoJson(features)));
      expect(back.map(({ id, name, kind, shape: own }) => ({ id, name, kind, own }))).toEqual(
        drawn.map((own, i) => ({ id: `p${i}`, name: `Bed ${i}`, kind: 'bed', own })),
      );
    }),
  );
});

test.each([
  ['a feature that is nothing', { type: 'FeatureCollection', features: [null] }],
  ['a feature without a shape', { type: 'FeatureCollection', features: [{ type: 'Feature', geometry: null, properties: null }] }],
  ['many shapes that are none', { type: 'Feature', geometry: { type: 'MultiPolygon', coordinates: null }, properties: {} }],
  ['a shape without corners', { type: 'Feature', geometry: { type: 'Polygon', coordinates: null }, properties: {} }],
])('%s is no plan', (_, file) => {
  expect(() => fromGeoJson(JSON.stringify(file))).toThrow(NotAPlan);
});

test('a kind that only looks like one is none', () => {
  const ring = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 0],
  ];
  const file = { type: 'Feature', geometry: { type: 'Polygon', coordinates: [ring] }, properties: { kind: 'constructor' } };
  expect(fromGeoJson(JSON.stringify(file))[0]!.kind).toBeNull();
});

test('any text is a plan or none, never anything else', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
      try {
        fromGeoJson(text);
      } catch (error) {
        expect(error).toBeInstanceOf(NotAPlan);
      }
    }),
  );
});
