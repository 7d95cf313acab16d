import type { Catch, LevelledCondition, Trap } from './index';
import { checkOn, intervalsOf, levelOf, spotGroups, trapState } from './index';

const gnat: LevelledCondition = {
  id: 'fungus-gnat',
  levels: [{ measure: 'trap-per-week', act: 10, trap: 'sticky-card' }],
  threshold: { basis: 'Card counts.' },
};
const condition = (id: string) => (id === gnat.id ? gnat : undefined);
const trap: Trap = {
  id: 't',
  name: 'Card',
  kind: 'sticky-card',
  target: 'fungus-gnat',
  spots: [{ from: '2026-06-01', name: 'door' }],
  weeklyLevel: null,
  pauses: [],
  endedOn: null,
};
const reading = (checkedOn: string, count: number, change: Partial<Catch> = {}): Catch => ({
  id: checkedOn,
  trapId: 't',
  checkedOn,
  caught: [{ count }, { count: 0 }],
  emptied: true,
  ...change,
});

test.each([
  ['over the level of the library', 14, {}, 'act'],
  ['below it', 3, {}, 'leave'],
  ['over the grower’s own', 3, { weeklyLevel: 2 }, 'act'],
  ['without a level', 3, { target: null }, 'unknown'],
] as const)('%s', (_, count, change, verdict) => {
  const one = { ...trap, ...change };
  expect(trapState(one, [reading('2026-06-08', count)], condition(one.target ?? '')).verdict).toBe(verdict);
});

test('the level says what it is based on, and is for this kind of trap only', () => {
  expect(levelOf(trap, condition('fungus-gnat'))).toEqual({ act: 10, basis: 'Card counts.' });
  expect(levelOf({ ...trap, weeklyLevel: 4 }, condition('fungus-gnat'))).toEqual({ act: 4, basis: null });
  expect(levelOf({ ...trap, kind: 'slug' }, condition('fungus-gnat'))).toBeNull();
});

test('a look is due by the kind of trap: every day where something may suffer', () => {
  const today = '2026-06-20';
  expect(checkOn(trap, [reading('2026-06-15', 1)], today)).toBe('2026-06-22');
  expect(checkOn({ ...trap, kind: 'snap' }, [reading('2026-06-19', 1)], today)).toBe('2026-06-20');
  expect(checkOn(trap, [], today)).toBe('2026-06-08');
});

test('none is due while it pauses or when it is gone; after a rest the days begin anew', () => {
  const today = '2026-06-20';
  expect(checkOn({ ...trap, pauses: [{ from: '2026-06-18', until: null }] }, [], today)).toBeNull();
  expect(checkOn({ ...trap, endedOn: '2026-06-18' }, [], today)).toBeNull();
  expect(checkOn({ ...trap, pauses: [{ from: '2026-06-10', until: '2026-06-17' }] }, [reading('2026-06-08', 1)], today)).toBe('2026-06-24');
});

test('what was left in is not counted twice, and days at rest not at all', () => {
  const catches = [reading('2026-06-08', 5, { emptied: false }), reading('2026-06-15', 9)];
  expect(intervalsOf(trap, catches).map(({ caught, days }) => [caught, days])).toEqual([
    [5, 7],
    [4, 7],
  ]);
  expect(intervalsOf({ ...trap, pauses: [{ from: '2026-06-10', until: '2026-06-13' }] }, catches)[1]!.days).toBe(4);
});

test('spots are compared among traps of one kind for one trouble, and not with others', () => {
  const far = { ...trap, id: 'far', name: 'Far card' };
  const slug: Trap = { ...trap, id: 'slug', kind: 'slug', target: 'slugs' };
  const weeks = ['2026-06-08', '2026-06-15', '2026-06-22'];
  const catches = weeks.flatMap((day) => [
    reading(day, 20),
    reading(day, 1, { id: `far ${day}`, trapId: 'far' }),
    reading(day, 3, { id: `slug ${day}`, trapId: 'slug' }),
  ]);
  const groups = spotGroups([trap, far, slug], catches);
  expect(groups).toHaveLength(1);
  expect(groups[0]!.spots.map(({ spot, advice }) => [spot, advice])).toEqual([
    ['Card: door', 'keep'],
    ['Far card: door', 'move'],
  ]);
});
