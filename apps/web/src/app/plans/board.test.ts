import fc from 'fast-check';
import { BoardScale } from './board';

const scale = new BoardScale('2026-07-18', 28);

test('a half-day lies in the middle of its half, and comes back from there', () => {
  expect(scale.at({ date: '2026-07-18', slot: 'morning' })).toBeCloseTo(0.5 / 56, 12);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 55 }), (slot) => {
      const at = scale.halfDayAt((slot + 0.5) / 56);
      expect(scale.halfDayAt(scale.at(at))).toEqual(at);
    }),
  );
});

test.each([
  [-0.4, { date: '2026-07-18', slot: 'morning' }],
  [1.7, { date: '2026-08-14', slot: 'evening' }],
])('beside the board, at %d, it is the nearest half-day', (share, at) => expect(scale.halfDayAt(share)).toEqual(at));

test('steps go over evenings and end at the edges', () => {
  const first = { date: '2026-07-18', slot: 'morning' as const };
  expect(scale.after(first, 1)).toEqual({ date: '2026-07-18', slot: 'evening' });
  expect(scale.after(first, 3)).toEqual({ date: '2026-07-19', slot: 'evening' });
  expect(scale.after(first, -1)).toBeUndefined();
  expect(scale.after(first, 56)).toBeUndefined();
});

test('a stretch is cut off at the edges, and none of it is none', () => {
  expect(scale.stretch('2026-07-01', '2026-07-19')).toEqual({ left: 0, width: 2 / 28 });
  expect(scale.stretch('2026-08-14', '2026-09-30')?.left).toBeCloseTo(27 / 28, 12);
  expect(scale.stretch('2026-06-01', '2026-07-17')).toBeUndefined();
});
