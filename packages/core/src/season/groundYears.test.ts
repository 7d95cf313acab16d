import { groundYears } from '.';

const rot = { survivesYear: 0.825, fasterPerDegree: 0.01, halfLossAt: 0.3, cropAdds: 4 };

test('half is left after 3.6 years, as it was found in the field, and never more than the year before', () => {
  const years = groundYears(rot, { years: 20, yearC: 10 });
  expect(years[0]!.left).toEqual({ p10: 1, p50: 1, p90: 1 });
  expect(years[7]!.left.p50).toBeGreaterThan(0.2);
  expect(years[7]!.left.p50).toBeLessThan(0.31);
  for (let i = 1; i < years.length; i++) {
    expect(years[i]!.left.p50).toBeLessThan(years[i - 1]!.left.p50);
    expect(years[i]!.loss.p90).toBeLessThanOrEqual(years[i - 1]!.loss.p90);
    expect(years[i]!.loss.p10 <= years[i]!.loss.p50 && years[i]!.loss.p50 <= years[i]!.loss.p90).toBe(true);
  }
});

test('warm ground forgets sooner; a crop in between begins it anew', () => {
  const left = (yearC: number, crops: readonly number[] = []) => groundYears(rot, { years: 12, yearC, crops })[11]!.left.p50;
  expect(left(18)).toBeLessThan(0.5 * left(10));
  expect(left(10, [5])).toBeGreaterThan(5 * left(10));
});
