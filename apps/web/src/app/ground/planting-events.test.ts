import { plantingOn } from '@field-nurse/core/ground';
import { lastingOn, withLasting } from './planting-events';

const today = '2026-07-18';
const state = (events: Parameters<typeof withLasting>[0], day = today) => plantingOn({ placeId: 'p', setting: 'outdoor', events }, day);

test('a form that says “in flower” begins a flowering, and one that changes its day moves it', () => {
  const begun = withLasting([], 'flowering', { from: today, until: null }, today);
  expect(state(begun).inFlower).toBe(true);
  const earlier = withLasting(begun, 'flowering', { from: '2026-07-01', until: null }, today);
  expect(earlier).toEqual([{ kind: 'flowering', on: '2026-07-01', until: null }]);
});

test('what is over stays when it begins anew', () => {
  const first = [{ kind: 'flowering' as const, on: '2026-05-01', until: '2026-05-20' }];
  expect(lastingOn(first, 'flowering', today)).toBeNull();
  expect(withLasting(first, 'flowering', { from: today, until: null }, today)).toHaveLength(2);
});

test('taken away, it ended yesterday; what had not begun is gone', () => {
  const ended = withLasting([{ kind: 'flowering', on: '2026-07-01', until: null }], 'flowering', null, today);
  expect([state(ended).inFlower, state(ended, '2026-07-17').inFlower]).toEqual([false, true]);
  expect(withLasting([{ kind: 'harvest', on: '2026-09-01', until: null }], 'harvest', null, today)).toEqual([]);
  expect(withLasting([{ kind: 'harvest', on: today, until: null }], 'harvest', null, today)).toEqual([]);
});

test('the harvest that goes on is shown before the next; the other kind is left alone', () => {
  const events = [
    { kind: 'harvest' as const, on: '2026-09-01', until: null },
    { kind: 'harvest' as const, on: '2026-07-10', until: '2026-07-20' },
    { kind: 'flowering' as const, on: '2026-07-01', until: null },
  ];
  expect(lastingOn(events, 'harvest', today)).toEqual({ from: '2026-07-10', until: '2026-07-20' });
  expect(withLasting(events, 'harvest', null, today).filter(({ kind }) => kind === 'flowering')).toHaveLength(1);
});
