import { likeliestAlone } from './likeliestAlone';
import { posterior } from './posterior';
import { testKnowledge } from './testKnowledge';

const [first] = testKnowledge.hosts;
const circumstances = { host: first!, setting: 'outdoor', month: 7 } as const;
const shown = (frequency: string) =>
  testKnowledge.conditions.flatMap(({ id, signs }) =>
    Object.entries(signs).flatMap(([sign, often]) => (often === frequency ? [{ id, sign }] : [])),
  );

test('what shows everything that was found comes first', () => {
  const { id, sign } = shown('always')[0]!;
  expect(likeliestAlone(testKnowledge, circumstances, [{ sign, state: 'seen' }])?.condition).toBe(id);
});

test('with nothing found it is the commonest cause here, by its share of the priors', () => {
  const best = likeliestAlone(testKnowledge, circumstances, [])!;
  const odds = posterior(testKnowledge, circumstances, []).candidates.map(
    ({ condition, priorLogOdds }) => [condition.id, Math.exp(priorLogOdds)] as const,
  );
  const most = Math.max(...odds.map(([, one]) => one));
  expect(odds.find(([id]) => id === best.condition)![1]).toBe(most);
  expect(best.probability).toBeCloseTo(most / odds.reduce((sum, [, one]) => sum + one, 0), 12);
});

test('where nothing is known of the plant, nothing is answered', () => {
  expect(likeliestAlone({ ...testKnowledge, conditions: [] }, circumstances, [])).toBeUndefined();
});
