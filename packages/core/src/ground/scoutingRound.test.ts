import fc from 'fast-check';
import { addDays } from '../timing/index';
import { planScoutingRound, tasksDue } from './index';
import type { ToWalk } from './index';

// Properties of the round and of the prevention walk, for any garden.

const today = '2026-07-18';
const day = (ago: number) => addDays(today, -ago);
const dayOrNull = (most: number) => fc.option(fc.integer({ min: -10, max: most }).map(day), { nil: null });

const planting = (id: number): fc.Arbitrary<ToWalk> =>
  fc.record({
    id: fc.constant(`p${id}`),
    at: fc.option(fc.record({ x: fc.integer({ min: 0, max: 40 }), y: fc.integer({ min: 0, max: 20 }) }), { nil: null }),
    plantedOn: fc.integer({ min: 0, max: 400 }).map(day),
    sheltered: fc.boolean(),
    lastLookOn: fc.option(fc.integer({ min: 0, max: 60 }).map(day), { nil: null }),
    caseLookOn: dayOrNull(20),
    catching: fc.boolean(),
    sick: fc.boolean(),
    quarantineLookOn: dayOrNull(20),
    risk: fc.double({ min: 0, max: 1, noNaN: true }),
    feared: fc.constantFrom(null, 'slugs'),
    firstSights: fc.array(fc.record({ on: fc.integer({ min: 200, max: 800 }).map(day), conditions: fc.constant(['rust']) }), {
      maxLength: 2,
    }),
  });
const garden = fc.integer({ min: 0, max: 12 }).chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => planting(i))));
const weather = fc.option(fc.record({ wetHours: fc.integer({ min: 0, max: 72 }), maxC: fc.integer({ min: -5, max: 40 }) }), {
  nil: undefined,
});

test('every planting comes once: those due first, the others by their day', () => {
  fc.assert(
    fc.property(garden, weather, (plantings, recent) => {
      const stops = planScoutingRound(plantings, today, recent);
      expect(stops.map(({ id }) => id).sort()).toEqual(plantings.map(({ id }) => id).sort());
      const later = stops.filter(({ due }) => !due);
      expect(stops.slice(stops.length - later.length)).toEqual(later);
      const days = later.map(({ dueOn }) => dueOn);
      expect(days).toEqual([...days].sort());
      for (const { due, dueOn } of stops) expect(due).toBe(dueOn <= today);
    }),
  );
});

test('what was looked at today is never due, what was never looked at always is', () => {
  fc.assert(
    fc.property(garden, weather, (plantings, recent) => {
      const stops = new Map(planScoutingRound(plantings, today, recent).map((stop) => [stop.id, stop]));
      for (const { id, lastLookOn } of plantings) {
        if (lastLookOn === today) expect(stops.get(id)!.due).toBe(false);
        if (lastLookOn === null) expect(stops.get(id)!.due).toBe(true);
      }
    }),
  );
});

test('bad weather never puts a look off', () => {
  fc.assert(
    fc.property(garden, fc.integer({ min: 0, max: 72 }), fc.integer({ min: 0, max: 40 }), (plantings, wetHours, maxC) => {
      const calm = new Map(planScoutingRound(plantings, today).map(({ id, dueOn }) => [id, dueOn]));
      for (const { id, dueOn } of planScoutingRound(plantings, today, { wetHours, maxC })) expect(dueOn <= calm.get(id)!).toBe(true);
    }),
  );
});

test('rain does not hasten what stands under cover', () => {
  fc.assert(
    fc.property(garden, (plantings) => {
      const covered = plantings.map((one) => ({ ...one, sheltered: true }));
      const dates = (wetHours: number) =>
        planScoutingRound(covered, today, { wetHours, maxC: 20 }).map(({ id, dueOn }) => `${id} ${dueOn}`);
      expect(dates(72)).toEqual(dates(0));
    }),
  );
});

test('what is held apart is walked to last, what is catching after what is not', () => {
  fc.assert(
    fc.property(garden, (plantings) => {
      const known = new Map(plantings.map((one) => [one.id, one]));
      const turns = planScoutingRound(plantings, today)
        .filter(({ due }) => due)
        .map(({ id }) => {
          const { quarantineLookOn, catching, sick } = known.get(id)!;
          return quarantineLookOn ? 4 : catching ? 3 : sick ? 2 : 1;
        });
      expect(turns).toEqual([...turns].sort((a, b) => a - b));
    }),
  );
});

test('a reason stands behind every look that is due', () => {
  fc.assert(
    fc.property(garden, weather, (plantings, recent) => {
      for (const { due, why } of planScoutingRound(plantings, today, recent))
        if (due && why.length === 0) throw new Error('due without a reason');
    }),
  );
});

describe('the prevention walk', () => {
  const kinds = ['bed', 'bench', 'heap'] as const;
  const tasks = fc.array(
    fc.record({
      id: fc.constantFrom('drain', 'mulch', 'clean'),
      kinds: fc.subarray([...kinds], { minLength: 1 }),
      months: fc.subarray([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], { minLength: 1 }),
      everyDays: fc.integer({ min: 1, max: 400 }),
    }),
    { maxLength: 3 },
  );
  const places = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), kind: fc.constantFrom(...kinds) }), {
    selector: ({ id }) => id,
  });

  test('falls only into the months of the task, in either hemisphere, and never into the past when it was never done', () => {
    fc.assert(
      fc.property(tasks, places, fc.constantFrom('north' as const, 'south' as const), (list, where, hemisphere) => {
        for (const { task, dueOn } of tasksDue(list, where, [], today, hemisphere)) {
          const month = Number(dueOn.slice(5, 7));
          const own = hemisphere === 'south' ? ((month + 5) % 12) + 1 : month;
          expect(list.some(({ id, months }) => id === task && months.includes(own))).toBe(true);
          expect(dueOn >= today).toBe(true);
        }
      }),
    );
  });

  test('what was done today is not due today', () => {
    fc.assert(
      fc.property(tasks, places, (list, where) => {
        const done = where.flatMap(({ id: placeId }) =>
          list.map(({ id }) => ({ placeId, task: id, doneOn: today, outcome: 'fine' as const })),
        );
        for (const { dueOn } of tasksDue(list, where, done, today)) expect(dueOn > today).toBe(true);
      }),
    );
  });
});
