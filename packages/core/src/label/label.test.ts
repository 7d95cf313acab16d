import fc from 'fast-check';
import { countedAs, earlierApplications, harmTo, judgeByLabel, preHarvestFor, rateLine } from './index';
import type { EarlierApplication, LabelCard, LabelledPlanting, LabelLine, LabelQuestion } from './index';

const card: LabelCard = {
  id: 'copper',
  name: 'Copper',
  settings: ['outdoor', 'greenhouse'],
  onEaten: true,
  preHarvestDays: 7,
  preHarvestOn: [{ host: 'alliums', days: 21 }],
  daysBeforeFlower: 5,
  kills: [],
  repeatDays: [7, 10],
  seasonMax: 2,
  temperatureC: { min: 6, max: 28 },
  bees: 'serious',
  harmsHosts: [
    { host: 'alliums', harm: 'serious', why: 'it burns' },
    { host: 'pea', harm: 'slight', why: 'it marks' },
  ],
  apartFrom: [{ intervention: 'soap', days: 3, why: 'leaves burn' }],
};
const oil: LabelCard = { ...card, id: 'oil', name: 'Oil', apartFrom: [{ intervention: 'copper', days: 14, why: 'it spots' }] };
const potatoes: LabelledPlanting = {
  host: { id: 'potato', family: 'nightshades' },
  setting: 'outdoor',
  eaten: true,
  inFlower: false,
  flowersInDays: 60,
  daysToHarvest: 30,
};
const ask = (planting: Partial<LabelledPlanting> = {}, rest: Partial<LabelQuestion> = {}, of: Partial<LabelCard> = {}) =>
  judgeByLabel(
    { ...card, ...of },
    {
      planting: { ...potatoes, ...planting },
      earlier: [],
      weather: { temperatureC: 18 },
      cards: new Map([card, oil].map((one) => [one.id, one])),
      ...rest,
    },
  );
const not = (state: 'broken' | 'open', lines: ReturnType<typeof ask>) => lines.filter((one) => one.state === state).map(({ line }) => line);
const used = (intervention: string, daysAgo: number, thisSeason = true): EarlierApplication => ({ intervention, daysAgo, thisSeason });

test('a use within its card keeps every line, each told once', () => {
  const lines = ask();
  expect(lines.every(({ state }) => state === 'kept')).toBe(true);
  expect(new Set(lines.map(({ line }) => line)).size).toBe(16);
});

test.each<[LabelLine, Partial<LabelledPlanting>, Partial<LabelQuestion>, Partial<LabelCard>, object]>([
  ['settings', { setting: 'indoor' }, {}, {}, { setting: 'indoor' }],
  ['eaten', {}, {}, { onEaten: false }, {}],
  ['pre-harvest', { daysToHarvest: 6 }, {}, {}, { days: 7, left: 6 }],
  ['interval', {}, { earlier: [used('copper', 9, false), used('copper', 6)] }, {}, { interval: 7, daysAgo: 6, wait: 1 }],
  ['season-max', {}, { earlier: [used('copper', 60), used('copper', 30)] }, {}, { max: 2, used: 2 }],
  ['temperature', {}, { weather: { temperatureC: 20, maxC: 29 } }, {}, { most: 28, now: 29 }],
  ['temperature', {}, { weather: { temperatureC: 5 } }, {}, { least: 6, now: 5 }],
  ['bees', { inFlower: true }, {}, {}, {}],
  ['host', { host: { id: 'leek', family: 'alliums' } }, {}, {}, { why: 'it burns' }],
  ['apart', {}, { earlier: [used('soap', 2)] }, {}, { other: 'soap', days: 3, daysAgo: 2, why: 'leaves burn' }],
  ['apart', {}, { earlier: [used('oil', 13)] }, {}, { other: 'Oil', days: 14, daysAgo: 13, why: 'it spots' }],
])('the line “%s” alone is broken, and says what it allows', (line, planting, question, of, facts) => {
  const lines = ask(planting, question, of);
  expect(not('broken', lines)).toEqual([line]);
  expect(lines.find((one) => one.line === line)!.facts).toEqual(facts);
});

test('on its very day each limit is kept', () => {
  const atLimits = ask(
    { daysToHarvest: 7 },
    { earlier: [used('copper', 7), used('soap', 3), used('oil', 14)], weather: { temperatureC: 28 } },
  );
  expect(not('broken', atLimits)).toEqual([]);
});

test('what nobody knows is open, and no leave', () => {
  expect(not('open', ask({ daysToHarvest: undefined }, { weather: {} }))).toEqual(['pre-harvest', 'temperature']);
  // Plants that are not eaten are never picked.
  expect(not('open', ask({ eaten: false, daysToHarvest: undefined }))).toEqual([]);
});

