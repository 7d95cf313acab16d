import type { Circumstances, ConditionFacts } from './knowledge';
import type { Onset } from './onset';
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
  expect(factors.map(({ code }) => code)).toEqual([
    'host',
    'setting',
    'season',
    'onset',
    'pattern',
    'temperature',
    'nearby',
    'range',
    'events',
    'words',
    'alone',
  ]);
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

test('warmth outside its range makes it rarer by steps, and nothing is said where the range is not known', () => {
  const warm: ConditionFacts = { ...mite, temperatureC: [18, 30] };
  expect([17, 14, 13, 24, 34, 35].map((temperatureC) => Number(shift({ temperatureC }, warm).toFixed(6)))).toEqual([
    0.5,
    0.5,
    Number((1 / 6).toFixed(6)),
    1,
    0.5,
    Number((1 / 6).toFixed(6)),
  ]);
  expect(shift({ temperatureC: -5 })).toBe(1);
});

test('the same trouble on a plant beside it makes it four times as likely, elsewhere in the garden twice', () => {
  expect(shift({ nearby: [{ condition: 'mite', near: 'garden' }] })).toBeCloseTo(2, 12);
  expect(
    shift({
      nearby: [
        { condition: 'mite', near: 'garden' },
        { condition: 'mite', near: 'place' },
      ],
    }),
  ).toBeCloseTo(4, 12);
  expect(shift({ nearby: [{ condition: 'rust', near: 'place' }] })).toBe(1);
});

test('what comes in the wake of something else is half as likely by itself', () => {
  const follower: ConditionFacts = { ...mite, follows: ['rust'] };
  expect(priorLogOdds(follower, july).logOdds - priorLogOdds(mite, july).logOdds).toBeCloseTo(Math.log(0.5), 12);
});

test('what happened speaks for what comes of it, weather a little, and never without bound', () => {
  const frost = { ...mite, after: ['frost', 'moved', 'heat', 'cold-weather'] };
  const after = (...events: string[]) => shift({ events }, frost);
  expect([after(), after('hail')]).toEqual([1, 1]);
  expect(after('frost')).toBeCloseTo(2.5, 12);
  expect(after('cold-weather')).toBeCloseTo(1.3, 12);
  expect(after('frost', 'moved', 'heat', 'cold-weather')).toBeCloseTo(8, 12);
});

test('words beside the signs count as they hint', () => {
  expect(shift({ hints: new Map([['mite', Math.log(3)]]) })).toBeCloseTo(3, 12);
  expect(shift({ hints: new Map([['rust', Math.log(3)]]) })).toBeCloseTo(1, 12);
});

test('what lives elsewhere is one in twenty as likely, where the continent is known', () => {
  const afar: ConditionFacts = { ...mite, range: ['asia'] };
  expect([shift({ continent: 'asia' }, afar), shift({}, afar), shift({ continent: 'europe' })]).toEqual([1, 1, 1]);
  expect(shift({ continent: 'europe' }, afar)).toBeCloseTo(0.05, 12);
});
