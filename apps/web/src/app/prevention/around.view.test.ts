import type { GardenContents, Trap } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { place } from '../testing/test-garden';
import { AroundPage } from './around-page';

const box: Trap = {
  id: 'box',
  version: 1,
  placeId: 'store',
  name: 'Box by the bins',
  kind: 'snap',
  target: null,
  spots: [{ from: '2026-07-01', name: 'west wall', x: null, y: null }],
  weeklyLevel: null,
  pauses: [],
  note: '',
  endedOn: null,
};
const store = { ...place, id: 'store', name: 'Feed store', kind: 'store' as const };

function started(garden: Partial<GardenContents> = {}, { canWrite = true, refuses = false } = {}) {
  const kept: unknown[][] = [];
  const saveOrKeep = (...all: unknown[]) =>
    refuses ? Promise.reject(new ApiError(422, 'invalid', 'That can’t be.')) : Promise.resolve(void kept.push(all));
  const providers = [{ provide: Records, useValue: { saveOrKeep } }];
  return { kept, shown: show(AroundPage, {}, { garden: { places: [place, store], traps: [box], ...garden }, canWrite, providers }) };
}

test('a trap is looked into by a tap, and what was in it is counted', async () => {
  const { kept, shown } = started();
  const { press, text } = await shown;
  expect(text()).toContain('Feed store, west wall');
  await press('Empty, still set');
  await press('One more: rats or mice in it');
  await press('Emptied and set again');
  expect(kept.map(([subject, , , value]) => [subject, value])).toEqual([
    ['catches', { trapId: 'box', checkedOn: '2026-07-18', caught: [], emptied: false, note: '' }],
    ['catches', { trapId: 'box', checkedOn: '2026-07-18', caught: [{ what: 'rats or mice', count: 1 }], emptied: true, note: '' }],
  ]);
});

test('droppings are cleaned away safely, without poison; what is found is noted', async () => {
  const { kept, shown } = started();
  const { text, element, rest } = await shown;
  expect(text()).toContain('No poison is advised here');
  expect(text()).toContain('Never sweep or vacuum them dry');
  const card = [...element.querySelectorAll('fn-task-card')].find((one) => one.textContent.includes('Droppings, runs and gnawing'))!;
  [...card.querySelectorAll('button')].find((one) => one.textContent.includes('Wants work'))!.click();
  await rest();
  expect(kept.map(([subject, , , value]) => [subject, value])).toMatchObject([
    ['preventionTasks', { placeId: 'store', task: 'droppings', outcome: 'wants-work' }],
  ]);
});

test('flies on a wall are counted against their level', async () => {
  const coop = { ...place, id: 'coop', name: 'Coop', kind: 'housing' as const };
  const { type, text, press } = await show(AroundPage, {}, { garden: { places: [coop], traps: [] } });
  expect(text()).toContain('Flies on a metre of wall');
  await type('Flies in a minute', '30');
  expect(text()).toContain('A brood is out');
  await type('Flies in a minute', '4');
  expect(text()).toContain('Few enough: leave it.');
  await expect(press('Emptied and set again')).rejects.toThrow('No button');
});

test('where nothing is stored it says how to begin', async () => {
  const { text } = await show(AroundPage);
  expect(text()).toContain('No snap or fly trap stands');
  expect(text()).toContain('A feed store, a shed or a hen house is a place too');
});

test('what was caught in four weeks is summed, and no longer than that', async () => {
  const caught = (id: string, checkedOn: string, count: number) => ({
    ...{ id, version: 1, trapId: 'box', checkedOn, emptied: true, note: '' },
    caught: [{ what: 'rats or mice', count }],
  });
  const catches = [caught('a', '2026-07-10', 2), caught('b', '2026-06-21', 1), caught('c', '2026-06-20', 5)];
  expect((await started({ catches }).shown).text()).toContain('3 caught in four weeks');
});

test('what is refused is said, and the count stays', async () => {
  const { press, text, element } = await started({}, { refuses: true }).shown;
  await press('One more: rats or mice in it');
  await press('Emptied and set again');
  expect(element.querySelector('[role=alert]')!.textContent).toContain('That can’t be.');
  expect(text()).toContain('Emptied and set again');
});

test('who only looks sees what is due, and has nothing to press', async () => {
  const { element } = await started({}, { canWrite: false }).shown;
  expect([...element.querySelectorAll('.traps button')]).toEqual([]);
});
