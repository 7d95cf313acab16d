import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { WorkTimes } from './work-times';

const wren = { id: 'w', version: 2, person: 'Wren', minutesPerDay: 90, exceptions: [{ on: '2026-07-19', minutes: 0 }], endedOn: null };
const gone = { ...wren, id: 't', person: 'Tam', version: 5, exceptions: [], endedOn: '2026-07-01' };
const hours = async (workTimes: (typeof wren | typeof gone)[], canWrite = true) => {
  const saved: unknown[][] = [];
  const providers = [{ provide: Records, useValue: { save: (...write: unknown[]) => Promise.resolve(void saved.push(write)) } }];
  return { saved, ...(await show(WorkTimes, {}, { garden: { workTimes }, canWrite, providers })) };
};

test('nobody is known: every day is long enough', async () => {
  expect((await hours([gone])).text()).toContain('every day is long enough');
});

test('a day is tapped out, and given back', async () => {
  const { press, saved } = await hours([wren]);
  await press(/^Wren has no time on Mon/);
  await press(/^Wren has no time on Sun/);
  expect(saved.map((write) => (write[3] as typeof wren).exceptions)).toEqual([
    [
      { on: '2026-07-19', minutes: 0 },
      { on: '2026-07-20', minutes: 0 },
    ],
    [],
  ]);
});

test('somebody is taken out, and comes back as who they were: a name is there once', async () => {
  const { press, type, saved } = await hours([wren, gone]);
  await press('Take Wren out');
  expect(saved[0]?.slice(0, 3)).toEqual(['workTimes', 'w', 2]);
  expect(saved[0]?.[3]).toMatchObject({ endedOn: '2026-07-18' });
  await type('Name', 'Tam');
  await press('Add');
  expect(saved[1]?.slice(0, 3)).toEqual(['workTimes', 't', 5]);
  expect(saved[1]?.[3]).toMatchObject({ person: 'Tam', minutesPerDay: 120, endedOn: null });
});

test('a day has so many minutes', async () => {
  const { press, type, saved } = await hours([]);
  await type('Name', 'Isa');
  await type('Minutes a day', '2000');
  await press('Add');
  expect(saved).toEqual([]);
});

test('who may only look sees the days and turns none', async () => {
  const { element } = await hours([wren], false);
  expect([...element.querySelectorAll('button')].every(({ disabled }) => disabled)).toBe(true);
});
