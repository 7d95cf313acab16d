import fc from 'fast-check';
import { bestShares, Population, requireSeason, runStrategy } from '.';
import type { PestModel, SeasonScenario, SeasonTreatment } from '.';

const stage = (id: string, degreeDays: number, substages: number, mortalityPerDay = 0, lowerC = 10) => ({
  id,
  lowerC,
  degreeDays,
  substages,
  mortalityPerDay,
});
const mite: PestModel = {
  stages: [stage('egg', 55, 8, 0.03, 12), stage('nymph', 70, 10, 0.06, 12), stage('adult', 180, 4, 0.08, 12)],
  eggsPerAdultDay: 5,
  femaleShare: 0.7,
  initial: { adult: 20 },
};
const days = (count: number, celsius: number) => Array.from({ length: count }, () => celsius);
const counts = (model: PestModel, temperatureC: readonly number[], treatments: readonly SeasonTreatment[] = [], refine = 1) =>
  new Population(model).run(temperatureC, treatments, undefined, refine);

/** The same equations by small steps of the classical Runge-Kutta method, each quantity by itself: slow, and written to be read. */
function slowly(model: PestModel, temperatureC: readonly number[], treatments: readonly SeasonTreatment[], arrivals = 0): number[][] {
  const { stages } = model;
  let state = stages.map(({ id, substages }) => Array.from({ length: substages }, (_, j) => (j === 0 ? (model.initial[id] ?? 0) : 0)));
  const steps = 400;
  return temperatureC.map((celsius, day) => {
    for (const { killByStage } of treatments.filter((one) => one.day === day))
      state = state.map((boxes, i) => boxes.map((count) => count * (1 - (killByStage[stages[i]!.id] ?? 0))));
    const slope = (at: number, now: readonly (readonly number[])[]) =>
      now.map((boxes, i) => {
        const { id, substages, lowerC, degreeDays, mortalityPerDay } = stages[i]!;
        const rate = (of: number) => (stages[of]!.substages * Math.max(0, celsius - stages[of]!.lowerC)) / stages[of]!.degreeDays;
        const residue = treatments.reduce((sum, { day: on, killByStage, halfLifeDays }) => {
          const share = killByStage[id] ?? 0;
          return on > day || halfLifeDays === undefined || share === 0
            ? sum
            : sum - Math.log(1 - share) * 2 ** (-(day + at - on) / halfLifeDays);
        }, 0);
        const r = (substages * Math.max(0, celsius - lowerC)) / degreeDays;
        const adults = now.at(-1)!.reduce((sum, count) => sum + count, 0);
        const entering = i > 0 ? rate(i - 1) * now[i - 1]!.at(-1)! : model.eggsPerAdultDay * model.femaleShare * adults + arrivals;
        return boxes.map((count, j) => (j === 0 ? entering : r * boxes[j - 1]!) - (r + mortalityPerDay + residue) * count);
      });
    const plus = (now: readonly (readonly number[])[], by: readonly (readonly number[])[], times: number) =>
      now.map((boxes, i) => boxes.map((count, j) => count + times * by[i]![j]!));
    const h = 1 / steps;
    for (let step = 0; step < steps; step++) {
      const at = step * h;
      const a = slope(at, state);
      const b = slope(at + h / 2, plus(state, a, h / 2));
      const c = slope(at + h / 2, plus(state, b, h / 2));
      const d = slope(at + h, plus(state, c, h));
      state = plus(plus(plus(plus(state, a, h / 6), b, h / 3), c, h / 3), d, h / 6);
    }
    return state.map((boxes) => boxes.reduce((sum, count) => sum + count, 0));
  });
}

describe('a distributed delay', () => {
  test('what is left of one cohort in a stage is the Erlang distribution of its length', () => {
    const model = { ...mite, stages: [stage('egg', 100, 5), stage('rest', 1e9, 1)], eggsPerAdultDay: 0, initial: { egg: 1000 } };
    const left = counts(model, days(20, 20));
    // 10 degree days a day: 5 steps at 0.5 a day; after t days fewer than 5 of them are done.
    for (const day of [1, 5, 10, 20]) {
      const events = 0.5 * day;
      let [term, sum] = [Math.exp(-events), 0];
      for (let n = 0; n < 5; n++) {
        sum += term;
        term *= events / (n + 1);
      }
      expect(left[(day - 1) * 2]).toBeCloseTo(1000 * sum, 9);
    }
  });

  test('nobody is lost where nobody dies: those that left a stage are in the next', () => {
    const model = {
      ...mite,
      stages: [stage('egg', 60, 7), stage('larva', 90, 9), stage('adult', 1e12, 1)],
      eggsPerAdultDay: 0,
      initial: { egg: 321 },
    };
    const all = counts(model, days(60, 19));
    for (let day = 0; day < 60; day++) expect(all[day * 3]! + all[day * 3 + 1]! + all[day * 3 + 2]!).toBeCloseTo(321, 6);
  });

  test('in the cold all stands still, but for deaths', () => {
    const model = { ...mite, eggsPerAdultDay: 0, initial: { egg: 50, adult: 20 } };
    const all = counts(model, days(10, 3));
    expect(all[9 * 3]).toBeCloseTo(50 * Math.exp(-0.3), 9);
    expect(all[9 * 3 + 2]).toBeCloseTo(20 * Math.exp(-0.8), 9);
  });
});

