import { actsOn, stageChances, stageShare } from './stageNow';
import { condition, situation, treatment } from './testSituation';

const aphid = condition('aphid', [treatment('spray', { stages: ['egg'] })]);
const none = new Set<never>();

test('chances sum to one, and what was seen is likelier by twelve times', () => {
  const chances = stageChances(aphid, { seen: new Set(['nymph']), absent: none });
  expect(chances.get('colony')).toBeCloseTo(12 / 13, 12);
  expect([...chances.values()].reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
});

test('what was looked for and not found is less likely, and so is a stage out of its months', () => {
  expect(stageChances(aphid, { seen: none, absent: new Set(['egg']) }).get('winter-eggs')).toBeCloseTo(0.2 / 1.2, 12);
  const seasonal = { stages: [aphid.stages[0]!, { ...aphid.stages[1]!, months: [12, 1, 2] }] };
  expect(stageChances(seasonal, { seen: none, absent: none, month: 7 }).get('winter-eggs')).toBeCloseTo(0.1 / 1.1, 12);
});

test('an effect acts on a kind, on a stage by its name, or on any', () => {
  const [colony, eggs] = aphid.stages;
  expect(actsOn({ stages: ['nymph'] }, colony!)).toBe(true);
  expect(actsOn({ stages: ['winter-eggs'] }, eggs!)).toBe(true);
  expect(actsOn({ stages: ['any'] }, eggs!)).toBe(true);
  expect(actsOn({ stages: ['adult'] }, colony!)).toBe(false);
});

test('the share that an effect reaches is what somebody said, else what was inferred, else all', () => {
  const [effect] = aphid.treat;
  const share = (change: object) => stageShare(effect!, aphid, { ...situation, ...change });
  expect([share({ stage: 'colony' }), share({ stage: 'winter-eggs' }), share({ stage: 'larva' }), share({})]).toEqual([0, 1, 1, 1]);
  expect(share({ stageChances: new Map([['aphid', new Map([['winter-eggs', 0.3]])]]) })).toBe(0.3);
});
