import type { ClinicOffer, DifferentialAnswer } from '@field-nurse/contract';
import { testsWorth } from './tests-worth';

const cause = (condition: string, kind: string, probability: number) => ({ condition, name: condition, kind, probability });
const answer = {
  ranked: [cause('wilt', 'fungus', 0.5), cause('drought', 'water', 0.3), cause('mosaic', 'virus', 0.1), cause('thrips', 'insect', 0.01)],
} as unknown as DifferentialAnswer;
const offer = {
  methods: [{ kind: 'fungus', name: 'culture', sensitivity: 0.9, specificity: 0.95, days: 6 }],
} as unknown as ClinicOffer;

test('only what the clinic has a test for, with what either answer would say', () => {
  const rows = testsWorth(answer, offer);
  expect(rows).toHaveLength(1);
  expect(rows[0]).toMatchObject({ condition: 'wilt', now: 0.5, method: 'culture, about 6 days' });
  expect(rows[0]!.ifFound).toBeCloseTo(0.947, 3);
  expect(rows[0]!.ifNot).toBeCloseTo(0.095, 3);
});

test('another clinic is reckoned with usual figures; water and what is as good as ruled out are not worth a parcel', () => {
  expect(testsWorth(answer, undefined).map(({ condition }) => condition)).toEqual(['wilt', 'mosaic']);
});
