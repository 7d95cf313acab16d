import fc from 'fast-check';
import { planScoutingRound, pressingStops } from './scoutingRound';
import type { RoundReason, RoundStop, ToWalk } from './scoutingRound';
import { walkingOrder, walkLength } from './walkingOrder';
import type { WalkStop } from './walkingOrder';

const today = '2026-07-18';
const leeks: ToWalk = {
  id: 'leeks',
  at: { x: 0, y: 0 },
  plantedOn: '2026-05-01',
  sheltered: false,
  lastLookOn: '2026-07-12',
  caseLookOn: null,
  catching: false,
  sick: false,
  quarantineLookOn: null,
  risk: 0.2,
  feared: 'leek-moth',
  firstSights: [],
};
const stopOf = (change: Partial<ToWalk>, weather?: Parameters<typeof planScoutingRound>[2]) =>
  planScoutingRound([{ ...leeks, ...change }], today, weather)[0]!;
const codes = (change: Partial<ToWalk>, weather?: Parameters<typeof planScoutingRound>[2]) =>
  stopOf(change, weather).why.map(({ code }) => code);

describe('when a planting wants a look', () => {
  test('a week after the last one', () => {
    expect(stopOf({})).toMatchObject({ dueOn: '2026-07-19', due: false });
    expect(stopOf({ lastLookOn: '2026-07-11' })).toMatchObject({ dueOn: '2026-07-18', due: true });
    expect(codes({ lastLookOn: '2026-07-11' })).toEqual(['long-ago']);
  });

  test('at once if it was never looked at', () => {
    expect(stopOf({ lastLookOn: null })).toMatchObject({ dueOn: today, due: true, why: [{ code: 'never-looked' }] });
  });

  test('sooner when young, in season, wet or hot; later where little is to be feared', () => {
    expect(stopOf({ plantedOn: '2026-07-10' }).dueOn).toBe('2026-07-16'); // 7 · 0.6 → 4 days
    expect(stopOf({ risk: 0.6 }).dueOn).toBe('2026-07-17'); // 7 · 0.7 → 5
    expect(stopOf({}, { wetHours: 30, maxC: 31 }).dueOn).toBe('2026-07-16'); // 7 · 0.7 · 0.8 → 4
    expect(codes({}, { wetHours: 30, maxC: 31 })).toEqual(['wet', 'hot']);
    expect(stopOf({ risk: 0.1 }).dueOn).toBe('2026-07-26');
  });

  test('not as a young one where nobody said when it was planted', () => {
    expect(stopOf({ plantedOn: null })).toMatchObject({ dueOn: '2026-07-19', why: [] });
  });

  test("sooner near last year's first sight, from two weeks before to one after", () => {
    const sight = (on: string) => stopOf({ firstSights: [{ on, conditions: ['leek-moth'] }] }).why.some(({ code }) => code === 'last-year');
    expect([sight('2025-08-01'), sight('2025-08-02'), sight('2025-07-11'), sight('2025-07-10')]).toEqual([true, false, true, false]);
    expect(sight('2026-07-18')).toBe(false); // this year's own sight is no memory
  });

  test('on the day that an open case or a quarantine asks for', () => {
    expect(stopOf({ caseLookOn: '2026-07-16', sick: true })).toMatchObject({ due: true, why: [{ code: 'case' }] });
    expect(stopOf({ caseLookOn: '2026-07-30', sick: true })).toMatchObject({ dueOn: '2026-07-19' });
    expect(stopOf({ quarantineLookOn: today })).toMatchObject({ due: true, why: [{ code: 'quarantine' }] });
  });

  test('what was seen today is seen', () => {
    expect(stopOf({ lastLookOn: today, caseLookOn: '2026-07-16' })).toMatchObject({ due: false, dueOn: '2026-07-25' });
    expect(stopOf({ lastLookOn: today, quarantineLookOn: today })).toMatchObject({ due: false, dueOn: '2026-07-19' });
  });
});

