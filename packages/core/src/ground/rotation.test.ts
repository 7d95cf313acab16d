import fc from 'fast-check';
import { assignment, planRotation, swapCost } from '.';
import type { RotationQuestion } from '.';
import { seededRandom } from '../statistics/index.js';

describe('an assignment', () => {
  /** Every order of the columns, one after the other. */
  const cheapest = (costs: readonly (readonly number[])[], row = 0, used = new Set<number>()): number =>
    row === costs.length
      ? 0
      : Math.min(
          ...costs[row]!.flatMap((cost, column) => (used.has(column) ? [] : [cost + cheapest(costs, row + 1, new Set([...used, column]))])),
        );

  test('is the cheapest of all, and its prices prove it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 6, maxLength: 6 }), { minLength: 1, maxLength: 5 }),
        (costs) => {
          const { columns, cost, bound } = assignment(costs);
          expect(new Set(columns).size).toBe(costs.length);
          expect(cost).toBe(cheapest(costs));
          expect(bound).toBeCloseTo(cost, 9);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('sixty on sixty within two seconds, proven', () => {
    const random = seededRandom(4);
    const costs = Array.from({ length: 60 }, () => Array.from({ length: 60 }, () => Math.round(1000 * random())));
    const began = performance.now();
    const { cost, bound } = assignment(costs);
    expect(performance.now() - began).toBeLessThan(2000);
    expect(bound).toBeCloseTo(cost, 6);
  });

  test('fewer places than things, and what is no number, are refused', () => {
    expect(() => assignment([[1], [2]])).toThrow('2 rows need as many columns, got 1');
    expect(() => assignment([[Infinity]])).toThrow('must be a number');
    expect(assignment([])).toEqual({ columns: [], cost: 0, bound: 0 });
  });
});

describe('a rotation', () => {
  const slot = (placeId: string, areaM2 = 10) => ({ placeId, setting: 'outdoor', areaM2, light: null });
  const crop = (id: string, family: string, placeId: string, areaM2 = 10) => ({
    id,
    family,
    placeId,
    setting: 'outdoor',
    areaM2,
    bearsShade: false,
  });
  const question: RotationQuestion = {
    crops: [crop('onions', 'allium', 'a'), crop('cabbages', 'brassica', 'b'), crop('beans', 'pea', 'c')],
    slots: [slot('a'), slot('b'), slot('c')],
    rests: [{ placeId: 'b', condition: 'allium-white-rot', families: ['allium'], from: '2024-01-01', until: '2039-01-01' }],
    grew: [
      { placeId: 'a', family: 'allium', year: 2026 },
      { placeId: 'b', family: 'brassica', year: 2026 },
      { placeId: 'c', family: 'pea', year: 2026 },
    ],
    on: '2027-03-01',
  };

  test('no family comes back, and nothing goes where its ground rests', () => {
    const { places, cost, isOptimal } = planRotation(question);
    expect(Object.fromEntries(places.map(({ crop: id, placeId }) => [id, placeId]))).toEqual({ onions: 'c', cabbages: 'a', beans: 'b' });
    expect([cost, isOptimal]).toEqual([0, true]);
  });

  test('a swap costs what all others must give way for', () => {
    expect(swapCost(question, 'onions', 'b').extra).toBeGreaterThanOrEqual(1000);
    // Beans back to their own bed after a year: then the onions may only go to theirs, and the cabbages, too.
    const { extra, plan } = swapCost(question, 'beans', 'c');
    expect(extra).toBeCloseTo(180, 9);
    expect(plan.places.find(({ crop: id }) => id === 'beans')!.reasons).toMatchObject([{ code: 'same-family', years: 1 }]);
    expect(swapCost(question, 'beans', 'b').extra).toBe(0);
    expect(() => swapCost(question, 'beans', 'z')).toThrow('no z');
  });

  test('what wants sun goes where there is sun; what bears shade gives way', () => {
    const dark = { ...slot('dark'), light: 'half' as const };
    const bright = { ...slot('bright'), light: 'sun' as const };
    const crops = [{ ...crop('lettuces', 'x', 'bright'), bearsShade: true }, crop('tomatoes', 'y', 'dark')];
    const { places, cost } = planRotation({ ...question, crops, slots: [dark, bright] });
    expect(places.map(({ crop: id, placeId }) => [id, placeId])).toEqual([
      ['lettuces', 'dark'],
      ['tomatoes', 'bright'],
    ]);
    expect(cost).toBe(0);
    const only = (light: 'sun' | 'half' | 'shade' | null, bearsShade: boolean) =>
      planRotation({ ...question, crops: [{ ...crop('one', 'x', 'a'), bearsShade }], slots: [{ ...slot('a'), light }] }).cost;
    // Sun, half, shade, not said: for what wants sun, and for what bears half a day of it.
    expect((['sun', 'half', 'shade', null] as const).map((light) => only(light, false))).toEqual([0, 20, 60, 0]);
    expect((['sun', 'half', 'shade', null] as const).map((light) => only(light, true))).toEqual([0, 0, 20, 0]);
  });

  test('what does not fit its ground, or stands under glass, is told', () => {
    const { places } = planRotation({ ...question, crops: [crop('big', 'x', 'a', 80)], slots: [{ ...slot('t'), setting: 'greenhouse' }] });
    expect(places[0]!.reasons.map(({ code }) => code)).toEqual(['setting', 'area']);
  });
});
