import type { GardenContents, Trap } from '@field-nurse/contract';
import { waitFor } from '@testing-library/dom';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { place, today } from '../testing/test-garden';
import { AroundPage } from './around-page';

const store = { ...place, id: 'store', name: 'Feed store', kind: 'store' as const };
const snap: Trap = {
  id: 'snap',
  version: 1,
  placeId: 'store',
  kind: 'snap',
  name: 'Snap trap by the bins',
  target: null,
  spots: [{ from: '2026-06-01', name: 'behind the bins', x: null, y: null }],
  setOn: '2026-06-01',
  checkDays: 1,
  renewDays: null,
  pauses: [],
  endedOn: null,
  note: '',
} as unknown as Trap;

async function around(garden: Partial<GardenContents> = {}, { canWrite = true, refuses = false } = {}) {
  const saved: unknown[][] = [];
  const saveOrKeep = (...write: unknown[]) =>
    refuses ? Promise.reject(new ApiError(422, 'invalid', 'That can’t be.')) : Promise.resolve(void saved.push(write));
  const shown = await show(AroundPage, {}, { garden, canWrite, providers: [{ provide: Records, useValue: { saveOrKeep } }] });
  await waitFor(() => expect(shown.element.querySelector('h2')).not.toBeNull());
  return { ...shown, saved };
}

test('no poison is advised, and whoever has no store is told where to add one', async () => {
  const { text, element } = await around();
  expect(text()).toContain('No poison is advised here');
  expect(text()).toContain('No snap or fly trap stands.');
  expect([...element.querySelectorAll('a')].some((one) => one.getAttribute('href') === '/g/g/ground/new-place')).toBe(true);
});

test('a trap is looked into with one tap: empty it stays set, with a catch it is emptied', async () => {
  const { text, press, saved } = await around({ places: [place, store], traps: [snap] });
  expect(text()).toContain('Feed store');
  expect(text()).toContain('behind the bins');
  expect(text()).not.toContain('is a place too');
  await press('Empty, still set');
  expect(saved[0]!.slice(0, 1)).toEqual(['catches']);
  expect(saved[0]![3]).toEqual({ trapId: 'snap', checkedOn: today, caught: [], emptied: false, note: '' });
  await press('One more: rats or mice in it');
  await press('One more: rats or mice in it');
  await press('Emptied and set again');
  expect(saved[1]![3]).toMatchObject({ caught: [{ what: 'rats or mice', count: 2 }], emptied: true });
  // Counted once: the next look begins at none.
  expect(text()).toContain('Empty, still set');
});

test('what was caught in four weeks is summed, and no longer than that', async () => {
  const caught = (id: string, checkedOn: string, count: number) => ({
    ...{ id, version: 1, trapId: 'snap', checkedOn, emptied: true, note: '' },
    caught: [{ what: 'rats or mice', count }],
  });
  const catches = [caught('a', '2026-07-10', 2), caught('b', '2026-06-21', 1), caught('c', '2026-06-20', 5)];
  expect((await around({ places: [place, store], traps: [snap], catches: catches })).text()).toContain('3 caught in four weeks');
});

test('what is refused is said, and the count stays', async () => {
  const { press, text, element } = await around({ places: [place, store], traps: [snap] }, { refuses: true });
  await press('One more: rats or mice in it');
  await press('Emptied and set again');
  expect(element.querySelector('[role=alert]')!.textContent).toContain('That can’t be.');
  expect(text()).toContain('Emptied and set again');
});

test('who only looks sees what is due, and has nothing to press', async () => {
  const { element } = await around({ places: [place, store], traps: [snap] }, { canWrite: false });
  expect([...element.querySelectorAll('.traps button')]).toEqual([]);
});
