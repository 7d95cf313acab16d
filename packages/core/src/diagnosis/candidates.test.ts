import { candidatesFor } from './candidates';
import type { Circumstances, Sighting } from './knowledge';
import { testKnowledge } from './testKnowledge';

const july: Circumstances = { host: testKnowledge.hosts[0]!, month: 7, setting: 'outdoor' };
const sighting = (condition: string, count: number, more: Partial<Sighting> = {}): Sighting => ({
  condition,
  host: 'bean',
  family: 'fabaceae',
  count,
  ...more,
});

/** Chance of each candidate beforehand, as a share of all. */
function shares(history: readonly Sighting[]): Map<string, number> {
  const candidates = candidatesFor(testKnowledge.conditions, { ...july, history }, []);
  const total = candidates.reduce((sum, { priorLogOdds }) => sum + Math.exp(priorLogOdds), 0);
  return new Map(candidates.map(({ condition, priorLogOdds }) => [condition.id, Math.exp(priorLogOdds) / total]));
}

test('worked by hand: the library counts for twenty cases, ten confirmed ones move the mean by a third', () => {
  const before = shares([]);
  const after = shares([sighting('mite', 10)]);
  expect(after.get('mite')).toBeCloseTo((20 * before.get('mite')! + 10) / 30, 12);
  expect(after.get('rust')).toBeCloseTo((20 * before.get('rust')!) / 30, 12);
});

test('a case on another plant of the family counts half, on a stranger not at all', () => {
  const family = shares([sighting('mite', 2, { host: 'pea' })]);
  expect(family.get('mite')).toBeCloseTo(shares([sighting('mite', 1)]).get('mite')!, 12);
  expect(shares([sighting('mite', 9, { host: 'pear', family: 'rosaceae' })])).toEqual(shares([]));
});

test('what the garden’s history did is told as a factor', () => {
  const [mite] = candidatesFor(testKnowledge.conditions, { ...july, history: [sighting('mite', 5)] }, []);
  expect(mite!.factors.at(-1)).toMatchObject({ code: 'history' });
  expect(mite!.factors.at(-1)!.factor).toBeGreaterThan(1);
});

test('a sign that was seen brings in what shows it on other hosts', () => {
  const ids = (findings: Parameters<typeof candidatesFor>[2]) =>
    candidatesFor([{ ...testKnowledge.conditions[3]!, signs: { sticky: 'often' } }], july, findings).map(({ condition }) => condition.id);
  expect([ids([]), ids([{ sign: 'sticky', state: 'seen' }])]).toEqual([[], ['gnat']]);
});
