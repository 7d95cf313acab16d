import type { Circumstances, ConditionFacts, Onset } from './knowledge';
import { priorLogOdds, susceptibility } from './prior';
import { testKnowledge } from './testKnowledge';

const bean = testKnowledge.hosts[0]!;
const mite = testKnowledge.conditions.find(({ id }) => id === 'mite')!;
const july: Circumstances = { host: bean, month: 7, setting: 'outdoor' };

/** By how many times the odds of the mite change when this is known as well. */
const shift = (more: Partial<Circumstances>, condition: ConditionFacts = mite, from: Circumstances = july) =>
  Math.exp(priorLogOdds(condition, { ...from, ...more }).logOdds - priorLogOdds(condition, from).logOdds);

test('worked by hand: common, on its usual host, in its own month and place', () => {
  // odds 0.04 / 0.96, times 1.5 for a host that it takes often
  expect(priorLogOdds(mite, july).logOdds).toBeCloseTo(Math.log((0.04 / 0.96) * 1.5), 12);
});

test('the factors that are told multiply to the odds', () => {
  const { logOdds, factors } = priorLogOdds(mite, { ...july, month: 1, pattern: 'edges', onset: 'season' });
  const product = factors.reduce((so, { factor }) => so * factor, 0.04 / 0.96);
  expect(Math.exp(logOdds)).toBeCloseTo(product, 12);
  expect(factors.map(({ code }) => code)).toEqual(['host', 'setting', 'season', 'onset', 'pattern']);
});

test.each([
  ['the host itself', { often: ['bean'], sometimes: [], seldom: [] }, 'often'],
  ['its family', { often: [], sometimes: ['fabaceae'], seldom: [] }, 'sometimes'],
  ['its kind', { often: [], sometimes: [], seldom: ['vegetable'] }, 'seldom'],
  ['the host before its family', { often: ['fabaceae'], sometimes: [], seldom: ['bean'] }, 'seldom'],
  ['the family before its kind', { often: ['vegetable'], sometimes: ['fabaceae'], seldom: [] }, 'sometimes'],
  ['none of them', { often: ['pear'], sometimes: [], seldom: [] }, 'unlisted'],
] as const)('susceptibility by %s', (_, hosts, expected) => {
  expect(susceptibility({ ...mite, hosts }, bean)).toBe(expected);
});

test('a place where it does not live makes it twenty times rarer', () => {
  expect(shift({ setting: 'indoor' }, { ...mite, months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] })).toBeCloseTo(0.05, 12);
});

test('a month beside its season is halfway, under glass the season stretches, indoors there is none', () => {
  const everywhere: ConditionFacts = { ...mite, settings: ['outdoor', 'greenhouse', 'indoor'] };
  expect(shift({ month: 8 }, everywhere)).toBeCloseTo(0.4, 12);
  expect(shift({ month: 1 }, everywhere)).toBeCloseTo(0.06, 12);
  expect(shift({ month: 1, setting: 'greenhouse' }, everywhere)).toBeCloseTo(0.3, 12);
  expect(shift({ month: 1, setting: 'indoor' }, everywhere)).toBeCloseTo(1, 12);
});

test('December lies beside January', () => {
  const winter: ConditionFacts = { ...mite, months: [1] };
  const from: Circumstances = { ...july, month: 1 };
  expect(shift({ month: 12 }, winter, from)).toBeCloseTo(0.4, 12);
  expect(shift({ month: 11 }, winter, from)).toBeCloseTo(0.06, 12);
});

test('July in the south is January in the north', () => {
  expect(shift({ hemisphere: 'south' })).toBeCloseTo(0.06, 12);
  expect(shift({ hemisphere: 'south', month: 1 })).toBeCloseTo(1, 12);
});

test('the further the onset is from its own, the rarer', () => {
  const onsets: readonly Onset[] = ['days', 'overnight', 'weeks', 'season'];
  expect(onsets.map((onset) => Number(shift({ onset }).toFixed(6)))).toEqual([1, 0.5, 0.5, 0.2]);
});

test('what is not said shifts nothing', () => {
  const bare = priorLogOdds(mite, { host: bean });
  expect(bare.factors.filter(({ factor }) => factor !== 1).map(({ code }) => code)).toEqual(['host']);
});
