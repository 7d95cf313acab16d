import type { PlanShape } from '.';
import { cleanToSick, collectionsOf, crowding, warmSpell } from '.';
import type { ToWalk } from '.';

const box = (x: number, y: number, width: number, depth: number): PlanShape => ({ kind: 'rectangle', x, y, width, depth, turn: 0 });

test('a room is one with the shelves in it; a bed is nobody’s, and a shelf outside stands by itself', () => {
  const places = [
    { id: 'sill', isShared: true, shape: box(5, 5, 2, 0.5) },
    { id: 'room', isShared: true, shape: box(5, 5, 6, 6) },
    { id: 'bench', isShared: true, shape: box(6, 6, 2, 1) },
    { id: 'bed', isShared: false, shape: box(5, 5, 1, 1) },
    { id: 'porch', isShared: true, shape: box(20, 5, 2, 2) },
    { id: 'undrawn', isShared: true, shape: null },
  ];
  expect([...collectionsOf(places)]).toEqual([
    ['room', ['room', 'sill', 'bench']],
    ['porch', ['porch']],
    ['undrawn', ['undrawn']],
  ]);
});

test('how far apart pots stand, and how many a hand reaches', () => {
  // Twenty-five on a square metre stand twenty apart; of 1.2 m from one side a hand reaches half.
  expect(crowding(25, 1, 1.2, 1)).toEqual({ apartCm: 20, isCrowded: false, reached: 0.5, plantsReached: 12 });
  expect(crowding(36, 1, 1.2, 2)).toMatchObject({ isCrowded: true, reached: 1, plantsReached: 36 });
  expect(crowding(1, 4, 0.3, 1)).toMatchObject({ apartCm: 200, reached: 1, plantsReached: 1 });
  for (const [plants, area, depth] of [
    [0, 1, 1],
    [3, 0, 1],
    [3, 1, 0],
    [3, NaN, 1],
  ] as const)
    expect(() => crowding(plants, area, depth, 1)).toThrow(RangeError);
});

test('a warm spell is three days in a row, three degrees above what was of late', () => {
  const days = (...means: number[]) => means.map((meanC, i) => ({ day: `2026-03-0${i + 1}`, meanC }));
  expect(warmSpell(days(8, 13, 14, 15, 9), 10)).toEqual({ day: '2026-03-02', meanC: 14 });
  expect(warmSpell(days(13, 13, 12.9, 13, 13), 10)).toBeNull();
  expect(warmSpell(days(20, 20), 10)).toBeNull();
  expect(warmSpell([], 10)).toBeNull();
});

test('from clean to sick, and what is held apart last', () => {
  const plant = (id: string, change: Partial<ToWalk> = {}): ToWalk => ({
    id,
    at: null,
    plantedOn: '2026-01-01',
    sheltered: true,
    lastLookOn: null,
    caseLookOn: null,
    catching: false,
    sick: false,
    quarantineLookOn: null,
    risk: 0.2,
    feared: null,
    firstSights: [],
    ...change,
  });
  const all = [
    plant('apart', { quarantineLookOn: '2026-07-20' }),
    plant('catching', { sick: true, catching: true }),
    plant('clean'),
    plant('sick', { sick: true }),
    plant('young', { plantedOn: '2026-07-10' }),
  ];
  expect(cleanToSick(all, '2026-07-18')).toEqual(['young', 'clean', 'sick', 'catching', 'apart']);
});
