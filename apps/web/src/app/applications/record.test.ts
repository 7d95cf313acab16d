import type { Product } from '@field-nurse/contract';
import { application, place, planting } from '../testing/test-garden';
import { sulphurPack } from '../testing/test-shelf';
import { choicesOf, filtered, noFilter } from './log-filter';
import { logLines } from './log-rows';
import type { LogLine } from './log-rows';
import { logTotals } from './log-totals';
import { recordDocument, usedWord } from './record-document';
import type { RecordFacts, RecordLayout } from './record-document';

const pack: Product = {
  ...sulphurPack,
  strength: { amount: 80, unit: 'percent' },
  densityGPerMl: null,
  registration: 'ON-204',
  batch: 'B7',
};
const names = { planting: () => planting, place: () => place, host: () => 'Leek', intervention: (id: string) => id };
const line = (change: Partial<LogLine>): LogLine => ({
  ...logLines([{ ...application, productId: pack.id }], undefined, names, 'UTC')[0]!,
  ...change,
});
const lines = [
  line({}),
  line({ id: 'b', appliedAt: '2026-07-12T18:00:00.000Z', productG: 10, appliedBy: 'Tam', why: 'again, after rain' }),
  line({ id: 'c', intervention: 'hand-pick', treatment: 'hand-pick', productId: null, productG: null, collected: 31, why: '31 grubs' }),
];

describe('a search', () => {
  test.each([
    [{ text: 'RAIN again' }, ['b']],
    [{ text: 'bed' }, ['a', 'b', 'c']],
    [{ text: 'nothing like it' }, []],
    [{ by: 'Tam' }, ['b']],
    [{ treatment: 'hand-pick' }, ['c']],
    [{ plant: 'Leek', text: 'grubs' }, ['c']],
    [{ place: 'Elsewhere' }, []],
  ])('%o finds %j', (filter, ids) => expect(filtered(lines, { ...noFilter, ...filter }).map(({ id }) => id)).toEqual(ids));
  test('offers what there is', () =>
    expect(choicesOf(lines)).toEqual({ place: ['Bed'], plant: ['Leek'], treatment: ['hand-pick', 'sulphur'], by: ['Tam', 'Wren'] }));
});

describe('sums', () => {
  const totals = (product: Product, of = lines, area: number | undefined = 20) =>
    logTotals(of, new Map([[product.id, product]]), () => area);
  test('by treatment and product: 16 g at 80 % on twice 20 m² are 12.8 g, and 3.2 kg on a hectare', () => {
    const [sulphur, picked] = totals(pack);
    expect(sulphur).toMatchObject({
      product: pack.name,
      times: 2,
      plants: 40,
      areaM2: 40,
      productG: 16,
      activeG: expect.closeTo(12.8) as number,
    });
    expect(sulphur!.activeKgPerHa).toBeCloseTo(3.2);
    expect(picked).toMatchObject({ treatment: 'hand-pick', times: 1, collected: 31, activeG: undefined, activeKgPerHa: undefined });
  });
  test('a liquid by its litres; a mass and a volume meet only through a density; no area, no hectare', () => {
    const liquid: Product = { ...pack, measuredIn: 'ml', strength: { amount: 250, unit: 'g/l' } };
    const poured = [line({ productG: null, productMl: 40 })];
    expect(totals(liquid, poured)[0]!.activeG).toBeCloseTo(10);
    expect(totals(liquid)[0]!.activeG).toBeUndefined();
    expect(totals({ ...liquid, densityGPerMl: 1.6 })[0]!.activeG).toBeCloseTo(2.5);
    expect(totals({ ...liquid, strength: { amount: 10, unit: 'percent' } }, poured)[0]!.activeG).toBeUndefined();
    expect(logTotals(poured, new Map([[liquid.id, liquid]]), () => undefined)[0]!.activeKgPerHa).toBeUndefined();
  });
  test('in words', () => {
    expect(usedWord({ productMl: 0, productG: 1234.567, productPieces: 0, collected: null })).toBe('1235 g');
    expect(usedWord({ productMl: 5, productG: 2, productPieces: 3, collected: 31 })).toBe('5 ml, 2 g, 3 pieces, 31 collected');
    expect(usedWord({ productMl: 0, productG: 0, productPieces: 0, collected: null })).toBe('–');
  });
});

describe('the record as a document', () => {
  const facts: RecordFacts = {
    garden: 'Osier Reach',
    period: '2026',
    printedOn: '2026-07-18',
    lines,
    totals: logTotals(lines, new Map([[pack.id, pack]]), () => 20),
    products: new Map([[pack.id, pack]]),
    when: (instant) => instant.slice(0, 16),
    day: (day) => day,
    amount: ({ productG }) => (productG === null ? '' : `${productG} g`),
    water: () => '2 l',
    weather: () => 'overcast',
  };
  const text = (layout: RecordLayout, change: Partial<RecordFacts> = {}) => JSON.stringify(recordDocument({ ...facts, ...change }, layout));

  test('oldest first, with sums, in every layout', () => {
    for (const layout of ['home', 'market', 'certified'] as const) {
      const told = text(layout);
      expect(told.indexOf('2026-07-02T18:00')).toBeLessThan(told.indexOf('2026-07-12T18:00'));
      expect(told).toContain('12.8 g');
    }
  });
  test('registration, batch, licences and signatures are for those who inspect', () => {
    expect(text('home')).not.toMatch(/ON-204|licence/);
    for (const layout of ['market', 'certified'] as const)
      for (const word of ['ON-204', 'batch B7', 'Wren, licence number', 'signature of the inspector']) expect(text(layout)).toContain(word);
    expect(text('certified')).toContain('80 percent');
  });
  test('what was not kept is told; an empty period says so', () => {
    const brokenLines = [{ line: 'interval' as const, plantingId: 'leeks', text: 'Sprayed again after 4 days; 7 are the least.' }];
    expect(text('market', { lines: [line({ brokenLines })] })).toContain('Sprayed again after 4 days');
    expect(text('market', { lines: [], totals: [] })).toContain('Nothing was applied in this period.');
  });
});
