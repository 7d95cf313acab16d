import fc from 'fast-check';
import { tankFor } from './tank';

const leeks = { id: 'leeks', plants: 200, litresPerPlant: 0.05, most: 3 };
const roses = { id: 'roses', plants: 10, litresPerPlant: 0.4, most: 2 };

test('the strictest line of a label rules the tank, and is named', () => {
  expect(tankFor({ rate: 3, most: 3 }, [leeks, roses])).toEqual({ litres: 14, rate: 2, most: 2, strictest: 'roses' });
  expect(tankFor({ rate: 1, most: 3 }, [leeks])).toEqual({ litres: 10, rate: 1, most: 3, strictest: undefined });
  expect(tankFor({ rate: 4, most: 5 }, [leeks])).toEqual({ litres: 10, rate: 3, most: 3, strictest: 'leeks' });
  expect(tankFor({ rate: 4, most: 5 }, [{ ...leeks, most: undefined }])).toEqual({ litres: 10, rate: 4, most: 5, strictest: undefined });
  expect(() => tankFor({ rate: 1, most: 1 }, [])).toThrow(/planting/);
});

test('no planting ever gets more than its own label allows, and the water is the sum', () => {
  const target = fc.record({
    id: fc.constantFrom('a', 'b', 'c'),
    plants: fc.integer({ min: 1, max: 500 }),
    litresPerPlant: fc.integer({ min: 1, max: 300 }).map((hundredths) => hundredths / 100),
    most: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }),
  });
  fc.assert(
    fc.property(fc.array(target, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 90 }), (targets, rate) => {
      const tank = tankFor({ rate, most: 100 }, targets);
      for (const { most = 100 } of targets) expect(tank.rate).toBeLessThanOrEqual(most);
      expect(tank.litres).toBeCloseTo(
        targets.reduce((sum, one) => sum + one.plants * one.litresPerPlant, 0),
        6,
      );
    }),
  );
});
