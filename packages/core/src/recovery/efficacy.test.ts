import fc from 'fast-check';
import { efficacy, plotsNeeded, randomisedStrips } from './index';
import type { EfficacyMethod } from './index';
import { bootstrapInterval, poissonDraw, quantile, seededRandom } from '../statistics/index';

const methods: readonly EfficacyMethod[] = ['abbott', 'henderson-tilton', 'schneider-orelli', 'sun-shepard'];

// 120 before and 12 after where it was treated, 100 before and 150 after where it was not.
const treated = { before: [120], after: [12] };
const control = { before: [100], after: [150] };

test.each([
  // 1 − 12/150
  ['abbott', 92],
  // 1 − (12 × 100)/(120 × 150)
  ['henderson-tilton', 100 * (1 - 1200 / 18_000)],
  // deaths of 90 % and of −50 %: (90 + 50)/(100 + 50)
  ['schneider-orelli', 100 * (140 / 150)],
  // 90 % gone, the control grown by half: (90 + 50)/(100 + 50)
  ['sun-shepard', 100 * (140 / 150)],
] as const)('%s by hand', (method, percent) => expect(efficacy(method, treated, control).percent).toBeCloseTo(percent, 9));

test('from totals of the same plots the three that look back say the same', () => {
  const counts = fc.array(fc.record({ before: fc.integer({ min: 1, max: 90 }), after: fc.integer({ min: 1, max: 90 }) }), {
    minLength: 1,
    maxLength: 6,
  });
  const lists = (plots: readonly { before: number; after: number }[]) => ({
    before: plots.map(({ before }) => before),
    after: plots.map(({ after }) => after),
  });
  fc.assert(
    fc.property(counts, counts, (one, other) => {
      const [first, ...others] = methods.slice(1).map((method) => efficacy(method, lists(one), lists(other), { draws: 2 }).percent);
      for (const percent of others) expect(percent).toBeCloseTo(first!, 6);
    }),
  );
});

describe('limits', () => {
  test('hold the estimate, are repeatable, and narrow with more plots', () => {
    const plots = (count: number) => ({
      treated: { after: Array.from({ length: count }, (_, i) => 3 + (i % 5)) },
      control: { after: Array.from({ length: count }, (_, i) => 20 + 3 * (i % 5)) },
    });
    const width = (count: number) => {
      const { percent, interval } = efficacy('abbott', plots(count).treated, plots(count).control);
      expect(interval![0]).toBeLessThan(percent);
      expect(interval![1]).toBeGreaterThan(percent);
      return interval![1] - interval![0];
    };
    expect(width(40)).toBeLessThan(width(5));
    expect(width(5)).toBe(width(5));
  });

  test('hold what is true about nineteen times in twenty', () => {
    // Means of 4 and 20, a Poisson count on each of twelve plants: 80 % is true.
    const random = seededRandom(5);
    const draw = (mean: number) => ({ after: Array.from({ length: 12 }, () => poissonDraw(mean, random)) });
    const runs = 300;
    let held = 0;
    for (let run = 0; run < runs; run++) {
      const [low, high] = efficacy('abbott', draw(4), draw(20), { draws: 400, seed: run }).interval!;
      if (low <= 80 && 80 <= high) held++;
    }
    expect(held / runs).toBeGreaterThan(0.9);
    expect(held / runs).toBeLessThan(0.99);
  });

  test('counts before that are not of the same plots are drawn apart', () => {
    const answer = efficacy('henderson-tilton', { before: [8, 12, 10, 9], after: [1, 3] }, { before: [10, 11], after: [14, 9, 16] });
    // (2 × 10.5)/(9.75 × 13)
    expect(answer.percent).toBeCloseTo(100 * (1 - 21 / 126.75), 9);
    expect(answer.interval![0]).toBeLessThan(answer.percent);
  });

  test('nothing found on few plants is not everything gone', () => {
    const { percent, interval } = efficacy('abbott', { after: [0, 0, 0] }, { after: [4, 6, 5] });
    expect(percent).toBe(100);
    // A mean of 3.7/3 lets nothing be seen on three plants once in forty.
    expect(interval![0]).toBeLessThan(82);
    expect(interval![0]).toBeGreaterThan(65);
  });
});

test.each([
  ['no counts', 'abbott', { after: [] }, control, 'treated.after: at least one'],
  ['none before', 'henderson-tilton', { after: [1] }, control, 'treated.before: henderson-tilton needs'],
  ['none left in the control', 'abbott', treated, { after: [0, 0] }, 'nothing was left where nothing was done'],
  ['none there before', 'henderson-tilton', { before: [0], after: [0] }, control, 'treated.before: nothing was there'],
] as const)('%s: said', (_, method, one, other, message) => expect(() => efficacy(method, one, other)).toThrow(message));

test('how many it takes: a published formula by hand, none where there is nothing to see', () => {
  // (1.95996 + 0.84162)² × (0.1 + 0.2 + 2)/ln²2 = 7.8489 × 2.3/0.48045
  expect(plotsNeeded({ control: 10, treated: 5, k: 1 })).toBe(38);
  expect(plotsNeeded({ control: 10, treated: 5 })).toBe(5);
  expect(plotsNeeded({ control: 10, treated: 0 })).toBe(2);
  expect(plotsNeeded({ control: 4, treated: 4 })).toBeNull();
});

test('strips: in each pair one is treated, and chance says which', () => {
  const strips = randomisedStrips(200, 4);
  expect(strips).toHaveLength(400);
  for (let block = 1; block <= 200; block++) expect(strips.filter((one) => one.block === block && one.treated)).toHaveLength(1);
  const firsts = strips.filter((one, i) => i % 2 === 0 && one.treated).length;
  expect(firsts).toBeGreaterThan(75);
  expect(firsts).toBeLessThan(125);
  expect(randomisedStrips(3, 9)).toEqual(randomisedStrips(3, 9));
});

describe('draws', () => {
  test.each([0.3, 4, 9.9, 10, 60, 900])('a Poisson count of mean %d has that mean and variance', (mean) => {
    const random = seededRandom(11);
    const draws = Array.from({ length: 20_000 }, () => poissonDraw(mean, random));
    const average = draws.reduce((sum, one) => sum + one, 0) / draws.length;
    const variance = draws.reduce((sum, one) => sum + (one - average) ** 2, 0) / draws.length;
    expect(Math.abs(average - mean)).toBeLessThan(4 * Math.sqrt(mean / draws.length));
    expect(variance / mean).toBeGreaterThan(0.95);
    expect(variance / mean).toBeLessThan(1.05);
  });
  test('quantiles lie between neighbours', () =>
    expect([0, 0.5, 0.75, 1].map((share) => quantile([1, 2, 4], share))).toEqual([1, 2, 3, 4]));
  test('limits that can’t be reckoned are none', () => expect(bootstrapInterval(() => undefined, { draws: 50 })).toBeUndefined());
});
