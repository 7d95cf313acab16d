import { cardDifferences, cardFor, linesFor, usedRate } from './index';
import type { CardLine, CardRate, LabelCard, ProductCard } from './index';

const typical: LabelCard & { reEntryHours: number; rainFastHours: number } = {
  id: 'copper',
  name: 'Copper',
  settings: ['outdoor'],
  onEaten: true,
  preHarvestDays: 14,
  preHarvestOn: [{ host: 'potato', days: 21 }],
  repeatDays: [7, 10],
  seasonMax: 4,
  temperatureC: { min: 6, max: 28 },
  bees: 'slight',
  daysBeforeFlower: 0,
  kills: [],
  harmsHosts: [],
  apartFrom: [{ intervention: 'soap', days: 3, why: 'leaves burn' }],
  reEntryHours: 24,
  rainFastHours: 2,
};

const line = (of: Partial<CardLine> = {}): CardLine => ({
  host: null,
  target: null,
  rate: null,
  preHarvestDays: 3,
  repeatDays: null,
  seasonMax: null,
  settings: ['outdoor'],
  ...of,
});
const pack = (lines: CardLine[], of: Partial<ProductCard> = {}): ProductCard => ({
  source: 'copied',
  validUntil: null,
  soldTo: 'amateur',
  reEntryHours: 6,
  rainFastHours: null,
  temperatureC: null,
  maxWindKmh: null,
  bufferM: null,
  bees: 'none',
  daysBeforeFlower: 0,
  apartFrom: [],
  lines,
  ...of,
});
const tomato = { id: 'tomato', family: 'nightshades' };
const cherry = { id: 'cherry-tomato', like: 'tomato', family: 'nightshades' };

describe('the lines that a planting falls under', () => {
  const lines = [
    line({ seasonMax: 9 }),
    line({ host: 'nightshades', target: 'early-blight', seasonMax: 1 }),
    line({ host: 'tomato', seasonMax: 2 }),
    line({ host: 'tomato', target: 'late-blight', seasonMax: 3 }),
  ];
  const found = (plant: { id: string; family: string; like?: string }, ...targets: string[]) => {
    const answer = linesFor(lines, plant, targets);
    return 'lines' in answer ? answer.lines.map(({ seasonMax }) => seasonMax) : answer.lacks;
  };

  test('the plant before its family, and the trouble before any trouble', () => {
    expect(found(tomato, 'late-blight')).toEqual([3]);
    expect(found(tomato, 'leaf-mould')).toEqual([2]);
    expect(found(tomato, 'late-blight', 'leaf-mould')).toEqual([3, 2]);
    expect(found({ id: 'aubergine', family: 'nightshades' }, 'early-blight')).toEqual([1]);
    expect(found({ id: 'aubergine', family: 'nightshades' }, 'late-blight')).toEqual([9]);
    expect(found({ id: 'rose', family: 'roses' }, 'late-blight')).toEqual([9]);
  });

  test('a plant that it is like counts before the family; no known trouble takes all lines of the plant', () => {
    expect(found(cherry, 'early-blight')).toEqual([2]);
    expect(found(tomato)).toEqual([2, 3]);
  });

  test('what the label lacks', () => {
    const named = lines.filter(({ host }) => host).filter(({ target }) => target);
    expect(linesFor(named, { id: 'rose', family: 'roses' }, ['late-blight'])).toEqual({ lacks: 'crop' });
    expect(linesFor(named, tomato, ['leaf-mould'])).toEqual({ lacks: 'target' });
    expect(linesFor(named, tomato, ['leaf-mould', 'late-blight'])).toEqual({ lines: [named[1]] });
  });
});