describe('when there is time for some of it', () => {
  const stop = (id: string, dueOn: string, why: RoundReason[]): RoundStop => ({ id, dueOn, due: true, why });
  const walk = [
    stop('clean', today, [{ code: 'never-looked' }]),
    stop('overdue', '2026-07-10', [{ code: 'long-ago', days: 15 }]),
    stop('feared', today, [{ code: 'risk', feared: 'leek-moth' }, { code: 'never-looked' }]),
    stop('sick', today, [{ code: 'case' }]),
  ];

  test.each([
    [1, ['sick']],
    [2, ['feared', 'sick']],
    [3, ['overdue', 'feared', 'sick']],
    [9, ['clean', 'overdue', 'feared', 'sick']],
  ])('the %i most pressing, in the order of the walk', (most, ids) => {
    expect(pressingStops(walk, most).map(({ id }) => id)).toEqual(ids);
  });
});

describe('the order of the walk', () => {
  const never = { lastLookOn: null };

  test('young and clean, clean, sick, catching, held apart', () => {
    const plan = planScoutingRound(
      [
        { ...leeks, ...never, id: 'apart', quarantineLookOn: today },
        { ...leeks, ...never, id: 'catching', sick: true, catching: true },
        { ...leeks, ...never, id: 'short of water', sick: true },
        { ...leeks, ...never, id: 'clean' },
        { ...leeks, ...never, id: 'young', plantedOn: '2026-07-10' },
      ],
      today,
    );
    expect(plan.map(({ id }) => id)).toEqual(['young', 'clean', 'short of water', 'catching', 'apart']);
  });

  test('what is not due comes after, by its day', () => {
    const plan = planScoutingRound(
      [
        { ...leeks, id: 'later', lastLookOn: '2026-07-13' },
        { ...leeks, id: 'soon', risk: 0.6, lastLookOn: '2026-07-14' },
        { ...leeks, ...never, id: 'now' },
      ],
      today,
    );
    expect(plan.map(({ id, due }) => [id, due])).toEqual([
      ['now', true],
      ['soon', false],
      ['later', false],
    ]);
  });

  test('an empty garden has no round', () => {
    expect(planScoutingRound([], today)).toEqual([]);
    expect(walkingOrder([])).toEqual([]);
  });

  test('a row is walked along, however it was listed', () => {
    const row = [3, 0, 4, 1, 2].map((x) => ({ id: String(x), turn: 0, at: { x, y: 0 } }));
    expect(walkingOrder(row, { x: -1, y: 0 })).toEqual(['0', '1', '2', '3', '4']);
  });

  test('what was not drawn comes last of its turn', () => {
    expect(
      walkingOrder([
        { id: 'lost', turn: 0, at: null },
        { id: 'here', turn: 0, at: { x: 0, y: 0 } },
        { id: 'sick', turn: 1, at: { x: 0, y: 0 } },
      ]),
    ).toEqual(['here', 'lost', 'sick']);
  });

  const coordinate = fc.integer({ min: 0, max: 50 });
  const stops = fc.array(fc.record({ turn: fc.integer({ min: 0, max: 3 }), at: fc.record({ x: coordinate, y: coordinate }) }), {
    maxLength: 40,
  });
  const named = (list: readonly Omit<WalkStop, 'id'>[]): WalkStop[] => list.map((stop, i) => ({ ...stop, id: String(i) }));

  test('every stop once, and never back to an earlier turn', () => {
    fc.assert(
      fc.property(stops, (list) => {
        const own = named(list);
        const order = walkingOrder(own).map((id) => own[Number(id)]!);
        expect(new Set(order).size).toBe(own.length);
        for (const [i, { turn }] of order.entries()) expect(turn).toBeGreaterThanOrEqual(order[i - 1]?.turn ?? 0);
      }),
    );
  });

  test('no longer than the shortest of all orders by more than a tenth, for up to seven stops', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ x: coordinate, y: coordinate }), { minLength: 2, maxLength: 7 }), (points) => {
        const start = { x: 0, y: 0 };
        const own = named(points.map((at) => ({ turn: 0, at })));
        const length = walkLength([start, ...walkingOrder(own, start).map((id) => points[Number(id)]!)]);
        expect(length).toBeLessThanOrEqual(shortest(start, points) * 1.1 + 1e-9);
      }),
      { seed: 7, numRuns: 60 },
    );
  });
});

type At = { readonly x: number; readonly y: number };

/** Every order tried: the slow reference. */
function shortest(from: At, points: readonly At[]): number {
  if (points.length === 0) return 0;
  return Math.min(
    ...points.map(
      (next, i) =>
        Math.hypot(next.x - from.x, next.y - from.y) +
        shortest(
          next,
          points.filter((_, j) => j !== i),
        ),
    ),
  );
}
