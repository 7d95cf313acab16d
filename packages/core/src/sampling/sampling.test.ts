import fc from 'fast-check';
import { seededRandom } from '../statistics/index';
import { detectionChance, looksToDetect } from './detection';
import { readMeter } from './meter';
import type { Level } from './meter';
import { binomialChances, negativeBinomialChances, outcomeAt } from './outcome';
import { walkPicks } from './picks';
import { sample } from './sample';
import { poissonLimits, spotRates } from './trapCatch';
import type { CountChances } from './outcome';
import type { StopLines } from './stopLines';
import { binomialLines, negativeBinomialLines } from './waldLines';

const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0);
const zeros = (n: number) => Array<number>(n).fill(0);

describe('operating characteristic and expected number', () => {
  const lines = binomialLines(0.1, 0.3, { alpha: 0.1, beta: 0.1 });

  test("keep near Wald's own approximation at the two levels", () => {
    // L(p0) ≈ 1 − α, L(p1) ≈ β; overshoot only makes the true errors smaller.
    expect(outcomeAt(lines, 0.1, binomialChances(0.1), 500).leave).toBeGreaterThanOrEqual(0.9);
    expect(outcomeAt(lines, 0.3, binomialChances(0.3), 500).leave).toBeLessThanOrEqual(0.1);
  });

  test('agree with a slow simulation of the same test', () => {
    const random = seededRandom(5);
    const runs = 20_000;
    let [left, looked] = [0, 0];
    for (let run = 0; run < runs; run++) {
      let total = 0;
      for (let n = 1; n <= 60; n++) {
        total += random() < 0.18 ? 1 : 0;
        const ended = total >= lines.act(n) || total <= lines.leave(n) || n === 60;
        if (!ended) continue;
        looked += n;
        if (total <= lines.leave(n) || (total < lines.act(n) && total < (lines.act(60) + lines.leave(60)) / 2)) left++;
        break;
      }
    }
    const exact = outcomeAt(lines, 0.18, binomialChances(0.18), 60);
    expect(Math.abs(exact.leave - left / runs)).toBeLessThan(0.012); // three standard errors
    expect(Math.abs(exact.expected - looked / runs)).toBeLessThan(0.4);
  });

  /** The recursion written out, with every count by itself: right, and without end where the lines lie far apart. */
  function slowOutcome(lines: StopLines, chances: CountChances, most: number) {
    let going = new Map([[0, 1]]);
    let [leave, expected] = [0, 0];
    for (let n = 1; n <= most; n++) {
      const next = new Map<number, number>();
      for (const [total, mass] of going) {
        expected += mass;
        chances.forEach((chance, seen) => {
          if (total + seen >= lines.act(n)) return;
          if (total + seen <= lines.leave(n)) leave += mass * chance;
          else next.set(total + seen, (next.get(total + seen) ?? 0) + mass * chance);
        });
      }
      going = next;
    }
    for (const [total, mass] of going) if (total < (lines.act(most) + lines.leave(most)) / 2) leave += mass;
    return { leave, expected };
  }

  test.each([
    // Lines so close that every count is taken by itself: the same numbers.
    { p0: 1, p1: 3, k: 1, level: 2, most: 40, within: 1e-9 },
    { p0: 2, p1: 4, k: 0.5, level: 3, most: 60, within: 1e-9 },
    // Counts in steps.
    { p0: 40, p1: 50, k: 1, level: 45, most: 60, within: 0.02 },
    { p0: 40, p1: 50, k: 1, level: 30, most: 60, within: 0.02 },
    { p0: 60, p1: 120, k: 2, level: 90, most: 40, within: 0.02 },
  ])('agree with the recursion written out: $p0 and $p1 at $level', ({ p0, p1, k, level, most, within }) => {
    const lines = negativeBinomialLines(p0, p1, k, { alpha: 0.1, beta: 0.1 });
    const chances = negativeBinomialChances(level, k);
    const [fast, slow] = [outcomeAt(lines, level, chances, most), slowOutcome(lines, chances, most)];
    expect(Math.abs(fast.leave - slow.leave)).toBeLessThan(within);
    expect(Math.abs(fast.expected / slow.expected - 1)).toBeLessThan(within);
  });

  test.each([
    [4, 0.8],
    [300, 2],
    [2000, 10_000],
  ])('chances of counts with mean %d and clumping %d add up to one and have that mean', (mean, k) => {
    const chances = negativeBinomialChances(mean, k);
    expect(sum(chances)).toBeCloseTo(1, 3);
    expect(sum(chances.map((chance, x) => chance * x)) / mean).toBeCloseTo(1, 1);
  });

  test.each([
    { test: 'negative-binomial', p0: 40, p1: 50 },
    { test: 'negative-binomial', p0: 200, p1: 400 },
    { test: 'negative-binomial', p0: 1999.9, p1: 2000, plants: 1000 },
    { test: 'iwao', p1: 2000, a: 100, b: 20, alpha: 0.001, plants: 1000 },
    { test: 'binomial', p0: 0.1, p1: 0.100_000_1, alpha: 0.001, beta: 0.001, plants: 1000 },
  ] as const)('lines that lie far apart end too, and fall: $test $p0 $p1', (question) => {
    const leaves = sample({ ...question, seen: [] }).curves.points.map(({ leave }) => leave);
    for (const [i, leave] of leaves.entries()) expect(leave).toBeLessThanOrEqual((leaves[i - 1] ?? 1) + 1e-3);
  });
});

