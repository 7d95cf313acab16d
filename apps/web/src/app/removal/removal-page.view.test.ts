import type { GardenContents } from '@field-nurse/contract';
import { fireEvent, waitFor } from '@testing-library/dom';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { now, place, plantingRecord, sickness, today } from '../testing/test-garden';
import { RemovalPage } from './removal-page';

const whiteRot = { ...sickness, diagnoses: [{ on: '2026-07-01', conditions: ['allium-white-rot'], why: '' }] };
const begun: GardenContents['removals'][number] = {
  id: 'out',
  version: 2,
  caseId: 'rust',
  plantingId: 'leeks',
  startedOn: today,
  plants: 20,
  reported: '',
  done: [],
  photos: [],
  endedOn: null,
  note: '',
};

interface Save {
  readonly subject: string;
  readonly id: string;
  readonly version: number;
  readonly value: Record<string, unknown>;
}

async function removal(garden: Partial<GardenContents> = {}, { canWrite = true, refuses = false } = {}) {
  const saved: Save[] = [];
  const keep = (...all: Save[]) =>
    refuses ? Promise.reject(new ApiError(422, 'invalid', 'There is no room left for it.')) : Promise.resolve(void saved.push(...all));
  const records = {
    saveOrQueue: (subject: string, id: string, version: number, value: Record<string, unknown>) => keep({ subject, id, version, value }),
    saveAllOrKeep: (writes: readonly Save[]) => keep(...writes),
  };
  const shown = await show(
    RemovalPage,
    { case: 'rust' },
    {
      canWrite,
      garden: { cases: [whiteRot], ...garden },
      person: 'Wren',
      providers: [{ provide: Records, useValue: records }],
    },
  );
  await waitFor(() => expect(shown.text()).toContain('Taking it out'));
  const ticks = () => [...shown.element.querySelectorAll<HTMLButtonElement>('[role=checkbox]')];
  const titles = () => ticks().map((one) => one.getAttribute('aria-label'));
  return { ...shown, saved, ticks, titles };
}

const everyStep = async () => {
  const { ticks } = await removal({ removals: [begun] });
  return ticks().length;
};
const doneSteps = ['photograph', 'wear', 'damp', 'bag', 'lift', 'soil', 'litter', 'dispose', 'tools', 'clothes', 'watch'].map((step) => ({
  step,
  at: now,
  by: 'Asa',
}));

test('it begins with as many plants as there are, and with no more', async () => {
  const { page, press, saved, text } = await removal();
  expect(text()).toContain(`${doneSteps.length} steps`);
  fireEvent.input(page.getByLabelText('How many plants'), { target: { value: '400' } });
  await press('Begin');
  expect(saved).toMatchObject([{ subject: 'removals', version: 0, value: { plants: 20, startedOn: today, done: [], endedOn: null } }]);
});

test.each([
  ['0', 1],
  ['-3', 1],
  ['3.4', 3],
  ['', 1],
])('“%s” plants are %d', async (typed, plants) => {
  const { page, press, saved } = await removal();
  fireEvent.input(page.getByLabelText('How many plants'), { target: { value: typed } });
  await press('Begin');
  expect(saved[0]!.value['plants']).toBe(plants);
});

test('a rot of the ground takes earth with it, and its tools are disinfected by parts and minutes', async () => {
  const { titles, text } = await removal({ removals: [begun] });
  expect(await everyStep()).toBe(doneSteps.length);
  expect(titles()[0]).toMatch(/photo/i);
  expect(text()).toContain('one part to 9 of water, for 10 minutes');
  expect(text()).toContain('It must act for 10 minutes.');
  expect(text()).toContain('a spade wide and deep');
  expect(text()).not.toContain('Call first');
});

test('a step is ticked with its time and who did it, and taken back by a second tick', async () => {
  const first = await removal({ removals: [begun] });
  fireEvent.click(first.ticks()[1]!);
  await waitFor(() => expect(first.saved).toHaveLength(1));
  expect(first.saved[0]).toMatchObject({ id: 'out', version: 2, value: { done: [{ step: 'wear', at: now, by: 'Wren' }] } });
  const again = await removal({ removals: [{ ...begun, done: [{ step: 'wear', at: now, by: 'Wren' }] }] });
  expect(again.ticks()[1]!.getAttribute('aria-checked')).toBe('true');
  expect(again.text()).toContain('Done 18 Jul, 10:30, Wren');
  fireEvent.click(again.ticks()[1]!);
  await waitFor(() => expect(again.saved).toHaveLength(1));
  expect(again.saved[0]!.value['done']).toEqual([]);
});

