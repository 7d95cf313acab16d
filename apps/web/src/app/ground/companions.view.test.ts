import { show } from '../testing/show';
import { planting, place } from '../testing/test-garden';
import { CompanionsPanel } from './companions-panel';

const tomato = { ...planting, id: 'tomato', host: 'tomato', placeId: place.id };
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

test('nothing is said where nothing grows', async () => {
  const { text } = await show(CompanionsPanel, {}, { garden: { places: [], plantings: [], cases: [] } });
  expect(text()).toBe('');
});
