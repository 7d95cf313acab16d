import { entropyBits, seededRandom } from '../statistics';
import type { LookAlike, TakenLook } from '.';
import { beliefAfter, bestLook, scoreLooks, worthOf } from '.';

const troubles: LookAlike[] = [
  { id: 'rust', weight: 2, shows: { pustules: 0.95, powder: 0.01, webs: 0.01 } },
  { id: 'mildew', weight: 1, shows: { pustules: 0.02, powder: 0.9, webs: 0.01 } },
  { id: 'mite', weight: 1, shows: { pustules: 0.01, powder: 0.02, webs: 0.7 } },
];
const looks = ['pustules', 'powder', 'webs'];

test('belief follows Bayes, by hand', () => {
  expect(beliefAfter(troubles, [])).toEqual([0.5, 0.25, 0.25]);
  const [rust, mildew, mite] = beliefAfter(troubles, [{ look: 'powder', seen: true }]);
  // 2 · 0.01, 0.9 and 0.02 of 0.94.
  expect([rust, mildew, mite].map((one) => Math.round(one! * 1000))).toEqual([21, 957, 21]);
  expect(beliefAfter([{ id: 'one', weight: 1, shows: {} }], [{ look: 'webs', seen: true }])).toEqual([1]);
});

test('a look is worth what it tells on the average, and never less than nothing', () => {
  const even: LookAlike[] = [
    { id: 'a', weight: 1, shows: { web: 1, spots: 0.5 } },
    { id: 'b', weight: 1, shows: { web: 0, spots: 0.5 } },
  ];
  expect(worthOf(even, [], 'web')).toBeCloseTo(1, 12);
  expect(worthOf(even, [], 'spots')).toBeCloseTo(0, 12);
  expect(worthOf(even, [{ look: 'web', seen: true }], 'web')).toBeCloseTo(0, 12);
  expect(bestLook(even, [], ['spots', 'web'])).toMatchObject({ look: 'web' });
  expect(bestLook(even, [{ look: 'web', seen: true }], ['web'])).toBeUndefined();
});

test('each look is scored against the best of its turn', () => {
  const taken: TakenLook[] = [
    { look: 'webs', seen: false },
    { look: 'pustules', seen: true },
  ];
  const scored = scoreLooks(troubles, taken, looks);
  expect(scored.map(({ best }) => best)).toEqual(['pustules', 'pustules']);
  expect(scored[0]!.bits).toBeLessThan(scored[0]!.bestBits);
  expect(scored[1]!.bits).toBe(scored[1]!.bestBits);
});

test('looking one step ahead tells nearly what the best three looks can', () => {
  const random = seededRandom(5);
  const open = Array.from({ length: 7 }, (_, i) => `look-${i}`);
  /** What is left to ask after so many looks of the best choice at every turn, in bits: every order and answer is tried. */
  const leastLeft = (all: readonly LookAlike[], taken: readonly TakenLook[], left: number): number => {
    if (left === 0) return entropyBits(beliefAfter(all, taken));
    return Math.min(
      ...open.filter((look) => taken.every((one) => one.look !== look)).map((look) => after(all, taken, look, left, leastLeft)),
    );
  };
  const greedyLeft = (all: readonly LookAlike[], taken: readonly TakenLook[], left: number): number =>
    left === 0 ? entropyBits(beliefAfter(all, taken)) : after(all, taken, bestLook(all, taken, open)!.look, left, greedyLeft);
  const after = (all: readonly LookAlike[], taken: readonly TakenLook[], look: string, left: number, then: typeof leastLeft) => {
    const seen = beliefAfter(all, taken).reduce((sum, one, i) => sum + one * all[i]!.shows[look]!, 0);
    const on = (isSeen: boolean) => then(all, [...taken, { look, seen: isSeen }], left - 1);
    return seen * on(true) + (1 - seen) * on(false);
  };
  const boards = Array.from({ length: 12 }, () =>
    Array.from({ length: 5 }, (_, i): LookAlike => ({
      id: String(i),
      weight: 0.3 + random(),
      shows: Object.fromEntries(open.map((look) => [look, random() < 0.6 ? 0.03 : 0.4 + 0.5 * random()])),
    })),
  );
  const told = boards.map((all) => {
    const begin = entropyBits(beliefAfter(all, []));
    return (begin - greedyLeft(all, [], 3)) / (begin - leastLeft(all, [], 3));
  });
  expect(Math.min(...told)).toBeGreaterThan(0.9);
  expect(told.reduce((sum, one) => sum + one, 0) / told.length).toBeGreaterThan(0.97);
});
