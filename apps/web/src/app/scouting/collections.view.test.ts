import { Calc } from '../calc/calc';
import { show } from '../testing/show';
import { place, planting } from '../testing/test-garden';
import { GardenWeather } from '../weather/garden-weather';
import { CollectionPage } from './collection-page';
import { ShelfDrawing } from './shelf-drawing';

const rectangle = (x: number, y: number, width: number, depth: number) => ({ kind: 'rectangle' as const, x, y, width, depth, turn: 0 });
const room = {
  ...place,
  id: 'room',
  name: 'Garden room',
  kind: 'room' as const,
  setting: 'indoor' as const,
  shape: rectangle(5, 5, 5, 5),
  areaM2: 25,
};
const shelf = { ...room, id: 'shelf', name: 'Shelf', kind: 'bench' as const, shape: rectangle(4, 4, 2, 1.5), areaM2: 3 };
const hoya = { ...planting, id: 'hoya', host: 'hoya', placeId: 'shelf', plants: 10, plantedOn: '2025-01-01' };
const monstera = { ...planting, id: 'monstera', host: 'monstera', placeId: 'shelf', plants: 20, plantedOn: '2025-01-01' };
const garden = { places: [room, shelf], plantings: [hoya, monstera], cases: [], scoutingRounds: [], stops: [] };
const providers = [
  { provide: Calc, useValue: { whereToLook: (all: readonly unknown[]) => Promise.resolve(all.map(() => ({ risk: 0.2, feared: [] }))) } },
  { provide: GardenWeather, useValue: { measured: () => [], recent: () => undefined } },
];

test('a room with its shelf is one thing to check: who stands there, what a hand reaches, and when to come back', async () => {
  const { text, press, page } = await show(CollectionPage, { place: 'room' }, { garden, providers });
  expect(text()).toContain('30 plants of 2 plantings share its air');
  // Thirty on three square metres, a metre and a half deep.
  expect(text()).toContain('32 cm from plant to plant.');
  expect(text()).toContain('A hand reaches about 12 of 30');
  expect(text()).toMatch(/At about 20 °C, as in a lived-in room, look at all of it every \d+ days/);
  expect(text()).toMatch(/\d+ days from egg to egg/);
  await press('Both sides');
  expect(text()).toContain('A hand reaches about 24 of 30');
  expect(page.getByRole('button', { name: 'Check all of it' })).toBeTruthy();
});

test('under glass the forecast’s warm spell shortens the time between looks', async () => {
  const hours = (days: readonly string[], temperatureC: number) =>
    days.flatMap((day) => Array.from({ length: 24 }, (_, h) => ({ at: `${day}T${String(h).padStart(2, '0')}:00:00.000Z`, temperatureC })));
  const weather = {
    measured: () => hours(['2026-07-17'], 14),
    forecast: () => hours(['2026-07-19', '2026-07-20', '2026-07-21', '2026-07-22', '2026-07-23'], 22),
    recent: () => undefined,
  };
  const glass = { ...room, kind: 'greenhouse' as const, setting: 'greenhouse' as const };
  const { text } = await show(
    CollectionPage,
    { place: 'room' },
    {
      garden: { ...garden, places: [glass, shelf] },
      providers: [providers[0]!, { provide: GardenWeather, useValue: weather }],
    },
  );
  expect(text()).toContain('At about 14 °C, the mean of the last days,');
  expect(text()).toMatch(/It turns warm: about 22 °C from (19|20) Jul\. Then look every \d+ days\./);
});

test('one plant is no collection, nor is what is not there', async () => {
  const { text } = await show(CollectionPage, { place: 'room' }, { garden: { ...garden, plantings: [hoya] }, providers });
  expect(text()).toContain('Nothing to check as one');
});

test('what lies out of reach is drawn so', async () => {
  const { page, set } = await show(ShelfDrawing, { plants: 16, areaM2: 4, depthM: 2, sides: 1 });
  expect(page.getByRole('img', { name: '16 plants from above; 12 of 16 are out of reach' })).toBeTruthy();
  await set({ sides: 2 });
  expect(page.getByRole('img', { name: '16 plants from above; 8 of 16 are out of reach' })).toBeTruthy();
});