describe('the card of a product in hand', () => {
  test('what its label says goes before the typical figures, which stand in where it says nothing', () => {
    const card = cardFor(typical, pack([line({ preHarvestDays: 5, seasonMax: 2 })], { maxWindKmh: 12 }), { ...tomato, id: 'potato' }, []);
    expect(card).toMatchObject({ preHarvestDays: 5, preHarvestOn: [], seasonMax: 2, reEntryHours: 6, bees: 'none', maxWindKmh: 12 });
    expect(card).toMatchObject({ repeatDays: [7, 10], temperatureC: { min: 6, max: 28 }, rainFastHours: 2 });
    expect(card.apartFrom).toEqual(typical.apartFrom);
  });

  test('of several lines that apply, the strictest figure of each', () => {
    const rate = (high: number): CardRate => ({ low: 1, high, unit: 'g', per: { amount: 1, unit: 'l' } });
    const card = cardFor(
      typical,
      pack([
        line({ target: 'a', preHarvestDays: 1, repeatDays: [5, 14], seasonMax: 6, settings: ['outdoor', 'greenhouse'], rate: rate(3) }),
        line({ target: 'b', preHarvestDays: 9, repeatDays: [8, 9], seasonMax: 3, rate: { ...rate(20), per: { amount: 10, unit: 'l' } } }),
      ]),
      tomato,
      ['a', 'b'],
    );
    expect(card).toMatchObject({ preHarvestDays: 9, repeatDays: [8, 14], seasonMax: 3, settings: ['outdoor'], onEaten: true });
    expect(card.allowedRate).toEqual({ low: 1, high: 20, unit: 'g', per: { amount: 10, unit: 'l' } });
  });

  test('a line without days to harvest is not for plants that are eaten', () => {
    expect(cardFor(typical, pack([line({ preHarvestDays: null })]), tomato, []).onEaten).toBe(false);
  });

  test('who it is sold to, until when, and what it lacks', () => {
    const old = pack([line({ host: 'rose' })], { soldTo: 'professional', validUntil: '2026-01-31' });
    expect(cardFor(typical, old, tomato, [])).toMatchObject({ licensed: true, validUntil: '2026-01-31', lacks: 'crop' });
  });
});

describe('the rate of a label', () => {
  const inWater: CardRate = { low: 10, high: 20, unit: 'ml', per: { amount: 10, unit: 'l' } };
  const used = (ml: number, rest: object) => ({ product: { amount: ml, unit: 'ml' as const }, ...rest });

  test.each<[string, CardRate, ReturnType<typeof used>, string]>([
    ['at the most', inWater, used(10, { waterL: 5 }), 'kept'],
    ['a drop over it', inWater, used(10.001, { waterL: 5 }), 'broken'],
    ['by ground', { ...inWater, per: { amount: 1, unit: 'ha' } }, used(0.002, { areaM2: 1 }), 'kept'],
    ['by ground, over it', { ...inWater, per: { amount: 1, unit: 'ha' } }, used(0.0021, { areaM2: 1 }), 'broken'],
    ['by the plant', { ...inWater, per: { amount: 1, unit: 'plant' } }, used(61, { plants: 3 }), 'broken'],
    ['a percentage', { low: 1, high: 2, unit: 'percent', per: null }, used(20, { waterL: 1 }), 'kept'],
    ['a percentage, over it', { low: 1, high: 2, unit: 'percent', per: null }, used(20.1, { waterL: 1 }), 'broken'],
    ['US measures', { low: 1, high: 2, unit: 'tsp-us', per: { amount: 1, unit: 'gal-us' } }, used(9.85, { waterL: 3.785411784 }), 'kept'],
    ['water that was not noted', inWater, used(10, {}), 'open'],
    ['a mass against a volume', { ...inWater, unit: 'g' }, used(10, { waterL: 5 }), 'open'],
    ['by length, which nobody noted', { ...inWater, per: { amount: 1, unit: 'm' } }, used(10, { waterL: 5 }), 'open'],
  ])('%s', (_, rate, amount, state) => {
    expect(usedRate(rate, amount)).toBe(state);
  });
});

describe('what one card says otherwise than another', () => {
  const before = pack([line({ host: 'tomato', preHarvestDays: 3 }), line({ host: 'rose' })]);

  test('nothing, where settings stand in another order', () => {
    const settings = ['outdoor', 'greenhouse'];
    expect(cardDifferences(pack([line({ settings })]), pack([line({ settings: [...settings].reverse() })]))).toEqual([]);
  });

  test('figures in general and of a line, a line that is new and one that is gone', () => {
    const after = pack([line({ host: 'tomato', preHarvestDays: 7, seasonMax: 2 }), line({ host: 'leek' })], { reEntryHours: 24 });
    expect(cardDifferences(before, after).map(({ line: of, field, before: was, after: is }) => [of?.host, field, was, is])).toEqual([
      [undefined, 'reEntryHours', 6, 24],
      ['tomato', 'preHarvestDays', 3, 7],
      ['tomato', 'seasonMax', null, 2],
      ['leek', 'added', null, after.lines[1]],
      ['rose', 'removed', before.lines[1], null],
    ]);
  });

  test('of two lines that name the same, the first with the first', () => {
    const twice = pack([line({ seasonMax: 1 }), line({ seasonMax: 2 })]);
    expect(cardDifferences(twice, twice)).toEqual([]);
    expect(cardDifferences(twice, pack([line({ seasonMax: 1 })]))).toMatchObject([{ field: 'removed' }]);
  });
});
