import fc from 'fast-check';
import { judgeApplied } from './index';
import type { CardLine, LabelCard, ProductCard } from './index';
import { brokenSlowly } from './testLaw';
import type { LawCase } from './testLaw';

// Thousands of made-up labels, plantings, days and histories, each judged twice: by the law, and by a slow one that walks the calendar.

const plants = ['tomato', 'cherry-tomato', 'nightshades', 'rose', null] as const;
const troubles = ['late-blight', 'early-blight', 'leaf-mould'];
const settings = ['outdoor', 'greenhouse', 'indoor'];
const groups = [undefined, { scheme: 'FRAC', group: '11' }, { scheme: 'FRAC', group: '7' }];

const day = fc.integer({ min: 0, max: 700 }).map((days) => new Date(Date.UTC(2025, 5, 1 + days)).toISOString().slice(0, 10));
const soon = (on: string, most: number) =>
  fc.option(fc.integer({ min: 0, max: most }).map((days) => new Date(Date.parse(on) + days * 86_400_000).toISOString().slice(0, 10)));
const some = <T>(...of: readonly T[]) => fc.constantFrom(...of);
const card = (id: string) =>
  fc.record({
    id: fc.constant(id),
    name: fc.constant(id),
    settings: fc.subarray(settings),
    onEaten: fc.boolean(),
    preHarvestDays: fc.nat(20),
    preHarvestOn: fc.array(fc.record({ host: some('tomato', 'nightshades', 'rose'), days: fc.nat(20) }), { maxLength: 2 }),
    repeatDays: fc.option(
      fc.nat(14).map((least) => [least, least + 3]),
      { nil: undefined },
    ),
    seasonMax: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
    temperatureC: fc.option(fc.record({ min: fc.integer({ min: 0, max: 10 }), max: fc.integer({ min: 20, max: 30 }) }), { nil: undefined }),
    bees: some('none', 'slight', 'serious'),
    daysBeforeFlower: fc.nat(10),
    modeOfAction: some(...groups),
    kills: fc.constant([]),
    harmsHosts: fc.array(fc.record({ host: some('rose', 'nightshades'), harm: some('slight', 'serious'), why: fc.constant('it burns') }), {
      maxLength: 1,
    }),
    apartFrom: fc.array(
      fc.record({ intervention: some('copper', 'oil', 'soap'), days: fc.integer({ min: 1, max: 20 }), why: fc.constant('no') }),
      { maxLength: 1 },
    ),
    reEntryHours: fc.nat(48),
  }) satisfies fc.Arbitrary<LabelCard & { reEntryHours: number }>;
const line: fc.Arbitrary<CardLine> = fc.record({
  host: some(...plants),
  target: some(...troubles, null),
  rate: fc.option(
    fc.oneof(
      fc.integer({ min: 1, max: 40 }).map((high) => ({ low: 1, high, unit: 'ml' as const, per: { amount: 10, unit: 'l' as const } })),
      fc.integer({ min: 1, max: 9 }).map((high) => ({ low: 1, high, unit: 'l' as const, per: { amount: 1, unit: 'ha' as const } })),
      fc.integer({ min: 1, max: 4 }).map((high) => ({ low: 1, high, unit: 'percent' as const, per: null })),
    ),
  ),
  preHarvestDays: fc.option(fc.nat(20), { freq: 4 }),
  repeatDays: fc.option(fc.nat(14).map((least) => [least, least + 3])),
  seasonMax: fc.option(fc.integer({ min: 1, max: 4 })),
  settings: fc.subarray(settings, { minLength: 1 }),
});
const product: fc.Arbitrary<ProductCard> = fc.record({
  source: some('copied', 'register'),
  validUntil: fc.option(day),
  soldTo: some('amateur', 'amateur', 'unknown', 'professional'),
  reEntryHours: fc.nat(48),
  rainFastHours: fc.option(fc.nat(12)),
  temperatureC: fc.option(fc.record({ min: fc.integer({ min: 0, max: 10 }), max: fc.integer({ min: 20, max: 30 }) })),
  maxWindKmh: fc.option(fc.integer({ min: 5, max: 20 })),
  bufferM: fc.option(fc.nat(20)),
  bees: some('none', 'slight', 'serious'),
  daysBeforeFlower: fc.nat(10),
  apartFrom: fc.array(fc.record({ intervention: some('oil', 'soap'), days: fc.integer({ min: 1, max: 20 }), why: fc.constant('no') }), {
    maxLength: 1,
  }),
  // Different terms in one label can't be told apart by strictness: each label goes by one of them.
  lines: fc.array(line, { minLength: 1, maxLength: 5 }).map((lines) => {
    const kind = lines.find(({ rate }) => rate)?.rate;
    const same = (of: CardLine['rate']) => of !== null && of.unit === kind?.unit;
    return lines.map((one) => ({ ...one, rate: same(one.rate) ? one.rate : null }));
  }),
});
const lawCase: fc.Arbitrary<LawCase> = day.chain((on) =>
  fc.record({
    typical: card('copper'),
    other: card('oil'),
    product: fc.option(product, { nil: undefined, freq: 6 }),
    host: some<LawCase['host']>(
      { id: 'tomato', family: 'nightshades' },
      { id: 'cherry-tomato', family: 'nightshades', like: 'tomato' },
      { id: 'rose', family: 'roses' },
    ),
    planting: fc.record({
      setting: some(...settings),
      eaten: fc.boolean(),
      inFlower: fc.boolean(),
      nextFlowerOn: soon(on, 15),
      nextHarvestOn: soon(on, 25),
    }),
    against: fc.subarray(troubles, { maxLength: 2 }),
    on: fc.constant(on),
    others: fc.array(
      fc.record({
        intervention: some('copper', 'oil', 'soap'),
        appliedOn: fc.integer({ min: -5, max: 400 }).map((ago) => new Date(Date.parse(on) - ago * 86_400_000).toISOString().slice(0, 10)),
      }),
      { maxLength: 6 },
    ),
    seasonStart: some('01-01', '07-01', '10-15'),
    temperatureC: fc.option(fc.integer({ min: -5, max: 40 }), { nil: undefined }),
    windKmh: fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined }),
    ml: fc.integer({ min: 1, max: 60 }),
    waterL: fc.integer({ min: 1, max: 40 }),
    areaM2: fc.integer({ min: 1, max: 200 }),
  }),
);

test('two thousand cases, judged as by the calendar', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(lawCase, (one) => {
      const { typical, other, product: label, windKmh, temperatureC, ml, waterL, areaM2, ...rest } = one;
      const { lines } = judgeApplied({
        ...rest,
        typical,
        product: label,
        cards: new Map([typical, other].map((each) => [each.id, each])),
        weather: { windKmh, temperatureC },
        used: { product: { amount: ml, unit: 'ml' }, waterL, areaM2 },
      });
      const broken = lines.filter(({ state }) => state === 'broken').map(({ line: name }) => name);
      for (const name of broken) seen.set(name, (seen.get(name) ?? 0) + 1);
      expect(broken.sort()).toEqual([...brokenSlowly(one)].sort());
    }),
    { numRuns: 2000, seed: 14 },
  );
  // A line that is never broken would not have been tested.
  expect(
    [...seen]
      .filter(([, times]) => times >= 20)
      .map(([name]) => name)
      .sort(),
  ).toEqual(
    ['apart', 'bees', 'crop', 'eaten', 'host', 'interval', 'licence', 'pre-harvest', 'rate', 'season-max', 'settings', 'target', 'temperature', 'validity', 'wind'], // prettier-ignore
  );
});
