import { generationDays } from '.';

const stages = [
  { lowerC: 10, degreeDays: 50 },
  { lowerC: 8, degreeDays: 120 },
  { lowerC: 8, degreeDays: 999 },
];

test('degree-days over the degrees above the threshold, stage by stage; the adult’s life is not waited for', () => {
  expect(generationDays(stages, 20)).toBe(5 + 10);
  expect(generationDays(stages, 18)).toBeCloseTo(50 / 8 + 12);
  expect(generationDays(stages, 10)).toBeNull();
  expect(generationDays(stages.slice(2), 20)).toBe(0);
});
