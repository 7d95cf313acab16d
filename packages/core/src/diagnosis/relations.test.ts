import { candidatesFor } from './candidates';
import { differential } from './differential';
import type { ConditionFacts } from './knowledge';
import { posterior } from './posterior';
import { relationsAmong } from './relations';
import { testKnowledge } from './testKnowledge';

const [mite, aphid, rust] = testKnowledge.conditions as [ConditionFacts, ConditionFacts, ConditionFacts];
const soot: ConditionFacts = { ...rust, id: 'soot', signs: { dust: 'always' }, follows: ['aphid'] };
const ant: ConditionFacts = { ...mite, id: 'ant', signs: { sticky: 'often' }, carries: ['aphid'] };
const circumstances = { host: testKnowledge.hosts[0]!, month: 7, setting: 'outdoor' } as const;

test('what came in the wake of what is told when both are likely, and not before', () => {
  const told = (probability: number) =>
    relationsAmong([
      { condition: aphid, probability: 0.9 },
      { condition: soot, probability },
      { condition: ant, probability: 0.5 },
    ]);
  expect(told(0.5)).toEqual([
    { code: 'follows', condition: 'soot', other: 'aphid' },
    { code: 'carries', condition: 'ant', other: 'aphid' },
  ]);
  expect(told(0.2)).toEqual([{ code: 'carries', condition: 'ant', other: 'aphid' }]);
});

test('of two that nothing links, what was told as later came after the other; what both show decides nothing', () => {
  const both = [mite, rust].map((condition) => ({ condition, probability: 0.6 }));
  const only = (one: ConditionFacts, other: ConditionFacts) =>
    Object.keys(one.signs).find((sign) => one.signs[sign] !== 'never' && (other.signs[sign] ?? 'never') === 'never')!;
  const told = (ofMite: boolean, ofRust: boolean) =>
    relationsAmong(both, [
      { sign: only(mite, rust), later: ofMite },
      { sign: only(rust, mite), later: ofRust },
    ]);
  expect(told(false, true)).toEqual([{ code: 'later', condition: rust.id, other: mite.id }]);
  expect(told(true, false)).toEqual([{ code: 'later', condition: mite.id, other: rust.id }]);
  expect([...told(false, false), ...told(true, true), ...relationsAmong(both)]).toEqual([]);
});

test('a follower is likelier beside what it follows', () => {
  const chance = (follows: readonly string[]) =>
    posterior({ ...testKnowledge, conditions: [mite, aphid, { ...soot, follows }, rust] }, circumstances, [
      { sign: 'sticky', state: 'seen' },
      { sign: 'dust', state: 'seen' },
    ]).marginals.get('soot')!;
  expect(chance(['aphid'])).toBeGreaterThan(chance([]));
});

test('a positive test multiplies the odds by sensitivity over one less specificity, a negative one by the misses over the clear', () => {
  const odds = (result: 'positive' | 'negative') => {
    const tests = [{ condition: 'mite', result, sensitivity: 0.9, specificity: 0.95 }];
    const [after] = candidatesFor([mite], { ...circumstances, tests }, []);
    const [before] = candidatesFor([mite], circumstances, []);
    return Math.exp(after!.priorLogOdds - before!.priorLogOdds);
  };
  expect(odds('positive')).toBeCloseTo(0.9 / 0.05, 9);
  expect(odds('negative')).toBeCloseTo(0.1 / 0.95, 9);
});

test('a test is never so good that its word is final', () => {
  const tests = [{ condition: 'mite', result: 'negative' as const, sensitivity: 1, specificity: 1 }];
  const [one] = candidatesFor([mite], { ...circumstances, tests }, []);
  expect(Number.isFinite(one!.priorLogOdds)).toBe(true);
});

test('any cause is answered for on asking, even one that does not live on this plant', () => {
  const { asked } = differential(testKnowledge, { ...circumstances, findings: [{ sign: 'dust', state: 'seen' }], asked: ['gnat', 'rust'] });
  expect(asked.map(({ condition }) => condition)).toEqual(['gnat', 'rust']);
  expect(asked[0]!.probability).toBe(0);
  expect(asked[0]!.circumstances.find(({ code }) => code === 'host')!.decibans).toBeLessThan(-20);
  expect(() => differential(testKnowledge, { ...circumstances, asked: ['gremlin'] })).toThrow('got gremlin');
});
