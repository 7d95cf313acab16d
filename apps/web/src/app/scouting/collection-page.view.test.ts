import { Router } from '@angular/router';
import type { GardenContents } from '@field-nurse/contract';
import { waitFor } from '@testing-library/dom';
import { Calc } from '../calc/calc';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { place, plantingRecord, sickness } from '../testing/test-garden';
import { GardenWeather } from '../weather/garden-weather';
import { CollectionPage } from './collection-page';

const gone: unknown[][] = [];
// There is nowhere to go in a test.
Router.prototype.navigate = (...to) => Promise.resolve(gone.push(to) > 0);

const shelf = { ...place, id: 'shelf', name: 'Window shelf', kind: 'windowsill' as const, setting: 'indoor' as const, areaM2: 0.6 };
const pot = (id: string, host: string, plants = 1) => ({
  ...plantingRecord,
  ...{ id, host, plants, placeId: 'shelf', cultivar: '', setting: 'indoor' as const, events: [] },
});
const pots = [pot('sick-monstera', 'monstera'), pot('ficus', 'ficus', 3), pot('orchid', 'orchid', 2)];
const mites = { ...sickness, plantingId: 'sick-monstera', diagnoses: [{ on: '2026-07-01', conditions: ['spider-mite'], why: '' }] };

async function collection(garden: Partial<GardenContents> = {}, canWrite = true) {
  const saved: unknown[][] = [];
  const record = (...write: unknown[]) => Promise.resolve(void saved.push(write));
  const shown = await show(
    CollectionPage,
    { place: 'shelf' },
    {
      garden: { places: [shelf], plantings: pots, cases: [mites], ...garden },
      canWrite,
      person: 'Wren',
      providers: [
        { provide: Records, useValue: { save: record, saveOrKeep: record, saveOrQueue: record, keep: record } },
        {
          provide: Calc,
          useValue: {
            whereToLook: (places: readonly object[]) => Promise.resolve(places.map(() => ({ risk: 0.2, feared: [], looks: [] }))),
          },
        },
        { provide: GardenWeather, useValue: { measured: () => [], forecast: () => [], recent: () => undefined } },
      ],
    },
  );
  const order = () => [...shown.element.querySelectorAll('ol li')].map((one) => one.textContent.replace(/\s+/g, ' ').trim());
  return { ...shown, saved, order };
}

test('the shelf is one thing: six plants, clean ones first and the sick one last', async () => {
  const { text, order } = await collection();
  await waitFor(() => expect(text()).toContain('Window shelf'));
  expect(text()).toContain('6 plants of 3 plantings');
  expect(order()).toHaveLength(3);
  expect(order()[2]).toContain('Monstera');
  expect(order()[0]).not.toContain('Monstera');
});

test('who is sick and not held apart is to be moved; once held apart, it is not', async () => {
  expect((await collection()).text()).toContain('Move monstera elsewhere');
  const apart = pots.map((one) =>
    one.id === 'sick-monstera' ? { ...one, quarantine: { from: '2026-07-15', days: 21, looks: 3, releasedOn: null } } : one,
  );
  const { text } = await collection({ plantings: apart });
  expect(text()).toContain('held apart until');
  expect(text()).not.toContain('Move monstera elsewhere');
});

test('without an area it says what it needs', async () => {
  expect((await collection({ places: [{ ...shelf, areaM2: null }] })).text()).toContain('Give the place an area, or draw it');
});

test('nothing measured, nothing said of warmth', async () => {
  const glass = { ...shelf, kind: 'greenhouse' as const, setting: 'greenhouse' as const };
  const { text } = await collection({ places: [glass], plantings: pots.map((one) => ({ ...one, setting: 'greenhouse' as const })) });
  expect(text()).not.toContain('What the warmth wakes');
});

test('it is walked as a round, from clean to sick', async () => {
  const { press, saved } = await collection();
  await press('Check all of it');
  await waitFor(() => expect(gone).toHaveLength(1));
  const [, , , round] = saved.find(([subject]) => subject === 'scoutingRounds')!;
  const { walk, by } = round as { readonly walk: readonly string[]; readonly by: string };
  expect([walk.length, walk.at(-1), by]).toEqual([3, 'sick-monstera', 'Wren']);
  expect((gone[0]![0] as string[]).slice(0, 3)).toEqual(['/g', 'g', 'round']);
});

test('who only looks begins nothing', async () => {
  const { element } = await collection({}, false);
  expect([...element.querySelectorAll('button')].some((one) => one.textContent.includes('Check all'))).toBe(false);
});