test('uses of the season before count for the interval and not for the maximum', () => {
  const earlier = earlierApplications(
    [
      { intervention: 'copper', appliedOn: '2026-06-27' },
      { intervention: 'copper', appliedOn: '2026-06-10' },
      { intervention: 'copper', appliedOn: '2026-07-04' },
    ],
    '2026-07-02',
    '07-01',
  );
  expect(earlier).toEqual([used('copper', 5, false), used('copper', 22, false)]);
  expect(not('broken', ask({}, { earlier }))).toEqual(['interval']);
});

test('more on record never makes a broken line kept again', () => {
  const uses = fc.array(
    fc.record({ intervention: fc.constantFrom('copper', 'soap', 'oil', 'water'), daysAgo: fc.nat(400), thisSeason: fc.boolean() }),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(uses, uses, (some, more) => {
      const before = not('broken', ask({}, { earlier: some }));
      expect(not('broken', ask({}, { earlier: [...some, ...more] }))).toEqual(expect.arrayContaining(before));
    }),
  );
});

test('a rate is held against the maximum across units: 2 US teaspoons are 9.86 ml', () => {
  expect(rateLine({ amount: 2, unit: 'tsp-us' }, { amount: 10, unit: 'ml' })).toBe('kept');
  expect(rateLine({ amount: 2, unit: 'tsp-us' }, { amount: 9.8, unit: 'ml' })).toBe('broken');
  expect(rateLine({ amount: 1, unit: 'oz' }, { amount: 28, unit: 'g' })).toBe('broken');
  expect(rateLine({ amount: 1, unit: 'oz' }, { amount: 28, unit: 'ml' })).toBe('other-kind');
  expect(rateLine({ amount: 1e6, unit: 'l' }, undefined)).toBe('kept');
});

test('days to harvest go by the plant first, then by one that it is like, then by its family', () => {
  const leek = { id: 'leek', family: 'alliums' };
  expect(preHarvestFor(card, potatoes.host)).toBe(7);
  expect(preHarvestFor(card, leek)).toBe(21);
  expect(preHarvestFor({ ...card, preHarvestOn: [...card.preHarvestOn, { host: 'onion', days: 28 }] }, { ...leek, like: 'onion' })).toBe(
    28,
  );
});

test("a season's maximum counts products of one mode of action together, multi-site ones each for itself", () => {
  const acting = (id: string, scheme: string, group: string, countsAs?: string) => ({
    ...card,
    id,
    modeOfAction: { scheme, group },
    countsAs,
  });
  expect(countedAs(acting('a', 'IRAC', '4A'))).toBe('IRAC 4A');
  expect(countedAs(acting('b', 'FRAC', 'M02'))).toBe('b');
  expect(countedAs(acting('c', 'FRAC', 'BM02'))).toBe('c');
  expect(countedAs(acting('d', 'FRAC', 'M01', 'copper'))).toBe('copper');
  const [one, other] = [acting('one', 'IRAC', '4A'), acting('other', 'IRAC', '4A')];
  const lines = judgeByLabel(
    { ...one, seasonMax: 1, harmsHosts: [] },
    {
      planting: potatoes,
      earlier: [used('other', 60)],
      weather: { temperatureC: 18 },
      cards: new Map([one, other].map((each) => [each.id, each])),
    },
  );
  expect(not('broken', lines)).toEqual(['season-max']);
});

test('harm that depends on leaves goes by whether it is bare; in doubt it is in leaf', () => {
  const peach = { ...potatoes, host: { id: 'peach', family: 'rosaceae' } };
  const burns = { ...card, harmsHosts: [{ host: 'peach', harm: 'serious' as const, why: 'leaves burn', when: 'in-leaf' as const }] };
  expect(harmTo({ ...peach, bare: true }, burns, 'serious')).toBeUndefined();
  expect(harmTo(peach, burns, 'serious')?.why).toBe('leaves burn');
});

test('what is left of a spray kills what is set out, for as long as the card says', () => {
  const wasps = { ...card, id: 'wasps', release: 'animals' as const, repeatDays: undefined, seasonMax: undefined };
  const deadly = { ...oil, apartFrom: [], kills: [{ what: 'animals' as const, days: 5 }] };
  const after = (daysAgo: number) =>
    not(
      'broken',
      judgeByLabel(wasps, {
        planting: potatoes,
        earlier: [used('oil', daysAgo)],
        weather: { temperatureC: 18 },
        cards: new Map([wasps, deadly].map((one) => [one.id, one])),
      }),
    );
  expect([after(4), after(5)]).toEqual([['apart'], []]);
});

test('soon in flower: not within the days that the card names, and open where nobody knows', () => {
  expect(not('broken', ask({ flowersInDays: 4 }))).toEqual(['bees']);
  expect(not('broken', ask({ flowersInDays: 5 }))).toEqual([]);
  expect(not('open', ask({ flowersInDays: undefined }))).toEqual(['bees']);
});
