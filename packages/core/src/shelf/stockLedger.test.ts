import fc from 'fast-check';
import { shelfStates, stockLedger, stockLeft } from './index';
import type { ProductUse, StockedProduct, StockMove } from './index';

const soap: StockedProduct = { measuredIn: 'ml', densityGPerMl: null, packAmount: 1000, lowAt: 200, bestBefore: '2027-03-01' };
const move = (movedAt: string, kind: StockMove['kind'], amount: number): StockMove => ({ movedAt, kind, amount });
const use = (appliedAt: string, productMl: number | null, productG: number | null = null): ProductUse => ({
  appliedAt,
  productMl,
  productG,
  productPieces: null,
});

test('bought, used, spilled and given away, in the order of time whatever the order of the lists', () => {
  const moves = [
    move('2026-07-04T09:00:00Z', 'given-away', 100),
    move('2026-05-01T09:00:00Z', 'bought', 1000),
    move('2026-07-02T09:00:00Z', 'spilled', 50),
  ];
  const uses = [use('2026-07-03T09:00:00Z', 120.5), use('2026-06-01T09:00:00Z', 80.1)];
  expect(stockLedger(soap, moves, uses).map(({ change, left }) => [change, left])).toEqual([
    [1000, 1000],
    [-80.1, 919.9],
    [-50, 869.9],
    [-120.5, 749.4],
    [-100, 649.4],
  ]);
});

test('a count sets the stock, after what was used at the same instant', () => {
  const moves = [move('2026-05-01T09:00:00Z', 'bought', 1000), move('2026-06-01T09:00:00+00:00', 'counted', 600)];
  expect(stockLedger(soap, moves, [use('2026-06-01T09:00:00.000Z', 300)]).map(({ change }) => change)).toEqual([1000, -300, -100]);
  expect(stockLeft(soap, moves, [])).toBe(600);
});

test('mass and volume are turned into each other by the product’s own density, and otherwise not', () => {
  const bought = [move('2026-05-01T09:00:00Z', 'bought', 1000)];
  const weighed = [use('2026-06-01T09:00:00Z', null, 90)];
  expect(stockLedger(soap, bought, weighed).at(-1)).toMatchObject({ change: null, left: 1000 });
  expect(stockLeft({ ...soap, densityGPerMl: 0.9 }, bought, weighed)).toBe(900);
  expect(stockLeft({ ...soap, measuredIn: 'g', densityGPerMl: 0.9 }, bought, [use('2026-06-01T09:00:00Z', 100)])).toBe(910);
});

test('nothing was written down: nothing is claimed', () => {
  expect(stockLeft(soap, [], [use('2026-06-01T09:00:00Z', 5)])).toBeNull();
});

test('low, empty, past its date, and more used than there was', () => {
  const states = (left: number | null, on = '2026-07-18') => shelfStates(soap, left, on);
  expect(states(201)).toEqual([]);
  expect(states(200)).toEqual(['low']);
  expect(states(0)).toEqual(['empty']);
  expect(states(-1)).toEqual(['below-zero']);
  expect(states(500, '2027-03-01')).toEqual([]);
  expect(states(500, '2027-03-02')).toEqual(['past-date']);
  expect(states(null)).toEqual([]);
});

test('each row’s rest is the one before it with its change, and the last is what is left', () => {
  const at = fc.integer({ min: 0, max: 500 }).map((hour) => new Date(Date.UTC(2026, 4, 1, hour)).toISOString());
  const amount = fc.integer({ min: 0, max: 5000 }).map((tenths) => tenths / 10);
  const kinds = fc.constantFrom<StockMove['kind']>('bought', 'counted', 'spilled', 'given-away', 'disposed');
  const moves = fc.array(
    fc.tuple(at, kinds, amount).map((one) => move(...one)),
    { minLength: 1, maxLength: 12 },
  );
  const uses = fc.array(
    fc.tuple(at, amount).map((one) => use(...one)),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(moves, uses, (some, used) => {
      const rows = stockLedger(soap, some, used);
      expect(rows).toHaveLength(some.length + used.length);
      rows.forEach(({ left, change }, i) => expect(left).toBeCloseTo((rows[i - 1]?.left ?? 0) + change!, 5));
      expect(stockLeft(soap, some, used)).toBe(rows.at(-1)!.left);
    }),
  );
});
