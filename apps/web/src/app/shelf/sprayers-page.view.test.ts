import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { SprayersPage } from './sprayers-page';
import { sprayerSays } from './sprayer-words';

const sprayer = {
  id: 'back',
  version: 3,
  name: 'Back sprayer',
  holdsL: 12,
  newFlowLPerMin: 0.8,
  calibrations: [{ on: '2026-04-11', litres: 1.84, seconds: 120, metres: 40, widthM: 1.2, plants: null }],
  endedOn: null,
};
const page = async () => {
  const saved: unknown[][] = [];
  const records = { save: (...write: unknown[]) => Promise.resolve(void saved.push(write)) };
  return {
    saved,
    ...(await show(SprayersPage, {}, { garden: { sprayers: [sprayer] }, providers: [{ provide: Records, useValue: records }] })),
  };
};

test('what a sprayer gives, and that its nozzle is worn', async () => {
  const { text } = await page();
  expect(text()).toContain('It holds 12 l.');
  expect(text()).toContain('920 ml in a minute, 3.83 l on 100 m²');
  expect(text()).toContain('15 % more than when new: replace it');
});

test.each([
  [0.92, 'as good as new'],
  [1.2, 'less than when new: clean nozzle and filter'],
])('against %d l/min when new', (newFlowLPerMin, words) => {
  const says = sprayerSays({ ...sprayer, newFlowLPerMin }, 'metric', '2026-07-18');
  expect(says.map(({ text }) => text).join(' ')).toContain(words);
});

test('one that was never measured says so', () => {
  expect(sprayerSays({ ...sprayer, calibrations: [] }, 'us', '2026-07-18')).toEqual([{ text: 'Not measured yet.', care: false }]);
});

test('a measure joins the others; one that says too little is asked for more, and loses nothing', async () => {
  const { press, type, text, saved } = await page();
  await press('Measure it');
  await type(/^Water that went out/, '2');
  await press('Keep the measure');
  expect(text()).toContain('Say how long it took');
  await type(/^Walked/, '50');
  await press('Keep the measure');
  expect(text()).toContain('belong together');
  expect(saved).toEqual([]);
  await type(/^Wide/, '1');
  await press('Keep the measure');
  const [subject, id, version, value] = saved[0] as [string, string, number, typeof sprayer];
  expect([subject, id, version]).toEqual(['sprayers', 'back', 3]);
  expect(value.calibrations).toHaveLength(2);
  expect(value.calibrations[1]).toEqual({ on: '2026-07-18', litres: 2, seconds: null, metres: 50, widthM: 1, plants: null });
});

test('a sprayer without a name or a size is not kept', async () => {
  const { press, type, saved } = await page();
  await press('Keep it');
  await type(/^What you call it/, 'Jug');
  await type(/^It holds/, '0');
  await press('Keep it');
  expect(saved).toEqual([]);
  await type(/^It holds/, '1.5');
  await press('Keep it');
  expect(saved[0]?.[3]).toEqual({ name: 'Jug', holdsL: 1.5, newFlowLPerMin: null, calibrations: [], endedOn: null });
});
