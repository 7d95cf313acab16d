import type { GardenContents } from '@field-nurse/contract';
import { show } from '../testing/show';
import { place, plantingRecord, sickness, summary } from '../testing/test-garden';
import { CompanionsPanel } from './companions-panel';

const planted = (id: string, host: string, change: object = {}) => ({ ...plantingRecord, id, host, cultivar: '', ...change });

async function panel(garden: Partial<GardenContents>) {
  const shown = await show(CompanionsPanel, {}, { garden: { cases: [], ...garden } });
  const rows = () =>
    [...shown.element.querySelectorAll('section:first-of-type li')].map((one) => one.textContent.replace(/\s+/g, ' ').trim());
  const row = (name: string) => rows().find((one) => one.startsWith(name));
  return { ...shown, rows, row };
}

const tomato = { ...plantingRecord, id: 'tomato', host: 'tomato', placeId: place.id };
const tunnel = { ...place, kind: 'tunnel' as const, setting: 'greenhouse' as const };

test('what may be set beside what grows, with how well it is tested', async () => {
  const { text } = await show(CompanionsPanel, {}, { garden: { places: [tunnel], plantings: [tomato], cases: [] } });
  expect(text()).toContain('French marigold among tomatoes works this month');
  expect(text()).toMatch(/Beside tomato: keeps off .*whitefly, within 2 m/);
  expect(text()).toContain('fairly tested');
  expect(text()).toContain('10 to 40 %');
});

test('one that stands there is said to stand, and whom it serves', async () => {
  const marigold = { ...tomato, id: 'marigold', host: 'marigold' };
  const { text } = await show(CompanionsPanel, {}, { garden: { places: [tunnel], plantings: [tomato, marigold], cases: [] } });
  expect(text()).toContain('French marigold among tomatoes stands');
});

test('beside cabbage there is what cabbage pests mind, with what it spares, by evidence', async () => {
  const { row, text } = await panel({ plantings: [planted('cabbage', 'cabbage')] });
  expect(text()).toContain('Set beside each other');
  const strip = row('Sweet alyssum in the row');
  expect(strip).toContain('Beside cabbage');
  expect(strip).toContain('mealy cabbage aphid');
  expect(strip).toContain('within 10 m');
  expect(strip).toContain('10 to 35 %');
});

test('what is too late to begin is folded away, and not offered', async () => {
  const { element, text } = await panel({ plantings: [planted('cabbage', 'cabbage')] });
  expect(text()).toContain('Set beside each other');
  const folded = element.querySelector('details');
  expect(folded?.textContent).toContain('Would work now, had it been begun in time');
  // Clover is undersown in spring; it is July.
  expect(folded?.textContent).toContain('Low clover between the rows');
});

test('what stands there already is said to stand', async () => {
  const { element, text } = await panel({ plantings: [planted('beans', 'broad-bean'), planted('edge', 'nasturtium')] });
  expect(text()).toContain('Set beside each other');
  const stands = [...element.querySelectorAll('.when.stands')].map((one) => one.closest('li')!.textContent);
  expect(stands.some((words) => words.includes('Nasturtiums at the edge') && words.includes('broad bean'))).toBe(true);
});

test('what stands in another place of unknown distance does not count as beside', async () => {
  const { element } = await panel({
    places: [place, { ...place, id: 'far', name: 'Far bed' }],
    plantings: [planted('beans', 'broad-bean'), planted('edge', 'nasturtium', { placeId: 'far' })],
  });
  expect([...element.querySelectorAll('.when.stands')].map((one) => one.closest('li')!.textContent)).toEqual([]);
});

test('in the south the months are turned round', async () => {
  const at = (latitude: number) => panel({ garden: { ...summary, latitude, longitude: 175 }, plantings: [planted('cabbage', 'cabbage')] });
  expect((await at(40)).text()).toContain('Set beside each other');
  // July is winter there: nothing is set beside cabbages.
  expect((await at(-40)).text()).toBe('');
});

test('a trouble that was had brings the kinds that resist it', async () => {
  const { element, text } = await panel({
    plantings: [planted('leeks', 'leek')],
    cases: [{ ...sickness, diagnoses: [{ on: '2026-07-01', conditions: ['leek-rust'], why: '' }] }],
  });
  expect(text()).toContain('Kinds that resist what was had here');
  expect(element.querySelector('section[aria-labelledby=kinds]')!.textContent).toMatch(/resistances of leek; grow two kinds/);
});

test('where nothing grows, nothing is advised', async () => {
  const { text } = await panel({ plantings: [] });
  expect(text()).toBe('');
});
