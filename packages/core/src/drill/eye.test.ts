import { normalDraw, seededRandom } from '../statistics';
import type { Guess } from '.';
import { agreement, fewestGuesses, gradeOfCount, gradeOfLooks, gradeOfPercent, triedEye } from '.';

describe('agreement', () => {
  test('a worked example', () => {
    const guesses = [1, 2, 3].map((truth) => ({ truth, guess: truth + 1 }));
    // Both variances 2/3, as is what they share, and one apart: 2 · 2/3 / (2/3 + 2/3 + 1) = 4/7.
    expect(agreement(guesses)).toMatchObject({ guesses: 3, bias: 1, scatter: 0, interval: null });
    expect(agreement(guesses)!.concordance).toBeCloseTo(4 / 7, 12);
    expect(agreement(guesses)!.precision).toBeCloseTo(1, 12);
    expect(agreement(guesses)!.accuracy).toBeCloseTo(4 / 7, 12);
  });

  test('nothing to agree on', () => {
    expect(agreement([])).toBeNull();
    expect(agreement([{ truth: 5, guess: 9 }])).toMatchObject({ bias: 4, scatter: 0, concordance: null });
    expect(agreement([1, 2, 3].map((guess) => ({ truth: 5, guess })))).toMatchObject({ bias: -3, concordance: null });
  });

  test('every guess right, and every guess the other way round', () => {
    const all = [1, 4, 9, 16, 25];
    expect(agreement(all.map((truth) => ({ truth, guess: truth })))!.concordance).toBeCloseTo(1, 12);
    expect(agreement(all.map((truth, i) => ({ truth, guess: all.at(-1 - i)! })))!.concordance).toBeLessThan(-0.5);
  });

  test('its interval holds the concordance of the many nineteen times of twenty', () => {
    const random = seededRandom(11);
    const draw = (): Guess => {
      const truth = 30 + 12 * normalDraw(random);
      return { truth, guess: 0.8 * truth + 12 + 6 * normalDraw(random) };
    };
    // Of the model itself: slope 0.8, variances 144 and 0.64 · 144 + 36, means 30 and 36.
    const whole = (2 * 0.8 * 144) / (144 + 0.64 * 144 + 36 + 36);
    const held = Array.from({ length: 600 }, () => agreement(Array.from({ length: 40 }, draw))!.interval!).filter(
      ([low, high]) => low <= whole && whole <= high,
    );
    expect(held.length / 600).toBeGreaterThan(0.92);
    expect(held.length / 600).toBeLessThan(0.975);
  });
});

describe('an eye that is tried', () => {
  const limit = (percent: number) => Math.min(100, Math.max(0, percent));
  const learners: Readonly<Record<string, (truth: number) => number>> = {
    'eight points too much': (truth) => truth + 8,
    'half as much again': (truth) => truth * 1.5,
    'small damage is overrated, large is not': (truth) => truth + 14 * Math.sqrt(truth / 100) * (1 - truth / 100),
    'a third too little': (truth) => truth * 0.67,
    'no bias': (truth) => truth,
  };
  // As the drill asks: from next to nothing to much, small damage more often.
  const truths = (random: () => number) => 0.7 + 59 * random() ** 1.6;
  const series = (says: (truth: number) => number, scatter: number, seed: number, n = 120): Guess[] => {
    const random = seededRandom(seed);
    return Array.from({ length: n }, () => {
      const truth = truths(random);
      return { truth, guess: Math.round(limit(says(truth) + scatter * normalDraw(random))) };
    });
  };
  const seeds = Array.from({ length: 30 }, (_, i) => i + 1);

  test.each(Object.entries(learners))('%s: found within a point', (_, says) => {
    const eyes = seeds.map((seed) => triedEye(series(says, 3, seed))!);
    for (const truth of [3, 8, 15, 25, 40]) {
      const found = eyes.map((eye) => eye.biasAt(truth));
      const known = says(truth) - truth;
      const mean = found.reduce((sum, one) => sum + one, 0) / found.length;
      expect(Math.abs(mean - known)).toBeLessThan(0.6);
      // Not only on the average: each learner by itself, nine times of ten, after some two weeks of three minutes.
      const near = found.filter((one) => Math.abs(one - known) <= 1);
      expect(near.length / seeds.length).toBeGreaterThanOrEqual(0.85);
      const corrected = eyes.map((eye) => eye.corrected(says(truth)).percent);
      expect(Math.abs(corrected.reduce((sum, one) => sum + one, 0) / seeds.length - truth)).toBeLessThan(1);
    }
  });

  test('eight of ten times it was between what is said', () => {
    const says = learners['half as much again']!;
    const eye = triedEye(series(says, 4, 77))!;
    const fresh = series(says, 4, 78, 600).filter(({ truth }) => truth > 4 && truth < 50);
    const held = fresh.filter(({ truth, guess }) => {
      const { low, high } = eye.corrected(guess);
      return low <= truth && truth <= high;
    });
    expect(held.length / fresh.length).toBeGreaterThan(0.72);
    expect(held.length / fresh.length).toBeLessThan(0.9);
  });

  test('few guesses correct nothing, and an eye without bias is not told that it has one', () => {
    const right = series((truth) => truth, 5, 1);
    expect(triedEye(right.slice(0, fewestGuesses - 1))).toBeUndefined();
    expect(triedEye(right.slice(0, fewestGuesses))).toBeDefined();
    const told = seeds.filter((seed) => triedEye(series((truth) => truth, 5, seed))!.corrected(20).isTold);
    // Eight of ten: chance alone tells two.
    expect(told.length).toBeLessThanOrEqual(11);
    expect(triedEye(series((truth) => truth + 10, 5, 3))!.corrected(20).isTold).toBe(true);
  });

  test('what is corrected rises with what is said, and stays a percentage', () => {
    const eye = triedEye(series(learners['half as much again']!, 9, 5, 20))!;
    const all = Array.from({ length: 101 }, (_, guess) => eye.corrected(guess).percent);
    for (const [i, percent] of all.entries()) {
      expect(percent).toBeGreaterThanOrEqual(Math.max(0, all[i - 1] ?? 0));
      expect(percent).toBeLessThanOrEqual(100);
    }
  });

  test('damage that was always the same gives one bias for all', () => {
    const eye = triedEye(Array.from({ length: 15 }, (_, i) => ({ truth: 10, guess: 14 + (i % 3) })))!;
    expect(eye.biasAt(10)).toBeCloseTo(5);
    expect(eye.biasAt(60)).toBeCloseTo(5);
  });
});

test('grades', () => {
  expect([0, 2, 5, 9, 30].map((miss) => gradeOfPercent(10, 10 + miss))).toEqual(['easy', 'easy', 'good', 'hard', 'again']);
  expect([20, 22, 24, 29, 40].map((guess) => gradeOfCount(20, guess))).toEqual(['easy', 'easy', 'good', 'hard', 'again']);
  expect([gradeOfLooks(false, 2, 2), gradeOfLooks(true, 2, 2), gradeOfLooks(true, 1.5, 2), gradeOfLooks(true, 0, 0)]).toEqual([
    'again',
    'easy',
    'good',
    'easy',
  ]);
});
