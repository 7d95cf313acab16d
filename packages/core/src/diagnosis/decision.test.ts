import { decisionOf } from './decision';
import type { ConditionFacts } from './knowledge';
import { testKnowledge } from './testKnowledge';

const cause = (id: string, treat: ConditionFacts['treat']): ConditionFacts => ({ ...testKnowledge.conditions[0]!, id, treat });
const set = (...causes: ConditionFacts[]) => ({ causes, probability: 1 });
const soap = cause('soap', [
  { intervention: 'watch', efficacy: [0, 15] },
  { intervention: 'soap', efficacy: [40, 80] },
  { intervention: 'oil', efficacy: [45, 70] },
]);

test('a cause stands for what helps most against it', () => {
  expect(decisionOf(set(soap), [])).toBe('soap');
});

test('what must be reported and what nothing helps against are decisions of their own', () => {
  expect(decisionOf(set(cause('listed', [{ intervention: 'call-authority' }, { intervention: 'soap', efficacy: [90, 99] }])), [])).toBe(
    'report',
  );
  expect(decisionOf(set(cause('harmless', [{ intervention: 'enjoy-it', efficacy: [0, 5] }])), [])).toBe('leave');
});

test('several causes ask for several things, in an order that does not matter', () => {
  const cut = cause('cut', [{ intervention: 'cut', efficacy: [50, 90] }]);
  expect(decisionOf(set(soap, cut), [])).toBe(decisionOf(set(cut, soap), []));
});

test('a cause that explains nothing of what was seen decides nothing', () => {
  const bystander = { ...cause('bystander', [{ intervention: 'cut', efficacy: [50, 90] }]), signs: {} };
  expect(decisionOf(set(soap, bystander), [{ sign: 'webs', state: 'seen' }])).toBe('soap');
});
