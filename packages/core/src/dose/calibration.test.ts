import fc from 'fast-check';
import { calibrated } from './index';

const run = { litres: 1.2, seconds: 60, metres: 20, widthM: 1.5, plants: null };

test('flow, and litres on ground, from one run', () => {
  expect(calibrated(run, null)).toEqual({
    flowLPerMin: 1.2,
    litresPerM2: 0.04,
    litresPerPlant: null,
    wearPercent: null,
    nozzle: 'unknown',
  });
  expect(calibrated({ litres: 2, seconds: null, metres: null, widthM: null, plants: 40 }, 1).litresPerPlant).toBe(0.05);
});

test.each([
  [1.2, 'fine'],
  [1.0, 'worn'],
  [1.1, 'fine'],
  [1.4, 'blocked'],
] as const)('against %d l/min when new it is %s', (fresh, nozzle) => expect(calibrated(run, fresh).nozzle).toBe(nozzle));

test('twice as fast over the ground leaves half as much on it', () => {
  const amount = fc.double({ min: 0.1, max: 100, noNaN: true });
  fc.assert(
    fc.property(amount, amount, amount, (litres, metres, widthM) => {
      const on = (times: number) => calibrated({ ...run, litres, metres: metres * times, widthM }, null).litresPerM2!;
      expect(on(2) * 2).toBeCloseTo(on(1), 9);
    }),
  );
});

test.each([{ litres: 0 }, { seconds: -1 }, { metres: NaN }, { plants: Infinity }])('%j is no measure', (wrong) =>
  expect(() => calibrated({ ...run, ...wrong }, null)).toThrow(RangeError),
);
