import type { DrillItem, Review } from '.';
import { drillOrder, dueTimes } from '.';

const hour = 3_600_000;
const after = (from: string, to: string) => (new Date(to).getTime() - new Date(from).getTime()) / hour;
const at = (day: number, time = '08:00:00') => `2026-07-${String(day).padStart(2, '0')}T${time}.000Z`;

test('what was missed comes back within minutes, what is known after days, and later each time', () => {
  const missed: Review = { item: 'a', at: at(1), grade: 'again' };
  expect(after(at(1), dueTimes([missed]).get('a')!)).toBeLessThan(0.2);
  const known: Review[] = [{ item: 'a', at: at(1), grade: 'easy' }];
  const first = after(at(1), dueTimes(known).get('a')!);
  expect(first).toBeGreaterThan(24);
  const again: Review[] = [...known, { item: 'a', at: at(10), grade: 'good' }];
  expect(after(at(10), dueTimes(again).get('a')!)).toBeGreaterThan(first);
  // In whatever order they were synced.
  expect(dueTimes([...again].reverse())).toEqual(dueTimes(again));
});

test('due first, then new, then the rest; kinds take turns', () => {
  const items: DrillItem[] = ['a1', 'a2', 'a3', 'b1', 'b2'].map((id) => ({ id, kind: id[0]! }));
  const reviews: Review[] = [
    { item: 'a1', at: at(1), grade: 'easy' },
    { item: 'a2', at: at(9), grade: 'again' },
    { item: 'b1', at: at(8), grade: 'again' },
  ];
  expect(drillOrder(items, reviews, at(10)).map(({ id }) => id)).toEqual(
    // Known a week ago, it is due too, but what was missed has waited longer.
    ['b1', 'a1', 'a2', 'a3', 'b2'],
  );
  expect(drillOrder(items, [], at(10)).map(({ id }) => id)).toEqual(['a1', 'b1', 'a2', 'b2', 'a3']);
  expect(drillOrder([], reviews, at(10))).toEqual([]);
});
