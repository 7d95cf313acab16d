import type { PreventionTask } from '@field-nurse/contract';
import { place, today } from '../testing/test-garden';
import { areaOf, countDue, mulchFor, walkPlaces } from './prevention-list';
import { reference } from '../testing/reference';

const { tasks, conditions } = reference;
const done = (task: string, doneOn: string, outcome: PreventionTask['outcome'] = 'fine'): PreventionTask => ({
  id: task,
  version: 1,
  placeId: 'bed',
  task,
  doneOn,
  outcome,
  amount: null,
  note: '',
});
const ask = (change: Partial<Parameters<typeof walkPlaces>[0]> = {}) =>
  walkPlaces({ tasks, round: 'prevention', places: [place], preventionTasks: [], today, hemisphere: 'north', ...change });

test('every task is tied to troubles that the library knows', () => {
  const known = new Set(conditions.map(({ id }) => id));
  for (const { prevents } of tasks) expect(prevents.every((id) => known.has(id))).toBe(true);
});

test('what was never looked at is due, by the kind of place and the season', () => {
  const [walk] = ask();
  const due = walk!.tasks.filter(({ isDue }) => isDue).map(({ task }) => task);
  expect(due).toEqual(expect.arrayContaining(['mulch-depth', 'debris', 'mesh-sound', 'water-reach', 'tools-clean']));
  expect(due).not.toContain('heap-hot');
  expect(due).not.toContain('rotation');
});

test('half a year later in the south', () => {
  const due = ask({ hemisphere: 'south' })[0]!.tasks.filter(({ isDue }) => isDue);
  expect(due.map(({ task }) => task)).toContain('rotation');
  expect(due.map(({ task }) => task)).not.toContain('mulch-depth');
});

test('answered, it waits for its interval; what wants work is asked for again in three days', () => {
  const dueOn = (preventionTask: PreventionTask) =>
    ask({ preventionTasks: [preventionTask] })[0]!.tasks.find(({ task }) => task === preventionTask.task)!.dueOn;
  expect(dueOn(done('debris', '2026-07-18'))).toBe('2026-08-01');
  expect(dueOn(done('debris', '2026-07-18', 'wants-work'))).toBe('2026-07-21');
});

test('a place that is given up is not walked to; the one with most to do comes first', () => {
  expect(ask({ places: [{ ...place, endedOn: '2026-07-01' }] })).toEqual([]);
  const bench = { ...place, id: 'bench', kind: 'bench' as const, name: 'A bench' };
  const walk = ask({ places: [bench, place] });
  expect(walk.map((one) => one.place.id)).toEqual(['bed', 'bench']);
  expect(countDue(walk[0]!)).toBeGreaterThan(countDue(walk[1]!));
});

test('mulch to bring or take away, where the area is known', () => {
  const depth = tasks.find(({ id }) => id === 'mulch-depth')!;
  const drawn = { ...place, shape: { kind: 'rectangle', x: 0, y: 0, width: 5, depth: 2, turn: 0 } as const };
  expect(areaOf(drawn)).toBe(10);
  expect(mulchFor(drawn, depth, 1)).toEqual({ act: 'add', litres: 500 });
  expect(mulchFor({ ...place, areaM2: 10 }, depth, 10)).toEqual({ act: 'remove', litres: 400 });
  expect(mulchFor(place, depth, 1)).toBeNull();
  expect(
    mulchFor(
      drawn,
      tasks.find(({ id }) => id === 'debris')!,
      1,
    ),
  ).toBeNull();
});
