import type { CompanionFacts, NeedyPlanting } from '.';
import { companionsNow } from '.';

const marigold: CompanionFacts = {
  id: 'marigold',
  plants: ['marigold'],
  for: ['whitefly'],
  beside: ['solanaceae'],
  settings: [],
  begin: [4, 5],
  months: [5, 6, 7],
  reachM: 3,
  efficacy: [10, 40],
};
const box = (left: number) => ({ left, top: 0, right: left + 2, bottom: 2 });
const planting = (id: string, host: string, left: number | null, change: Partial<NeedyPlanting> = {}): NeedyPlanting => ({
  id,
  placeId: id,
  host,
  family: host === 'tomato' ? 'solanaceae' : 'asteraceae',
  setting: 'outdoor',
  troubles: ['whitefly'],
  bounds: left === null ? null : box(left),
  ...change,
});

test('one that stands within reach serves; beyond it, it does not', () => {
  const now = (left: number) => companionsNow([marigold], [planting('t', 'tomato', 0), planting('m', 'marigold', left)], 6)[0]!;
  // Between edges: two metres wide, so that five from edge to edge is three apart.
  expect(now(5)).toMatchObject({ when: 'stands', serves: [{ planting: 't', standing: ['m'] }] });
  expect(now(5.1)).toMatchObject({ when: 'works-now', serves: [{ planting: 't', standing: [] }] });
});

test('where nothing is drawn the same place is near', () => {
  const undrawn = [planting('t', 'tomato', null, { placeId: 'bed' }), planting('m', 'marigold', null, { placeId: 'bed' })];
  expect(companionsNow([marigold], undrawn, 6)[0]!.when).toBe('stands');
  expect(companionsNow([marigold], [planting('t', 'tomato', null), planting('m', 'marigold', null)], 6)[0]!.when).toBe('works-now');
});

test('by month: begun, at work, another time; and none where nothing is to be kept off', () => {
  const tomato = [planting('t', 'tomato', 0)];
  expect([4, 5, 7, 11].map((month) => companionsNow([marigold], tomato, month)[0]!.when)).toEqual([
    'begin-now',
    'begin-now',
    'works-now',
    'later',
  ]);
  expect(companionsNow([marigold], [planting('t', 'tomato', 0, { troubles: ['blight'] })], 6)).toEqual([]);
  expect(companionsNow([marigold], [planting('l', 'lettuce', 0)], 6)).toEqual([]);
  expect(companionsNow([{ ...marigold, settings: ['greenhouse'] }], tomato, 6)).toEqual([]);
});

test('the more it spares, and the more it serves, the earlier it is named', () => {
  const better = { ...marigold, id: 'better', plants: [], efficacy: [30, 60] as const };
  const wide = { ...marigold, id: 'wide', plants: [], beside: ['solanaceae', 'asteraceae'] };
  const all = [planting('t', 'tomato', 0), planting('u', 'tomato', 9), planting('l', 'lettuce', 20), planting('k', 'lettuce', 30)];
  // Fifty for four plantings, ninety for two, fifty for two.
  expect(companionsNow([marigold, better, wide], all, 6).map(({ companion }) => companion)).toEqual(['wide', 'better', 'marigold']);
});
