import { mixRequest } from '@field-nurse/contract';
import { mixFor, ways } from '@field-nurse/core/dose';
import type { MixQuestion, Way } from '@field-nurse/core/dose';
import { freshRate, freshSum, isFilled, isWet, sumFaults, sumQuestion, treatedBy } from './bench-sum';
import type { BenchRate } from './bench-sum';

const both = ways.flatMap((way) => (['metric', 'us'] as const).map((system) => [way, system] as const));

test.each(both)('%s, %s: what stands there at first is a whole sum', (way, system) => {
  const [sum, rate] = [freshSum(way, system), freshRate(way, system)];
  expect(sumFaults(sum, [rate]).size).toBe(0);
  const question = mixRequest.parse(sumQuestion(sum, rate, system, null)) as MixQuestion;
  const answer = mixFor(question);
  if (!('mix' in answer)) throw new Error(answer.refused.text);
  expect(answer.mix.product.amount).toBeGreaterThan(0);
  expect(answer.mix.water.amount > 0).toBe(isWet(way));
});

const asked = (way: Way, rate: Partial<BenchRate>, mixBy = freshSum(way, 'metric').mixBy) =>
  [...treatedBy({ ...freshSum(way, 'metric'), mixBy }, [{ ...freshRate(way, 'metric'), ...rate }])].sort();

test.each<[string, string[], string[]]>([
  ['water in all', asked('spray', {}), []],
  ['a rate by plants', asked('spray', { perUnit: 'plant' }), ['plants']],
  ['so much on each metre', asked('spray', {}, 'm'), ['length']],
  ['a drench by the compost', asked('drench', {}), ['plants', 'pot']],
  ['seed by weight', asked('slurry', {}), ['weight']],
  ['lime by ground', asked('spread', {}), ['area']],
  ['a depth', asked('mulch', {}), ['area']],
  ['a share goes by nothing', asked('paint', { unit: 'percent', perUnit: 'plant' }, 'all'), []],
])('%s asks for what it goes by', (_, found, wanted) => expect(found).toEqual(wanted));

test.each<[string, Parameters<typeof sumFaults>, string]>([
  ['no rate', [freshSum('spray', 'metric'), [{ ...freshRate('spray', 'metric'), amount: 0 }]], 'rate-0'],
  ['above the label', [freshSum('spray', 'metric'), [{ ...freshRate('spray', 'metric'), amount: 31, most: 30 }]], 'rate-0'],
  ['parts of litres', [freshSum('dip', 'metric'), [{ ...freshRate('dip', 'metric'), unit: 'parts' }]], 'per-0'],
  ['half a plant', [{ ...freshSum('inject', 'metric'), plants: 0.5 }, [freshRate('inject', 'metric')]], 'plants'],
  ['nothing to make', [{ ...freshSum('spray', 'metric'), make: NaN }, [freshRate('spray', 'metric')]], 'make'],
  ['more in it than it holds', [{ ...freshSum('spray', 'metric'), standing: 6 }, [freshRate('spray', 'metric')]], 'standing'],
])('%s is told at its field', (_, [sum, rates], field) => expect([...sumFaults(sum, rates).keys()]).toEqual([field]));

test('only what is filled has a size, and what stands in it', () => {
  const question = (way: Way) => sumQuestion({ ...freshSum(way, 'metric'), standing: 1 }, freshRate(way, 'metric'), 'metric', null);
  for (const way of ways)
    expect([question(way).sprayer !== undefined, question(way).standing !== undefined]).toEqual([isFilled(way), isFilled(way)]);
});
