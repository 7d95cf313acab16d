import fc from 'fast-check';
import type { JudgedIntervention } from './ladder';
import { apart, tradeOffPoints } from './trade-off-points';

const option = (id: string, loss: number, minutes: number, cost = 0, verdict: JudgedIntervention['verdict'] = 'fits') =>
  ({ id, name: id, rung: 'soft', verdict, loss, expected: { efficacy: [0, 1], minutes, cost } }) as unknown as JudgedIntervention;

test('open options, least loss first, with what they cost on all plants', () => {
  const points = tradeOffPoints([option('a', 3, 1), option('b', 1, 5), option('c', 0, 0, 0, 'ruled-out')], 10, 'minutes');
  expect(points.map(({ id, number, cost }) => [id, number, cost])).toEqual([
    ['b', 1, 50],
    ['a', 2, 10],
  ]);
});

test('what another one beats in both lies behind the line; of two that are alike neither does', () => {
  const points = tradeOffPoints(
    [option('best', 1, 5), option('beaten', 2, 6), option('cheap', 3, 1), option('as cheap', 3, 1)],
    1,
    'minutes',
  );
  expect(points.filter(({ onFront }) => onFront).map(({ id }) => id)).toEqual(['best', 'as cheap', 'cheap']);
});

test('by money it is another line', () => {
  const points = tradeOffPoints([option('dear', 1, 1, 9), option('slow', 2, 60, 0)], 2, 'money');
  expect(points.map(({ cost, onFront }) => [cost, onFront])).toEqual([
    [18, true],
    [0, true],
  ]);
});

test('no dot covers another, and one that stands alone stays where it is', () => {
  expect(apart([{ x: 50, y: 40 }], 9)[0]).toMatchObject({ x: 50, y: 40 });
  const place = fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 200 }) });
  fc.assert(
    fc.property(fc.array(place, { minLength: 2, maxLength: 14 }), (points) => {
      const placed = apart(points, 9);
      for (const [i, one] of placed.entries())
        for (const other of placed.slice(i + 1)) expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(9);
    }),
    { numRuns: 40 },
  );
});
