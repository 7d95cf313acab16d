import fc from 'fast-check';
import { degreeDayOfHours, degreeDays, heatAt, heatSum } from './index';
import type { Cutoff, DayExtremes, DegreeDayMethod, HeatResponse } from './index';

type Method = Exclude<DegreeDayMethod, 'hourly'>;

/** What develops at a temperature, written from the words: nothing below, level, falling or nothing above. */
function developsAt(celsius: number, { lower, upper = Infinity, cutoff = 'horizontal' }: HeatResponse): number {
  if (celsius <= lower) return 0;
  if (celsius <= upper) return celsius - lower;
  return { horizontal: upper - lower, vertical: 0, intermediate: upper - lower - (celsius - upper) }[cutoff];
}

const shapes: Readonly<Record<'sine' | 'triangle', (share: number) => number>> = {
  sine: (share) => (1 - Math.cos(Math.PI * share)) / 2,
  triangle: (share) => share,
};

/** A half day from its minimum to its maximum, in fine steps. */
function integrated(shape: keyof typeof shapes, min: number, max: number, response: HeatResponse): number {
  const steps = 20_000;
  let sum = 0;
  for (let i = 0; i < steps; i++) sum += developsAt(min + (max - min) * shapes[shape]((i + 0.5) / steps), response);
  return Math.max(0, sum / steps);
}

const celsius = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const someDay = fc.record({ min: celsius(-10, 25), swing: celsius(0, 22) }).map(({ min, swing }) => ({ min, max: min + swing }));
const someResponse = fc
  .record({
    lower: celsius(0, 15),
    width: fc.option(celsius(1, 25), { nil: undefined }),
    cutoff: fc.constantFrom<(Cutoff | undefined)[]>(undefined, 'horizontal', 'intermediate', 'vertical'),
  })
  .map(({ lower, width, cutoff }): HeatResponse => ({ lower, upper: width === undefined ? undefined : lower + width, cutoff }));

test.each(['sine', 'triangle'] as const)('%s: within 0.001 of fine integration, single and double', (shape) => {
  fc.assert(
    fc.property(someDay, someDay, someResponse, (today, tomorrow, response) => {
      const [single] = degreeDays([today], `single-${shape}`, response);
      expect(single).toBeCloseTo(integrated(shape, today.min, today.max, response), 3);
      const [double] = degreeDays([today, tomorrow], `double-${shape}`, response);
      const afternoon = integrated(shape, Math.min(tomorrow.min, today.max), today.max, response);
      expect(double).toBeCloseTo((integrated(shape, today.min, today.max, response) + afternoon) / 2, 3);
    }),
    { numRuns: 60 },
  );
});

// 18 and 30 °C, lower 10, upper 25. Mean 24: 14 above the lower one. Triangle above 25: 5²/(2 × 12) = 1.0417, for 5/12 of the day.
// Sine: half swing 6, crossing asin(1/6) = 0.16745; ((24 − 25)(π/2 − 0.16745) + 6 cos 0.16745)/π = 1.43639, for 0.44670 of the day.
test.each<[Method, Cutoff, number]>([
  ['average', 'horizontal', 14],
  ['single-triangle', 'horizontal', 14 - 25 / 24],
  ['single-triangle', 'intermediate', 14 - 25 / 12],
  ['single-triangle', 'vertical', 14 - 25 / 24 - 15 * (5 / 12)],
  ['single-sine', 'horizontal', 14 - 1.43639],
  ['single-sine', 'intermediate', 14 - 2 * 1.43639],
  ['single-sine', 'vertical', 14 - 1.43639 - 15 * 0.4467],
])('by hand: %s, %s', (method, cutoff, expected) => {
  expect(degreeDays([{ min: 18, max: 30 }], method, { lower: 10, upper: 25, cutoff })[0]).toBeCloseTo(expected, 3);
});

test('a day below the threshold gives nothing, one above it the mean; what is not known stays unknown', () => {
  const days: DayExtremes[] = [
    { min: 2, max: 9 },
    { min: 12, max: 20 },
    { min: null, max: 20 },
  ];
  for (const method of ['average', 'single-sine', 'double-sine', 'single-triangle', 'double-triangle'] as const)
    expect(degreeDays(days, method, { lower: 10 })).toEqual([0, expect.closeTo(6), null]);
  // The afternoon falls to the next day's 4 °C, of which only what is above 10 counts.
  expect(
    degreeDays(
      [
        { min: 12, max: 20 },
        { min: 4, max: 9 },
      ],
      'double-triangle',
      { lower: 10 },
    )[0],
  ).toBeCloseTo((6 + 100 / 32) / 2);
});

test('hours are taken as they are; with a quarter of a day missing there is none', () => {
  const hours = Array.from({ length: 24 }, (_, i) => (i < 12 ? 8 : 26));
  expect(degreeDayOfHours(hours, { lower: 10, upper: 25 })).toBeCloseTo(7.5);
  expect(degreeDayOfHours(hours, { lower: 10, upper: 25, cutoff: 'vertical' })).toBe(0);
  expect(degreeDayOfHours(hours.slice(7), { lower: 10 })).toBeNull();
});

test('at one temperature all cutoffs agree below the upper threshold', () => {
  for (const cutoff of ['horizontal', 'intermediate', 'vertical'] as const) {
    expect(heatAt(20, { lower: 10, upper: 25, cutoff })).toBe(10);
    expect(heatAt(4, { lower: 10, upper: 25, cutoff })).toBe(0);
  }
});

test('what makes no sense is said', () => {
  expect(() => degreeDays([{ min: 20, max: 18 }], 'single-sine', { lower: 10 })).toThrow('days[0]: the minimum (20 °C)');
  expect(() => degreeDays([], 'single-sine', { lower: 10, upper: 10 })).toThrow('must be above the lower one');
});

describe('a sum of heat', () => {
  const days = [4, null, 6, 5].map((dd, i) => ({ date: `2026-04-0${i + 1}`, dd }));
  test('counts from the biofix, and days of which nothing is known add nothing', () => {
    const { daily, reached, missing } = heatSum(
      days,
      [
        { name: 'egg', at: 6 },
        { name: 'fly', at: 11 },
        { name: 'none', at: 12 },
      ],
      '2026-04-02',
    );
    expect(daily.map(({ sum }) => sum)).toEqual([0, 0, 6, 11]);
    expect(reached).toEqual([
      { name: 'egg', date: '2026-04-03' },
      { name: 'fly', date: '2026-04-04' },
      { name: 'none', date: null },
    ]);
    expect(missing).toBe(1);
  });
  test('without a biofix it counts from the first day', () => expect(heatSum(days).daily.at(-1)!.sum).toBe(15));
});
