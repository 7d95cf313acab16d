import type { GardenContents } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { place, today } from '../testing/test-garden';
import { GoingIn } from './going-in';

type GroundEvent = GardenContents['groundEvents'][number];

const resting = { ...place, id: 'resting', name: 'White rot corner' };
const wentIn: GroundEvent = {
  id: 'in',
  version: 1,
  placeId: 'resting',
  happenedOn: '2026-07-16',
  kind: 'entered',
  condition: null,
  person: 'Asa',
  things: ['boots', 'fork'],
  disinfectant: '',
  minutes: null,
  note: '',
};
const cleaned: GroundEvent = {
  ...wentIn,
  id: 'clean',
  happenedOn: '2026-07-17',
  kind: 'cleaned',
  disinfectant: 'Hot water, 60 °C',
  minutes: 20,
};

async function goingIn(groundEvents: readonly GroundEvent[] = [], { canWrite = true, refuses = false } = {}) {
  const saved: unknown[][] = [];
  const garden: Partial<GardenContents> = { places: [place, resting], groundEvents: [...groundEvents] };
  const save = (...write: unknown[]) =>
    refuses ? Promise.reject(new ApiError(503, 'away', 'The server is not there.')) : Promise.resolve(void saved.push(write));
  const shown = await show(
    GoingIn,
    { resting: ['resting'] },
    { garden, canWrite, person: 'Wren', providers: [{ provide: Records, useValue: { save } }] },
  );
  const pressed = () => [...shown.element.querySelectorAll('[aria-pressed=true]')].map((one) => one.textContent.trim());
  return { ...shown, saved, pressed };
}

test('only places that rest are gone into', async () => {
  const { element } = await goingIn();
  expect([...element.querySelectorAll('select')[0]!.options].map(({ text }) => text)).toEqual(['White rot corner']);
});

test('who went in is written down with what they took, and not with what they cleaned it with', async () => {
  const { press, saved, pressed } = await goingIn();
  expect(pressed()).toEqual(['boots', 'spade']);
  await press('spade');
  await press('hoe');
  expect(pressed()).toEqual(['boots', 'hoe']);
  await press('I went in');
  const [subject, , version, value] = saved[0]!;
  expect([subject, version]).toEqual(['groundEvents', 0]);
  expect(value).toMatchObject({
    placeId: 'resting',
    kind: 'entered',
    happenedOn: today,
    person: 'Wren',
    things: ['boots', 'hoe'],
    disinfectant: '',
    minutes: null,
  });
});

test('each way to clean says how long it must act; another way begins its clock anew', async () => {
  const { press, saved, type, text } = await goingIn();
  expect(text()).toContain('It must act for a minute.');
  expect(text()).toContain('no flame near');
  await press(/Start the clock|Begin|clock/i);
  await type('Cleaned with', 'Household bleach, 1 part in 10');
  expect(text()).toContain('It must act for 10 minutes.');
  expect(text()).toContain('never with acid or ammonia');
  await press('Cleaned, it acted long enough');
  expect(saved[0]![3]).toMatchObject({ kind: 'cleaned', disinfectant: 'Household bleach, 1 part in 10', minutes: 10 });
});

test('washing alone has no clock', async () => {
  const { type, text } = await goingIn();
  await type('Cleaned with', 'Washed with a brush and clean water');
  expect(text()).not.toContain('It must act');
});

test('the newest stands first, told in whole sentences', async () => {
  const lines = [...(await goingIn([wentIn, cleaned])).element.querySelectorAll('.fn-list li')].map((one) => one.textContent.trim());
  expect(lines).toEqual([
    expect.stringMatching(/^17 Jul Asa cleaned boots, fork after White rot corner: Hot water, 60 °C, 20 min\.$/i) as string,
    expect.stringContaining('Asa went into White rot corner with boots, fork.') as string,
  ]);
});

test('without a name or a thing it is a sentence still', async () => {
  const { text } = await goingIn([
    { ...wentIn, person: '', things: [] },
    { ...cleaned, person: '', things: [] },
  ]);
  expect(text()).toContain('Somebody went into White rot corner.');
  expect(text()).toContain('Somebody cleaned what went in after White rot corner');
});

test('what is refused is said', async () => {
  const { press, element } = await goingIn([], { refuses: true });
  await press('I went in');
  expect(element.querySelector('[role=alert]')!.textContent).toContain('The server is not there.');
});

test('who only looks reads the rules and the list, and writes nothing', async () => {
  const { element, text } = await goingIn([wentIn], { canWrite: false });
  expect(element.querySelector('form')).toBeNull();
  expect(text()).toContain('Healthy places first');
  expect(text()).toContain('Asa went into');
});
