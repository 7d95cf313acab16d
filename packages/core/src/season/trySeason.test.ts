import { requireTrial, standingsOf, trySeason, whatDecides } from '.';
import type { KnownDay, PestTrouble, SeasonAction, SeasonTrial, TriedStrategy } from '.';
import { addDays } from '../timing/index.js';
import { drawDays, heatBefore } from './seasonDays.js';
import type { SeasonCalendar } from './seasonDays.js';
import { SeasonPolicy } from './seasonPolicy.js';
import { drawChances } from './trySeason.js';

const pest: PestTrouble = {
  kind: 'pest',
  stages: [
    { id: 'young', lowerC: 5, degreeDays: 130, substages: 8, mortalityPerDay: 0.05, feeds: 1, sheltered: 0 },
    { id: 'adult', lowerC: 5, degreeDays: 250, substages: 4, mortalityPerDay: 0.08, feeds: 1, sheltered: 0 },
  ],
  eggsPerAdultDay: 3,
  femaleShare: 1,
  upperC: 30,
  crowdedAt: 1000,
  resistance: { start: 0.001, dominance: 0.5, escapes: 0.9 },
  harm: { halfLossAt: 6000, mostLoss: 0.8 },
  actAt: 40,
};
const calendar: SeasonCalendar = { start: '2026-05-01', days: 60, known: [], shelter: 'outdoor', hemisphere: 'north' };
const trial: SeasonTrial = {
  model: pest,
  calendar,
  crop: { ageDays: null, leafDays: 60 },
  ...{ seen: 10, plants: 20, plantValue: 4, hourPrice: 6, lookMinutes: 2 },
};
const soap: SeasonAction = {
  ...{
    id: 'soap',
    effect: { young: [0.6, 0.8], adult: [0.6, 0.8] },
    reachesSheltered: false,
    sparesHelpers: 1,
    harmsBees: 0.3,
    harmsHelpers: 0.3,
  },
  ...{ isSpray: true, cost: 0.1, minutes: 1, everyDays: 5, preHarvestDays: 3 },
};
const leave: TriedStrategy = { id: 'leave', name: 'Do nothing', actions: [], when: { kind: 'never' } };
const weekly: TriedStrategy = {
  ...{ id: 'weekly', name: 'Each week', actions: [soap] },
  when: { kind: 'calendar', from: 0, everyDays: 7, until: 59 },
};
const fair = { meanC: 18, rainMm: 0, wetHours: 0 };

describe('the days of a run', () => {
  const year = (from: string, days: number, meanC: number): KnownDay[] =>
    Array.from({ length: days }, (_, i) => ({ day: addDays(from, i), meanC, rainMm: 2, wetHours: 4 }));

  test('known days are as they were; the rest is from another year; each run its own, and the same each time', () => {
    const known = [...year('2025-04-01', 120, 30), ...year('2026-05-01', 10, 12)];
    const days = drawDays({ ...calendar, known }, 3, 7);
    expect(days.slice(0, 10).every(({ meanC }) => meanC === 12)).toBe(true);
    // A year is met a degree warmer or colder at the most.
    expect(days.slice(10).every(({ meanC }) => Math.abs(meanC - 30) <= 1)).toBe(true);
    expect(drawDays({ ...calendar, known }, 3, 7)).toEqual(days);
    expect(drawDays({ ...calendar, known }, 3, 8)).not.toEqual(days);
  });

  test('without a year at hand, a temperate one of the right half of the earth', () => {
    const mean = (hemisphere: 'north' | 'south') => {
      const all = Array.from({ length: 40 }, (_, run) => drawDays({ ...calendar, start: '2026-07-01', hemisphere }, 1, run)).flat();
      return all.reduce((sum, { meanC }) => sum + meanC, 0) / all.length;
    };
    expect(mean('north')).toBeGreaterThan(16);
    expect(mean('south')).toBeLessThan(7);
  });

  test('indoors it neither rains nor freezes; glass is warmer', () => {
    const known = year('2026-05-01', 60, 2);
    expect(drawDays({ ...calendar, known, shelter: 'indoor' }, 1, 1)[0]).toMatchObject({ rainMm: 0, wetHours: 0 });
    expect(drawDays({ ...calendar, known, shelter: 'indoor' }, 1, 1)[0]!.meanC).toBeGreaterThan(17);
    expect(drawDays({ ...calendar, known, shelter: 'greenhouse' }, 1, 1)[0]!.meanC).toBe(6);
  });

  test('heat before the start is summed from the new year', () => {
    expect(heatBefore({ ...calendar, start: '2026-01-11', known: year('2026-01-01', 10, 15) }, 10)).toBe(50);
    expect(heatBefore({ ...calendar, start: '2026-07-11', hemisphere: 'south', known: year('2026-07-01', 10, 15) }, 10)).toBe(50);
  });
});

