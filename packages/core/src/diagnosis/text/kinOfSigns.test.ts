import { kinOfSigns } from './kinOfSigns';

// stem → sign → in how many phrases
const phrases = new Map(
  Object.entries({
    grey: { felt: 3, fur: 2 },
    under: { felt: 2, fur: 1, dots: 1 },
    felt: { felt: 2 },
    fur: { fur: 2 },
    black: { dots: 3, lice: 2 },
    tip: { lice: 3, dots: 1 },
    orange: { dust: 2 },
  }).map(([stem, signs]) => [stem, new Map(Object.entries(signs))] as const),
);
const kin = kinOfSigns(phrases, (sign) => sign === 'lice');

test('signs that are told in much the same words are kin, both ways and alike; others are not', () => {
  expect(kin.get('felt')!.map(({ sign }) => sign)).toEqual(['fur']);
  expect(kin.get('fur')!.find(({ sign }) => sign === 'felt')!.share).toBeCloseTo(kin.get('felt')![0]!.share, 12);
  expect(kin.get('dust')).toEqual([]);
});

test('an animal is taken for no mark, however like their words are', () => {
  expect(kin.get('lice')).toEqual([]);
  expect(kin.get('dots')!.map(({ sign }) => sign)).not.toContain('lice');
});

test('the share grows with the likeness, and stays below a half', () => {
  const shares = [...kin.values()].flat().map(({ share }) => share);
  expect(Math.max(...shares)).toBeLessThan(0.5);
  expect(Math.min(...shares)).toBeGreaterThan(0);
});