test('it ends only once every step is done', async () => {
  const finish = (element: HTMLElement) =>
    [...element.querySelectorAll('button')].find((one) => one.textContent.includes('It is out'))!.disabled;
  expect(finish((await removal({ removals: [{ ...begun, done: doneSteps.slice(1) }] })).element)).toBe(true);
  expect(finish((await removal({ removals: [{ ...begun, done: doneSteps }] })).element)).toBe(false);
});

test('all out: the case is closed as removed, and the planting ends', async () => {
  const { press, saved, text } = await removal({ removals: [{ ...begun, done: doneSteps }] });
  expect(text()).toContain('closed for 15 years');
  await press('It is out: close the case');
  expect(saved.map(({ subject, version }) => [subject, version])).toEqual([
    ['removals', 2],
    ['cases', 1],
    ['plantings', 1],
  ]);
  expect(saved[0]!.value['endedOn']).toBe(today);
  expect(saved[1]!.value).toMatchObject({ closedOn: today, outcome: 'removed' });
  expect(saved[2]!.value).toMatchObject({ plants: 20, events: [...plantingRecord.events, { kind: 'ended', on: today }] });
});

test('some out: the planting goes on with the others', async () => {
  const { press, saved } = await removal({ removals: [{ ...begun, plants: 3, done: doneSteps }] });
  await press('It is out: close the case');
  expect(saved[2]!.value).toMatchObject({ plants: 17, events: plantingRecord.events });
});

test('what is refused is said, and nothing is lost of what was typed', async () => {
  const { press, element } = await removal({ removals: [{ ...begun, done: doneSteps }] }, { refuses: true });
  await press('It is out: close the case');
  expect(element.querySelector('[role=alert]')!.textContent).toContain('There is no room left for it.');
});

test('where it must be reported, calling comes first, and what was said is kept', async () => {
  const ringRot = { ...sickness, diagnoses: [{ on: '2026-07-01', conditions: ['ring-rot'], why: '' }] };
  const potatoes = { ...plantingRecord, host: 'potato' };
  const { titles, text, page, saved } = await removal({ cases: [ringRot], plantings: [potatoes], removals: [begun] });
  expect(text()).toContain('Call first.');
  expect(titles()[0]).toMatch(/call/i);
  fireEvent.change(page.getByLabelText(/Whom you told/), { target: { value: ' The office: wait for a letter ' } });
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(saved[0]!.value['reported']).toBe('The office: wait for a letter');
});

test('its kin in the same place is looked at before what stands elsewhere; what it does not take is not named', async () => {
  const other = (id: string, host: string, placeId: string) => ({ ...plantingRecord, id, host, placeId, cultivar: '' });
  const { element } = await removal({
    places: [place, { ...place, id: 'far', name: 'Far bed' }],
    plantings: [
      plantingRecord,
      other('far-onions', 'onion', 'far'),
      other('near-onions', 'onion', 'bed'),
      other('lettuce', 'lettuce', 'bed'),
    ],
  });
  const named = [...element.querySelectorAll('.sources li a')].map((one) => one.getAttribute('href'));
  expect(named.indexOf('/g/g/plantings/near-onions')).toBeGreaterThanOrEqual(0);
  expect(named.indexOf('/g/g/plantings/near-onions')).toBeLessThan(named.indexOf('/g/g/plantings/far-onions'));
  expect(named).not.toContain('/g/g/plantings/lettuce');
});

test('who only looks begins nothing and ticks nothing', async () => {
  expect((await removal({}, { canWrite: false })).element.querySelector('button')).toBeNull();
  const { ticks } = await removal({ removals: [begun] }, { canWrite: false });
  expect(ticks().every(({ disabled }) => disabled)).toBe(true);
});