describe('what is done when', () => {
  const policy = (strategy: TriedStrategy, harvestDay = Infinity) => new SeasonPolicy(strategy, harvestDay);
  const run = (strategy: TriedStrategy, seen: (day: number) => number, weather = () => fair, harvestDay = Infinity) => {
    const one = policy(strategy, harvestDay);
    return Array.from({ length: 30 }, (_, day) => one.todays(day, weather(), () => seen(day)).map(({ id }) => `${id} ${day}`)).flat();
  };
  const threshold: TriedStrategy = { ...weekly, when: { kind: 'threshold', from: 0, lookEvery: 7, actAt: 40 } };

  test('by the calendar each week; by the threshold only where a look finds so many', () => {
    expect(run(weekly, () => 0)).toEqual(['soap 0', 'soap 7', 'soap 14', 'soap 21', 'soap 28']);
    expect(run(threshold, (day) => (day === 14 ? 50 : 3))).toEqual(['soap 14']);
  });

  test('late is late; nothing within the days before harvest; a spray waits for a dry day', () => {
    expect(run({ ...threshold, lateDays: 7 }, (day) => (day === 14 ? 50 : 3))).toEqual(['soap 21']);
    expect(run({ ...weekly, lateDays: 7 }, () => 0)[0]).toBe('soap 7');
    // Four days are waited before the first picking, and longer than pickings are apart after it.
    const waits = { ...weekly, actions: [{ ...soap, preHarvestDays: 4 }] };
    expect(
      run(
        waits,
        () => 0,
        () => fair,
        16,
      ),
    ).toEqual(['soap 0', 'soap 7']);
    expect(
      run(
        weekly,
        () => 0,
        () => fair,
        16,
      ),
    ).toEqual(['soap 0', 'soap 7', 'soap 16', 'soap 23']);
    let days = 0;
    expect(
      run(
        weekly,
        () => 0,
        () => ({ ...fair, rainMm: days++ < 2 ? 5 : 0 }),
      )[0],
    ).toBe('soap 2');
  });

  test('in turn by group; growing from the first to what does more; most in the season', () => {
    const [a, b] = [
      { ...soap, id: 'a', group: 'IRAC 1' },
      { ...soap, id: 'b', group: 'IRAC 2' },
    ];
    expect(run({ ...weekly, actions: [a, b] }, () => 0).map((one) => one[0])).toEqual(['a', 'b', 'a', 'b', 'a']);
    const growing = { ...threshold, actions: [{ ...soap, id: 'hand' }, soap], growing: true };
    expect(run(growing, () => 99).map((one) => one.split(' ')[0])).toEqual(['hand', 'soap', 'soap', 'soap', 'soap']);
    expect(run({ ...weekly, actions: [{ ...soap, most: 2 }] }, () => 0)).toHaveLength(2);
  });

  test('rounds that were set are done whatever comes, and what is put up on the first day once', () => {
    const set: TriedStrategy = {
      ...leave,
      actions: [soap],
      when: {
        kind: 'rounds',
        rounds: [
          { day: 3, action: 'soap' },
          { day: 4, action: 'away' },
        ],
      },
    };
    expect(run({ ...set, first: [{ ...soap, id: 'net' }] }, () => 0)).toEqual(['net 0', 'soap 3']);
  });
});

describe('a season', () => {
  const runs = 60;
  const [nothing, treated] = [trySeason(trial, leave, runs, 5), trySeason(trial, weekly, runs, 5)];

  test('treated keeps more and costs what was done; all see the same seasons', () => {
    expect(treated.kept.p50).toBeGreaterThan(nothing.kept.p50);
    expect(nothing).toMatchObject({ treatments: 0, sprays: 0, money: 0, hours: 0, looks: 0, bees: 0 });
    expect(treated.sprays).toBeGreaterThan(6);
    expect(treated.money).toBeCloseTo(20 * 0.1 * treated.treatments, 6);
    expect(treated.hours).toBeCloseTo((20 * treated.treatments) / 60, 6);
    expect(treated.doneOn.reduce((sum, one) => sum + one, 0)).toBeCloseTo(treated.treatments, 6);
    expect(trySeason(trial, weekly, runs, 5)).toEqual(treated);
    for (const { p10, p50, p90 } of treated.band) expect(p10 <= p50 && p50 <= p90).toBe(true);
  });

  test('bees are met in flower only', () => {
    const flowering = trySeason({ ...trial, flowers: { from: 0, until: 6 } }, weekly, runs, 5);
    expect(treated.bees).toBe(0);
    expect(flowering.bees).toBeGreaterThan(0.2);
    expect(flowering.bees).toBeLessThan(0.61);
  });

  test('chances add to one; regret is nothing only for who is always best', () => {
    const standings = standingsOf([nothing, treated]);
    expect(standings.reduce((sum, { best }) => sum + best, 0)).toBeCloseTo(1, 9);
    for (const { best, regret } of standings) expect(regret === 0).toBe(best === 1);
  });

  test('what decides is what was made to decide', () => {
    const chances = Array.from({ length: 200 }, (_, run) => drawChances(9, run));
    const costs = (of: (at: number) => number) => ({ costs: chances.map((_, run) => of(run)) });
    const [first] = whatDecides(
      costs(() => 5),
      costs((run) => 5 + chances[run]!.arrivals + 0.1 * chances[run]!.harm),
      9,
    );
    expect(first!.what).toBe('arrivals');
    expect(first!.pull).toBeGreaterThan(0.9);
  });

  test('a week late is worse for who acts, and nothing to who does not', () => {
    const late = trySeason(trial, { ...weekly, lateDays: 7 }, runs, 5);
    expect(late.kept.p50).toBeLessThan(treated.kept.p50);
    expect(trySeason(trial, { ...leave, lateDays: 7 }, runs, 5).kept).toEqual(nothing.kept);
  });

  test('tells how far it is', () => {
    const heard: number[] = [];
    trySeason(trial, leave, 32, 1, (share) => heard.push(share));
    expect(heard).toEqual([0.5, 1]);
  });

  test.each([
    ['no day', { calendar: { ...calendar, days: 0 } }, 'calendar.days'],
    ['fewer than none', { seen: -1 }, 'seen: must be from 0'],
    ['no plant', { plants: 0 }, 'plants'],
    ['runs without end', {}, 'runs: must be from 1 to 2000'],
  ])('%s is refused', (_, change, words) => {
    expect(() => requireTrial({ ...trial, ...change }, Object.keys(change).length > 0 ? 10 : 1e6)).toThrow(words);
  });
});