describe('to detect what may not be there', () => {
  // Published: Cannon & Roe (1982), table of sample sizes at 95 %.
  test.each([
    [0.05, undefined, 59],
    [0.01, undefined, 299],
    [0.05, 100, 45],
    [0.1, 50, 22],
    [0.5, 10, 4],
  ])('share %d among %p plants: %d', (share, plants, looks) => {
    expect(looksToDetect({ share, sensitivity: 1, confidence: 0.95, plants })).toBe(looks);
  });

  test('dim eyes ask for more, never for more plants than there are', () => {
    expect(looksToDetect({ share: 0.05, sensitivity: 0.5, confidence: 0.95 })).toBe(119);
    expect(looksToDetect({ share: 0.02, sensitivity: 0.3, confidence: 0.99, plants: 30 })).toBe(30);
    expect(looksToDetect({ share: 1, sensitivity: 1, confidence: 0.95 })).toBe(1);
    expect(() => looksToDetect({ share: 0, sensitivity: 1, confidence: 0.95 })).toThrow('share');
  });

  test('the number reaches the confidence, one less does not', () => {
    const share = fc.double({ min: 0.01, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(share, fc.double({ min: 0.2, max: 1, noNaN: true }), (p, sensitivity) => {
        const n = looksToDetect({ share: p, sensitivity, confidence: 0.95 });
        expect(detectionChance(n, p, sensitivity)).toBeGreaterThanOrEqual(0.95 - 1e-9);
        expect(detectionChance(n - 1, p, sensitivity)).toBeLessThan(0.95);
      }),
    );
  });
});

describe('the meter', () => {
  const shares: Level = { measure: 'plants-percent', act: 20 };

  test('looks on, then leaves or acts', () => {
    expect(readMeter(shares, [0, 0, 1], 200)).toMatchObject({ decision: 'continue', n: 3 });
    expect(readMeter(shares, zeros(40), 200)).toMatchObject({ decision: 'leave', mean: 0, moreIfClean: null });
    expect(readMeter(shares, [1, 1, 0, 1, 1], 200)).toMatchObject({ decision: 'act' });
  });

  test('says how many clean plants would end it', () => {
    const { moreIfClean } = readMeter(shares, [0, 0, 0], 200);
    expect(readMeter(shares, zeros(3 + moreIfClean!), 200).decision).toBe('leave');
    expect(readMeter(shares, zeros(2 + moreIfClean!), 200).decision).toBe('continue');
  });

  test('few plants are counted out: one of four is more than a fifth', () => {
    expect(readMeter(shares, [0, 1, 0, 0], 4)).toMatchObject({ decision: 'act', mean: 25, all: true });
    expect(readMeter(shares, [0, 0, 0, 0], 4)).toMatchObject({ decision: 'leave', all: true });
    expect(readMeter(shares, [0, 0], 4)).toMatchObject({ decision: 'continue', moreIfClean: 2 });
  });

  test('where one plant is too many the first find decides, and enough clean plants do', () => {
    const any: Level = { measure: 'any', act: 1 };
    expect(readMeter(any, [0, 0, 1], 90)).toMatchObject({ decision: 'act', n: 3 });
    expect(readMeter(any, zeros(10), 90).decision).toBe('continue');
    expect(readMeter(any, zeros(60), 90).decision).toBe('leave');
  });

  test.each<Level>([
    { measure: 'count-per-plant', act: 5 },
    { measure: 'count-per-leaf', act: 2 },
    { measure: 'leaf-percent', act: 10 },
  ])('%j: clean plants are left, twice the level is acted on', (level) => {
    expect(readMeter(level, zeros(60), 200).decision).toBe('leave');
    expect(readMeter(level, Array<number>(60).fill(level.act * 2), 200).decision).toBe('act');
  });

  test('never asks for more plants than there are, and always ends by then', () => {
    const plant = fc.integer({ min: 0, max: 1 });
    fc.assert(
      fc.property(fc.array(plant, { minLength: 1, maxLength: 60 }), (seen) => {
        expect(readMeter(shares, seen, seen.length).decision).not.toBe('continue');
        const { moreIfClean } = readMeter(shares, seen, seen.length + 5);
        expect(moreIfClean ?? 0).toBeLessThanOrEqual(5);
      }),
    );
  });
});

describe('which plants', () => {
  test('each has the same chance: over many walks none is forgotten', () => {
    const random = seededRandom(11);
    const hits = new Map<string, number>();
    const walks = 4000;
    for (let i = 0; i < walks; i++)
      for (const { row, plant } of walkPicks(20, 4, 5, random)) hits.set(`${row}/${plant}`, (hits.get(`${row}/${plant}`) ?? 0) + 1);
    expect(hits.size).toBe(20);
    for (const count of hits.values()) expect(Math.abs(count - walks / 4)).toBeLessThan(120); // four standard errors
  });

  test('stay within the rows, in the order of a walk, each plant once', () => {
    const whole = fc.integer({ min: 1, max: 120 });
    fc.assert(
      fc.property(whole, whole, whole, fc.integer(), (plants, wantedRows, looks, seed) => {
        const rows = Math.min(plants, wantedRows);
        const picks = walkPicks(plants, rows, looks, seededRandom(seed));
        expect(picks).toHaveLength(Math.min(plants, looks));
        expect(new Set(picks.map(({ row, plant }) => `${row}/${plant}`)).size).toBe(picks.length);
        for (const [i, { row, plant }] of picks.entries()) {
          expect(row).toBeGreaterThanOrEqual(picks[i - 1]?.row ?? 1);
          expect(row).toBeLessThanOrEqual(rows);
          expect(plant).toBeGreaterThanOrEqual(1);
          expect(plant).toBeLessThanOrEqual(Math.ceil(plants / rows));
        }
      }),
    );
  });

  test.each([
    [0, 1, 1],
    [3, 4, 1],
    [3, 1, 0.5],
  ])('refuses %d plants in %d rows with %d looks', (plants, rows, looks) => {
    expect(() => walkPicks(plants, rows, looks, () => 0)).toThrow(RangeError);
  });
});

describe('traps', () => {
  test('limits of a Poisson count', () => {
    // Exact 90 % limits of 10 are 5.43 and 16.96 (Garwood 1936); Byar's keep within 0.05.
    expect(poissonLimits(10)[0]).toBeCloseTo(5.43, 1);
    expect(poissonLimits(10)[1]).toBeCloseTo(16.96, 1);
    expect(poissonLimits(0)[0]).toBe(0);
    expect(poissonLimits(0)[1]).toBeCloseTo(3.0, 0);
  });

  test('the best spot first; a poor one is better moved, a new one waits', () => {
    const rates = spotRates([
      { spot: 'gate', days: 14, caught: 2 },
      { spot: 'wall', days: 7, caught: 20 },
      { spot: 'wall', days: 7, caught: 22 },
      { spot: 'new', days: 3, caught: 0 },
    ]);
    expect(rates.map(({ spot, advice }) => [spot, advice])).toEqual([
      ['wall', 'keep'],
      ['gate', 'move'],
      ['new', 'too-soon'],
    ]);
    expect(rates[0]).toMatchObject({ days: 14, caught: 42, perDay: 3 });
  });

  test('refuses days and catches that can not be', () => {
    expect(() => spotRates([{ spot: 'a', days: 0, caught: 1 }])).toThrow('days');
    expect(() => spotRates([{ spot: 'a', days: 1, caught: -1 }])).toThrow('caught');
  });
});

describe('the question as a whole', () => {
  test('binomial, with what the test is worth', () => {
    const answer = sample({ test: 'binomial', p0: 0.1, p1: 0.3, seen: [1, 0, 1, 1] });
    expect(answer).toMatchObject({ decision: 'act', n: 4, total: 3 });
    expect(answer.curves.points[0]).toMatchObject({ at: 0, leave: 1, expected: 9 });
    expect(answer.curves.points.at(-1)!.leave).toBeLessThan(0.01);
  });

  test('counts by both tests', () => {
    expect(sample({ test: 'negative-binomial', p0: 2, p1: 4, k: 2, seen: Array<number>(30).fill(0) }).decision).toBe('leave');
    expect(sample({ test: 'iwao', p1: 4, a: 1, b: 1.5, seen: Array<number>(30).fill(9) }).decision).toBe('act');
  });

  test('freedom: found is found, and enough clean plants are enough', () => {
    expect(sample({ test: 'freedom', seen: [0, 1] }).decision).toBe('act');
    expect(sample({ test: 'freedom', p1: 0.05, sensitivity: 1, alpha: 0.05, seen: zeros(58) }).decision).toBe('continue');
    expect(sample({ test: 'freedom', p1: 0.05, sensitivity: 1, alpha: 0.05, seen: zeros(59) }).decision).toBe('leave');
  });

  test('nobody is asked for more plants than there are', () => {
    expect(sample({ test: 'binomial', plants: 3, seen: [0, 1, 0] }).decision).not.toBe('continue');
  });

  test.each([
    [{ test: 'negative-binomial', p1: 3, seen: [] } as const, 'p0 is needed'],
    [{ test: 'iwao', seen: [] } as const, 'p1 is needed'],
    [{ test: 'binomial', seen: [2] } as const, 'seen holds 1 or 0'],
  ])('%j: %s', (question, message) => {
    expect(() => sample(question)).toThrow(message);
  });

  test('the operating characteristic falls as the level rises', () => {
    for (const question of [
      { test: 'binomial', p0: 0.05, p1: 0.2 },
      { test: 'negative-binomial', p0: 1, p1: 3, k: 1 },
      { test: 'iwao', p1: 3 },
      { test: 'freedom' },
    ] as const) {
      const leaves = sample({ ...question, seen: [] }).curves.points.map(({ leave }) => leave);
      for (const [i, leave] of leaves.entries()) expect(leave).toBeLessThanOrEqual((leaves[i - 1] ?? 1) + 1e-9);
    }
  });
});
