import { addDays } from '../timing/index';
import { compareParts, gone, laggingPlants, whyItFails } from './index';
import type { ClearLook, FailureFacts, GoneFacts } from './index';

// What looks prove: part against part, plant against plant, gone or not, and why not.

const on = (day: number) => addDays('2026-06-01', day);

describe('a part beside another', () => {
  const counts = (mean: number, plants = 10) => Array.from({ length: plants }, (_, i) => Math.max(0, mean + (i % 3) - 1));
  const look = (day: number, mean: number, plants?: number) => ({ on: on(day), counts: counts(mean, plants) });

  test('with counts before: what began unlike is borne', () => {
    const treated = { looks: [look(0, 40), look(8, 10)] };
    const alone = { looks: [look(0, 20), look(8, 20)] };
    const answer = compareParts(treated, alone, on(1))!;
    expect(answer).toMatchObject({ method: 'henderson-tilton', before: on(0), after: on(8), verdict: 'less', looksNeeded: 0 });
    // 1 − (10 × 20)/(40 × 20), nearly: the counts scatter by one.
    expect(answer.percent).toBeCloseTo(75, 0);
  });

  test('without: Abbott’s formula, and the newest day on which both were counted', () => {
    const treated = { looks: [look(5, 8), look(8, 4), look(12, 2)] };
    const alone = { looks: [look(5, 20), look(8, 20)] };
    expect(compareParts(treated, alone, on(1))).toMatchObject({ method: 'abbott', before: undefined, after: on(8), verdict: 'less' });
  });

  test('few and clumped: it can’t be told yet, and so many looks more would', () => {
    const clumped = (...list: number[]) => ({ on: on(8), counts: list });
    const answer = compareParts({ looks: [clumped(0, 9, 1, 2)] }, { looks: [clumped(1, 14, 0, 3)] }, on(1))!;
    expect(answer.verdict).toBe('cannot-tell');
    expect(answer.looksNeeded).toBeGreaterThan(1);
  });

  test('alike: no number of looks would show a difference', () => {
    const same = { looks: [look(8, 6)] };
    expect(compareParts(same, same, on(1))).toMatchObject({ percent: 0, verdict: 'cannot-tell', looksNeeded: null });
  });

  test('worse than what was left alone is said too', () =>
    expect(compareParts({ looks: [look(8, 30)] }, { looks: [look(8, 10)] }, on(1))?.verdict).toBe('more'));

  test.each([
    ['no day after it', { looks: [look(0, 9)] }, { looks: [look(0, 9)] }],
    ['never on the same day', { looks: [look(8, 9)] }, { looks: [look(9, 9)] }],
    ['none anywhere', { looks: [look(8, 1)] }, { looks: [{ on: on(8), counts: [0, 0] }] }],
  ])('%s: nothing to compare', (_, one, other) => expect(compareParts(one, other, on(1))).toBeUndefined());
});

describe('plants that lag behind', () => {
  const plants = (...pairs: [number, number][]) => pairs.map(([first, last], i) => ({ plant: i + 1, first, last }));
  test('those that came less than half as far as the middle one', () =>
    expect(laggingPlants(plants([40, 10], [50, 12], [45, 40], [30, 25], [40, 8]))).toEqual([3, 4]));
  test('none of a group that does not recover, of two plants, or that had little', () => {
    expect(laggingPlants(plants([40, 41], [50, 49], [45, 45]))).toEqual([]);
    expect(laggingPlants(plants([40, 10], [45, 44]))).toEqual([]);
    expect(laggingPlants(plants([40, 10], [50, 12], [2, 2]))).toEqual([]);
  });
});

describe('gone?', () => {
  const look = (day: number, found = false, plants?: number): ClearLook => ({ on: on(day), found, plants });
  const facts: GoneFacts = { looks: [], plants: 10, hiddenDays: 0, comesByItself: false, arrivals: [], today: on(20) };
  const ask = (change: Partial<GoneFacts>) => gone({ ...facts, ...change })!;

  test('without a look nothing is said', () => expect(gone(facts)).toBeUndefined());

  test('clean looks at all plants by hand', () => {
    // Ten of ten at 0.85: S = 0.85. Odds of 4, times 0.15 each; a week’s 0.3 % between.
    const answer = ask({ looks: [look(0, true), look(7), look(14)] });
    expect(answer.history[0]!.probability).toBeCloseTo(1 / 1.6, 6);
    expect(answer).toMatchObject({ lastFound: on(0), believeFrom: null, cleanLooksNeeded: 1, nextLookOn: on(21), expected: on(21) });
    expect(ask({ looks: [look(0, true), look(7), look(14), look(21)], today: on(21) })).toMatchObject({
      believeFrom: on(21),
      nextLookOn: null,
    });
  });

  test('a find begins it anew', () => {
    const answer = ask({ looks: [look(0, true), look(7), look(14), look(15, true)], today: on(15) });
    expect(answer).toMatchObject({ lastFound: on(15), history: [], believeFrom: null, nextLookOn: on(22) });
    expect(answer.expected! > on(30)).toBe(true);
  });

  test('while a stage hides, looks are worth little, and the next one waits for it', () => {
    const answer = ask({ looks: [look(0, true), look(7)], hiddenDays: 21, today: on(8) });
    expect(answer.hiddenUntil).toBe(on(21));
    expect(answer.nextLookOn).toBe(on(21));
    expect(answer.probability).toBeLessThan(0.3);
  });

  test('what flies in, and a new arrival, lower it; few plants looked at tell less', () => {
    const looks = [look(0, true), look(7), look(14)];
    const still = ask({ looks }).probability;
    expect(ask({ looks, comesByItself: true }).probability).toBeLessThan(still);
    expect(ask({ looks, arrivals: [on(10)] }).probability).toBeLessThan(still);
    expect(ask({ looks, arrivals: [addDays(on(0), -40)] }).probability).toBe(still);
    expect(ask({ looks: [look(0, true), look(7, false, 1), look(14, false, 1)] }).probability).toBeLessThan(still);
  });

  test('where it comes in faster than looks can clear it, no day is promised', () =>
    expect(ask({ plants: 400, looks: [look(0, true, 4), look(7, false, 4)], comesByItself: true, arrivals: [on(18)] })).toMatchObject({
      expected: null,
      nextLookOn: on(20),
    }));
});

describe('why it does not work', () => {
  const facts: FailureFacts = {
    chanceOfCause: 0.7,
    stageShare: 0.7,
    isContact: true,
    hides: false,
    coveredAll: undefined,
    sameMode: 1,
    rainMm: 0,
    sources: 0,
    cameBack: false,
  };
  const first = (change: Partial<FailureFacts>) => whyItFails({ ...facts, ...change })[0]!.cause;
  test.each<[string, Partial<FailureFacts>, string]>([
    ['rain right after it', { rainMm: 6 }, 'washed-off'],
    ['a cause that was doubted', { chanceOfCause: 0.1 }, 'wrong-cause'],
    ['a stage that it does not reach', { stageShare: 0 }, 'stage'],
    ['the same mode of action again and again', { sameMode: 5 }, 'resistance'],
    ['better, then worse, beside a sick hedge', { cameBack: true, sources: 2 }, 'reinfested'],
    ['a contact spray on what rolls its leaf', { hides: true, coveredAll: false }, 'coverage'],
  ])('%s', (_, change, cause) => expect(first(change)).toBe(cause));
  test('all are told, and share out one', () => {
    const all = whyItFails(facts);
    expect(all).toHaveLength(6);
    expect(all.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1);
  });
});