test('it is what small Runge-Kutta steps come to, with residues, arrivals and warmth that changes', () => {
  const warmth = Array.from({ length: 40 }, (_, day) => 18 + 6 * Math.sin(day / 4));
  const treatments: SeasonTreatment[] = [
    { day: 8, killByStage: { nymph: 0.8, adult: 0.9 }, halfLifeDays: 3 },
    { day: 9, killByStage: { nymph: 0.5 }, halfLifeDays: 0.4 },
    { day: 21, killByStage: { egg: 0.6, nymph: 0.95, adult: 0.95 } },
  ];
  const fast = new Population(mite, { stage: 'egg', count: 3 }).run(warmth, treatments);
  slowly(mite, warmth, treatments, 3).forEach((row, day) =>
    row.forEach((count, i) => expect(Math.abs(fast[day * 3 + i]! - count) / Math.max(count, 1e-9)).toBeLessThan(1e-4)),
  );
});

// Less than a thousandth of an animal is none: of the few that came through ten substages in a day a step is less sure.
const leastAnimal = 1e-3;

test('steps of half the length change no daily count by a thousandth', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const treatment = fc.record({
    day: fc.integer({ min: 0, max: 25 }),
    killByStage: fc.record({ egg: share, nymph: share, adult: share }),
    halfLifeDays: fc.option(fc.double({ min: 0.1, max: 20, noNaN: true }), { nil: undefined }),
  });
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -5, max: 38, noNaN: true }), { minLength: 30, maxLength: 30 }),
      fc.array(treatment, { maxLength: 4 }),
      (warmth, treatments) => {
        const [once, twice] = [counts(mite, warmth, treatments), counts(mite, warmth, treatments, 2)];
        for (let i = 0; i < once.length; i++)
          expect(Math.abs(once[i]! - twice[i]!)).toBeLessThanOrEqual(1e-3 * Math.max(twice[i]!, leastAnimal));
      },
    ),
    { numRuns: 60 },
  );
});

describe('strategies', () => {
  const scenario: SeasonScenario = {
    temperatureC: days(60, 22),
    pest: mite,
    damage: { perDay: { nymph: 0.001, adult: 0.002 }, most: 400 },
    hourPrice: 12,
  };
  const spray = (...on: number[]) => on.map((day) => ({ day, killByStage: { nymph: 0.9, adult: 0.9 } }));

  test('without chance all runs are one, and a band is a line', () => {
    const { bands, cost, sprays, hours } = runStrategy(
      scenario,
      { name: 'twice', treatments: spray(10, 20), hoursPerTreatment: 0.5 },
      3,
      7,
    );
    expect([sprays, hours]).toEqual([2, 1]);
    expect(bands['adult']).toHaveLength(60);
    for (const { p10, p50, p90 } of bands['adult']!) expect([p10, p90]).toEqual([p50, p50]);
    expect(bands['adult']![0]!.p50).toBe(counts(mite, days(60, 22))[2]);
    expect(cost).toBeGreaterThan(12);
  });

  test('with chance it spreads, the same seed is the same season, and all strategies meet it', () => {
    const noisy = { ...scenario, noise: 0.5 };
    const [one, again, other] = [1, 1, 2].map((seed) => runStrategy(noisy, { name: 'none', treatments: [] }, 40, seed));
    expect(one).toEqual(again);
    expect(other!.costs).not.toEqual(one!.costs);
    expect(one!.bands['adult']!.at(-1)!.p90).toBeGreaterThan(2 * one!.bands['adult']!.at(-1)!.p10);
    const idle = runStrategy(noisy, { name: 'late', treatments: spray(99) }, 40, 1);
    expect(idle.costs).toEqual(one!.costs);
    expect(idle.sprays).toBe(0);
  });

  test('which is best is told by run, and what costs the same shares it', () => {
    expect(bestShares([{ costs: [1, 5, 2, 4] }, { costs: [2, 3, 2, 4] }])).toEqual([0.5, 0.5]);
    expect(bestShares([{ costs: [1, 1] }, { costs: [2, 3] }, { costs: [9, 9] }])).toEqual([1, 0, 0]);
    expect(bestShares([])).toEqual([]);
  });

  test.each([
    [{ noise: 2 }, 'noise: must be from 0 to 1, got 2'],
    [{ temperatureC: [20, NaN] }, 'temperatureC.1: must be a number, got NaN'],
    [{ pest: { ...mite, stages: [{ ...mite.stages[0]!, degreeDays: 0 }] } }, 'pest.stages.0.degreeDays: must be above 0, got 0'],
    [{ pest: { ...mite, stages: [{ ...mite.stages[0]!, substages: 1.5 }] } }, 'pest.stages.0.substages'],
    [{ pest: { ...mite, stages: [mite.stages[0]!, mite.stages[0]!] } }, 'an id of its own'],
    [{ pest: { ...mite, initial: { moth: 3 } } }, 'pest.initial.moth: there is no such stage'],
    [{ immigrationPerDay: { stage: 'moth', count: 1 } }, 'there is no stage moth'],
  ])('%j is refused by name', (change, words) => {
    expect(() => requireSeason({ ...scenario, ...change }, [], 2)).toThrow(words);
  });

  test('a pest that grows beyond all numbers, and a stage of minutes, are refused and not waited for', () => {
    const hot = { ...scenario, temperatureC: days(1500, 35) };
    const none = { name: 'x', treatments: [] };
    expect(() => runStrategy({ ...hot, pest: { ...mite, eggsPerAdultDay: 1000 } }, none, 1, 1)).toThrow('beyond all numbers');
    const quick = { ...mite, stages: [stage('egg', 0.1, 50), ...mite.stages.slice(1)] };
    expect(() => requireSeason({ ...scenario, pest: quick }, [none], 1)).toThrow('pest.stages.0.substages: it would pass more than 200');
  });

  test('a treatment that kills more than all is refused by name', () => {
    expect(() => requireSeason(scenario, [{ name: 'x', treatments: [{ day: 1, killByStage: { nymph: 1.2 } }] }], 1)).toThrow(
      'strategies.0.treatments.0.killByStage.nymph: must be from 0 to 1, got 1.2',
    );
  });
});
