import type { Catch, Trap } from '@field-nurse/contract';
import { provideRouter } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { today } from '../testing/test-garden';
import { TrapPage } from './trap-page';
import { TrapsPage } from './traps-page';

const card: Trap = {
  id: 'card',
  version: 3,
  placeId: 'bed',
  name: 'Yellow card',
  kind: 'sticky-card',
  target: 'onion-thrips',
  spots: [{ from: '2026-06-01', name: 'north end', x: null, y: null }],
  weeklyLevel: 50,
  pauses: [],
  note: '',
  endedOn: null,
};
const read = (checkedOn: string, count: number): Catch => ({
  id: checkedOn,
  version: 1,
  trapId: 'card',
  checkedOn,
  caught: [{ what: 'onion thrips', count }],
  emptied: true,
  note: '',
});

/** A page of traps, and what it writes. */
async function page(part: typeof TrapPage | typeof TrapsPage, garden: object, refusal?: ApiError) {
  const saved: { subject: string; id: string; version: number; value: Record<string, unknown>; said: string }[] = [];
  const saveOrKeep = async (subject: string, id: string, version: number, value: Record<string, unknown>, said: string) => {
    if (refusal) throw refusal;
    saved.push({ subject, id, version, value, said });
  };
  const inputs = part === TrapPage ? { trap: 'card' } : {};
  const shown = await show<TrapPage | TrapsPage>(part, inputs, {
    garden,
    providers: [{ provide: Records, useValue: { saveOrKeep } }, provideRouter([])],
  });
  return { ...shown, saved };
}

test('what is in it is counted from none, by what was in it before', async () => {
  const { press, type, saved, text } = await page(TrapPage, { traps: [card], catches: [read('2026-07-11', 40)] });
  expect(text()).toContain('Sticky card for onion thrips · Bed, north end');
  expect(text()).toContain('7 a week, below the level of 50 your own level');
  await press('One more: onion thrips');
  await press('One more: onion thrips');
  await type('Note', ' by the path ');
  await press('Note this reading');
  expect(saved).toMatchObject([
    {
      subject: 'catches',
      version: 0,
      said: 'Reading noted.',
      value: { trapId: 'card', checkedOn: today, caught: [{ what: 'onion thrips', count: 2 }], emptied: true, note: 'by the path' },
    },
  ]);
});

test('something else that was in it is added once', async () => {
  const { type, press, saved } = await page(TrapPage, { traps: [card], catches: [] });
  for (const what of ['hoverflies', 'hoverflies', '  ']) {
    await type('Something else', what);
    await press('Add');
  }
  await press('Note this reading');
  expect(saved[0]!.value['caught']).toEqual([
    { what: 'onion thrips', count: 0 },
    { what: 'hoverflies', count: 1 },
  ]);
});

test('a reading is corrected, or left as it was', async () => {
  const { press, saved, text } = await page(TrapPage, { traps: [card], catches: [read('2026-07-11', 40)] });
  await press(/^Correct the reading of/);
  expect(text()).toContain('Correct the reading of');
  await press('Leave it');
  expect(text()).toContain('What is in it?');
  await press(/^Correct the reading of/);
  await press('One more: onion thrips');
  await press('Save the correction');
  expect(saved).toMatchObject([{ id: '2026-07-11', version: 1, said: 'Reading corrected.', value: { caught: [{ count: 41 }] } }]);
});

test('a trap is moved by name, rests, works again and is taken away', async () => {
  const { press, type, saved, text } = await page(TrapPage, { traps: [card], catches: [] });
  await press('Move it');
  await press('Move it here');
  expect(text()).toContain('Say in a word or two where it stands now.');
  expect(saved).toEqual([]);
  await type('Where it stands now, in words', 'south end');
  await press('Move it here');
  await press('Let it rest');
  await press('Take it away');
  expect(saved.map(({ said, version }) => [said, version])).toEqual([
    ['Trap moved.', 3],
    ['The trap rests.', 3],
    ['Trap taken away.', 3],
  ]);
  expect(saved[0]!.value['spots']).toEqual([card.spots[0], { from: today, name: 'south end', x: null, y: null }]);
  expect(saved[1]!.value['pauses']).toEqual([{ from: today, until: null }]);
  expect(saved[2]!.value['endedOn']).toBe(today);
});

test('a rest that began today and ends today is none', async () => {
  const resting = { ...card, pauses: [{ from: today, until: null }] };
  const { press, saved, text } = await page(TrapPage, { traps: [resting], catches: [] });
  expect(text()).toContain('days at rest do not count');
  await press('Set it again');
  expect(saved[0]).toMatchObject({ said: 'The trap works again.', value: { pauses: [] } });
});

test('a refusal is said, and the count stays', async () => {
  const { press, text } = await page(TrapPage, { traps: [card], catches: [] }, new ApiError(422, 'rule', 'Not before it was set.'));
  await press('One more: onion thrips');
  await press('Note this reading');
  expect(text()).toContain('Not before it was set.');
  expect(text()).toMatch(/onion thrips − 1 \+/);
});

test('all traps: what wants a look comes first, what is over its level is said, and spots are judged', async () => {
  const south = { ...card, id: 'south', name: 'South card', spots: [{ from: '2026-06-01', name: 'south end', x: null, y: null }] };
  const gone = { ...card, id: 'gone', name: 'Old card', endedOn: '2026-07-01' };
  const { text, page: on } = await page(TrapsPage, {
    traps: [card, south, gone],
    catches: [read('2026-07-17', 4), { ...read('2026-07-08', 900), id: 's', trapId: 'south' }],
  });
  expect(on.getAllByRole('link').map(({ textContent }) => textContent.trim())).toEqual(
    expect.arrayContaining(['South card', 'Yellow card', 'Old card']),
  );
  expect(text().indexOf('South card')).toBeLessThan(text().indexOf('Yellow card'));
  expect(text()).toContain('One wants a look');
  expect(text()).toMatch(/Which spots catch.*south end .* a day/);
  expect(text()).toMatch(/Taken away Old card/);
});

test('without a trap it says what traps are for; without a place, what is needed first', async () => {
  expect((await page(TrapsPage, { traps: [] })).text()).toContain('Set the first trap');
  expect((await page(TrapsPage, { places: [], traps: [] })).text()).toContain('A trap stands in a place');
});
