import type { LabelCard } from '@field-nurse/contract';
import { labelCard } from '@field-nurse/contract';
import fc from 'fast-check';
import { sulphurCard } from '../testing/test-shelf';
import { cardForm, fillCard, lineForm, writtenCard } from './card-form';

const written = (card: LabelCard) => {
  const form = cardForm('2026-07-18');
  fillCard(form, card);
  return { form, value: writtenCard(form, card.productId, card.photos) };
};
const { id: _, version: __, ...sulphur } = sulphurCard;

test('a copy that is opened and kept again has not changed', () => {
  const { form, value } = written(sulphurCard);
  expect(form.valid).toBe(true);
  expect(value).toEqual(sulphur);
});

const amount = fc.integer({ min: 1, max: 100_000 }).map((thousandths) => thousandths / 1000);
const line: fc.Arbitrary<LabelCard['lines'][number]> = fc
  .record({
    host: fc.constantFrom('leek', 'alliaceae', null),
    target: fc.constantFrom('leek-rust', null),
    low: amount,
    more: amount,
    unit: fc.constantFrom<'ml' | 'g' | 'percent'>('ml', 'g', 'percent'),
    per: fc.record({ amount, unit: fc.constantFrom<'l' | 'ha' | 'plant'>('l', 'ha', 'plant') }),
    hasRate: fc.boolean(),
    water: fc.option(fc.integer({ min: 1, max: 100 })),
    preHarvestDays: fc.option(fc.nat(60)),
    repeat: fc.option(fc.tuple(fc.nat(20), fc.nat(20))),
    seasonMax: fc.option(fc.integer({ min: 1, max: 12 })),
  })
  .map(({ low, more, unit, per, hasRate, water, repeat, ...rest }) => ({
    ...rest,
    rate: hasRate ? { low, high: Number((low + more).toFixed(3)), unit, per: unit === 'percent' ? null : per } : null,
    waterLPerM2: water === null ? null : water / 100,
    repeatDays: repeat ? [repeat[0], repeat[0] + repeat[1]] : null,
    settings: ['outdoor'],
    stages: '',
  }));

test('whatever a label says, its form keeps it, and the contract takes it', () => {
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 4 }), (lines) => {
      const { form, value } = written({ ...sulphurCard, lines });
      expect(form.valid).toBe(true);
      expect(value).toEqual({ ...sulphur, lines });
      expect(labelCard.safeParse({ ...value, productId: '00000000-0000-4000-8000-000000000000' }).success).toBe(true);
    }),
  );
});

describe('what is typed wrongly', () => {
  const faults = (of: object) => {
    const form = lineForm();
    form.patchValue({ preHarvestDays: 1, ...of });
    return Object.keys(form.errors ?? {});
  };

  test('a range upside down, a rate on nothing, days before picking that nobody typed', () => {
    expect(faults({})).toEqual([]);
    expect(faults({ low: 3, high: 2, perAmount: 1 })).toEqual(['order']);
    expect(faults({ least: 9, most: 7 })).toEqual(['order']);
    expect(faults({ high: 2 })).toEqual(['per']);
    expect(faults({ high: 2, unit: 'percent' })).toEqual([]);
    expect(faults({ preHarvestDays: null })).toEqual(['harvest']);
    expect(faults({ preHarvestDays: null, eaten: false })).toEqual([]);
  });

  test('one figure of a range stands for both; one end of the temperatures leaves the other open', () => {
    const form = cardForm('2026-07-18');
    expect(form.controls.reEntryHours.valid).toBe(false);
    form.patchValue({ minC: 8, reEntryHours: 4 });
    form.controls.lines.at(0).patchValue({ high: 20, perAmount: 10, least: 7, preHarvestDays: 0 });
    const value = writtenCard(form, 'p', []);
    expect(value.temperatureC).toEqual({ min: 8, max: 60 });
    expect(value.lines[0]).toMatchObject({ rate: { low: 20, high: 20 }, repeatDays: [7, 7] });
  });
});
