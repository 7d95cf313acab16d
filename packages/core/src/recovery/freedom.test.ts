import fc from 'fast-check';
import { addDays } from '../timing/index';
import { freedom, sampleSensitivity } from './index';
import type { FreedomLook } from './index';

const look = (day: number, sensitivity = 0.5, found = false): FreedomLook => ({ date: addDays('2026-06-01', day), found, sensitivity });

test('clean looks by hand: even chances, then a third, then a fifth', () => {
  // 0.5 × 0.5/(1 − 0.25) = 1/3; 1/3 × 0.5/(1 − 1/6) = 1/5
  const { history, probability, believeFrom, cleanLooksNeeded } = freedom({ prior: 0.5, looks: [look(0), look(7)], believe: 0.8 });
  expect(history.map((one) => one.probability)).toEqual([expect.closeTo(2 / 3, 12), expect.closeTo(0.8, 12)]);
  expect(probability).toBeCloseTo(0.8, 12);
  expect(cleanLooksNeeded).toBe(believeFrom ? 0 : 1);
});

test('looks still needed: odds of one, halved by each', () => {
  // 1/2ⁿ ≤ 0.05/0.95 from the fifth on.
  expect(freedom({ prior: 0.5, looks: [look(0)] }).cleanLooksNeeded).toBe(4);
  expect(freedom({ prior: 0.5, looks: [look(0, 1)] })).toMatchObject({ probability: 1, cleanLooksNeeded: 0, believeFrom: '2026-06-01' });
});

test('what may come in anew is doubted anew: a week’s chance, and its power for the days between', () => {
  const { history } = freedom({ prior: 0, looks: [look(0, 0), look(14, 0)], introductionPerWeek: 0.1 });
  expect(history.map(({ probability }) => probability)).toEqual([1, expect.closeTo(0.81, 12)]);
});

test('it is believed from the look from which on it stays believed; a find ends that', () => {
  const looks = [look(0, 0.9), look(7, 0.9), look(14, 0.9)];
  expect(freedom({ prior: 0.5, looks }).believeFrom).toBe('2026-06-08');
  expect(freedom({ prior: 0.5, looks: [...looks, look(21, 0.9, true)] })).toMatchObject({
    probability: 0,
    believeFrom: null,
    cleanLooksNeeded: null,
  });
});

test('without a look there is only what was thought before', () => {
  expect(freedom({ prior: 0.2, looks: [] })).toEqual({ probability: 0.8, believeFrom: null, cleanLooksNeeded: null, history: [] });
});

test('a look that can’t see it changes nothing, and no number of them is enough', () => {
  expect(freedom({ prior: 0.5, looks: [look(0, 0)] })).toMatchObject({ probability: 0.5, cleanLooksNeeded: null });
});

test('more clean looks, or sharper ones, never make it less sure', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }),
      (prior, sharp) => {
        const { history, cleanLooksNeeded, probability } = freedom({ prior, looks: sharp.map((one, i) => look(i, one)) });
        for (let i = 1; i < history.length; i++)
          expect(history[i]!.probability).toBeGreaterThanOrEqual(history[i - 1]!.probability - 1e-12);
        if (cleanLooksNeeded === null || cleanLooksNeeded > 200) return;
        const more = Array.from({ length: cleanLooksNeeded }, (_, i) => look(sharp.length + i, sharp.at(-1)));
        const after = freedom({ prior, looks: [...sharp.map((one, i) => look(i, one)), ...more] }).probability;
        expect(after).toBeGreaterThanOrEqual(0.95 - 1e-6);
        expect(probability).toBeLessThanOrEqual(after + 1e-12);
      },
    ),
  );
});

test('a sample as a look', () => {
  // 1 − (1 − 0.8 × 30/60)^(0.05 × 60) = 1 − 0.6³
  expect(sampleSensitivity({ inspected: 30, of: 60, unitSensitivity: 0.8, designPrevalence: 0.05 })).toBeCloseTo(0.784, 12);
  expect(sampleSensitivity({ inspected: 60, of: 60, unitSensitivity: 1, designPrevalence: 0.05 })).toBe(1);
  expect(() => sampleSensitivity({ inspected: 7, of: 6, unitSensitivity: 1, designPrevalence: 0.1 })).toThrow('7 plants were looked at');
});

test('dates ascend', () => expect(() => freedom({ prior: 0.5, looks: [look(3), look(1)] })).toThrow('dates must ascend'));
