import { fitSeason, trySeason } from '.';
import type { CountedDay, PestTrouble, SeasonTrial, TriedStrategy } from '.';
import { seededRandom } from '../statistics/index.js';
import { drawChances } from './trySeason.js';

const pest: PestTrouble = {
  kind: 'pest',
  stages: [
    { id: 'young', lowerC: 5, degreeDays: 130, substages: 8, mortalityPerDay: 0.08, feeds: 1, sheltered: 0 },
    { id: 'adult', lowerC: 5, degreeDays: 250, substages: 4, mortalityPerDay: 0.1, feeds: 1, sheltered: 0 },
  ],
  eggsPerAdultDay: 2,
  femaleShare: 1,
  upperC: 30,
  crowdedAt: 3000,
  resistance: { start: 0.001, dominance: 0.5, escapes: 0.9 },
  harm: { halfLossAt: 6000, mostLoss: 0.8 },
  actAt: 40,
};
const trial: SeasonTrial = {
  model: pest,
  calendar: { start: '2026-05-01', days: 50, known: [], shelter: 'indoor', hemisphere: 'north' },
  crop: { ageDays: null, leafDays: 60 },
  ...{ seen: 5, plants: 10, plantValue: 4, hourPrice: 6, lookMinutes: 2 },
};
const soap = {
  ...{
    id: 'soap',
    effect: { young: [0.7, 0.7], adult: [0.7, 0.7] } as const,
    reachesSheltered: false,
    sparesHelpers: 1,
    harmsBees: 0,
    harmsHelpers: 0,
  },
  ...{ isSpray: true, cost: 1, minutes: 1, everyDays: 7 },
};
const leave: TriedStrategy = { id: 'leave', name: 'Do nothing', actions: [], when: { kind: 'never' } };
const courseOf = (run: number) =>
  trySeason({ ...trial, fitted: [{ chances: drawChances(77, run) }] }, leave, 1, 1).band.map(({ p50 }) => p50);
const looksAt = (course: readonly number[], days: readonly number[], seed: number): CountedDay[] => {
  const random = seededRandom(seed);
  return days.map((day) => ({ day, amount: course[day]! * Math.exp(0.3 * (random() + random() + random() - 1.5) * 2) }));
};

test('without a look, it is what was believed before', () => {
  const fitted = fitSeason(trial, [], 50, 3);
  expect(fitted).toHaveLength(50);
  const logs = fitted.map(({ chances }) => Math.log(chances.arrivals));
  expect(Math.max(...logs)).toBeGreaterThan(0.5);
  expect(Math.min(...logs)).toBeLessThan(-0.5);
});

test('counts narrow what is to come, and hold what came: in twenty seasons that were drawn, nine in ten times or so', () => {
  const seasons = 20;
  let [held, narrower] = [0, 0];
  const prior = trySeason(trial, leave, 100, 9).band[45]!;
  for (let run = 0; run < seasons; run++) {
    const course = courseOf(run);
    const fitted = fitSeason(trial, looksAt(course, [6, 13, 20, 27], run + 1), 100, 5);
    const { p10, p90 } = trySeason({ ...trial, fitted }, leave, 100, 9).band[45]!;
    held += Number(course[45]! >= p10 / 1.15 && course[45]! <= p90 * 1.15);
    narrower += Number(Math.log(p90 / p10) < 0.8 * Math.log(prior.p90 / prior.p10));
  }
  expect(held).toBeGreaterThanOrEqual(13);
  expect(narrower).toBeGreaterThanOrEqual(18);
});

test('what was done before is known to the fit: the same counts mean more where they were sprayed', () => {
  const looks = [
    { day: 10, amount: 12 },
    { day: 20, amount: 25 },
  ];
  const breeding = (done: SeasonTrial['done']) => {
    const fitted = fitSeason({ ...trial, done }, looks, 120, 4);
    return fitted.reduce((sum, { chances }) => sum + Math.log(chances.breeding) - Math.log(chances.deaths), 0) / fitted.length;
  };
  expect(breeding([{ day: 5, action: soap }])).toBeGreaterThan(breeding([]) + 0.1);
});

test('ways differ from the day on which they decide; before it all are as it was', () => {
  const begun: SeasonTrial = { ...trial, decidesFrom: 20 };
  const treated: TriedStrategy = { id: 'a', name: 'A', actions: [soap], when: { kind: 'rounds', rounds: [{ day: 0, action: 'soap' }] } };
  const [nothing, once] = [trySeason(begun, leave, 20, 2), trySeason(begun, treated, 20, 2)];
  expect(once.band.slice(0, 20)).toEqual(nothing.band.slice(0, 20));
  expect(once.band[20]!.p50).toBeLessThan(0.5 * nothing.band[20]!.p50);
  expect(once.doneOn[20]).toBe(1);
});
