import { answerDifferential } from './answers/index';
import { library } from './testLibrary';

const seen = (...signs: string[]) => signs.map((sign) => ({ sign, state: 'seen' as const }));
const ask = (host: string, ...signs: string[]) => answerDifferential(library, { host, month: 7, findings: seen(...signs) });
const chance = ({ ranked }: ReturnType<typeof ask>, id: string) => ranked.find(({ condition }) => condition === id)?.probability ?? 0;

const shown = (id: string) =>
  Object.entries(library.conditions.find((one) => one.id === id)!.signs).flatMap(([sign, often]) => (often === 'never' ? [] : sign));

// What only comes along explains itself, and nothing of what was there before it.
test.each([
  ['rot-feeding-larvae', 'bulb-soft-smelly'],
  ['farming-ants', 'sticky-leaves'],
  ['sooty-mould', 'sticky-leaves'],
  ['vinegar-flies', 'fruit-cracked'],
  ['sap-beetle', 'fruit-cracked'],
  ['springtails', 'waterlogged-pot'],
])('%s does not show %s', (follower, sign) => {
  expect(shown(follower)).not.toContain(sign);
});

test('a stinking soft base without maggots is a rot, and not what would feed on it', () => {
  const answer = ask('echeveria', 'bulb-soft-smelly', 'stem-base-brown-soft');
  expect(chance(answer, 'rot-feeding-larvae')).toBeLessThan(0.2);
  expect(chance(answer, 'succulent-stem-rot') + chance(answer, 'bacterial-soft-rot')).toBeGreaterThan(0.5);
});

test('maggots in the rot bring both: the rot first, and what feeds on it', () => {
  const answer = ask('onion', 'bulb-soft-smelly', 'maggots-in-rot');
  expect(chance(answer, 'rot-feeding-larvae')).toBeGreaterThan(0.3);
  expect(answer.relations).toContainEqual({ code: 'follows', condition: 'rot-feeding-larvae', other: 'bacterial-soft-rot' });
});

test('a black film on sticky leaves points to a sap feeder behind the film', () => {
  const answer = ask('citrus', 'black-sooty-film', 'sticky-leaves');
  expect(answer.relations.some(({ code, condition }) => code === 'follows' && condition === 'sooty-mould')).toBe(true);
  expect(chance(answer, 'soft-scale')).toBeGreaterThan(0.2);
});

test('ants on a stem may be after a herd that has not been looked for yet', () => {
  const answer = ask('broad-bean', 'ants-running');
  const [first, second] = answer.ranked.map(({ condition }) => condition);
  expect([first, second]).toEqual(expect.arrayContaining(['farming-ants', 'black-bean-aphid']));
});

test('what came first is told from what came after it by the words', () => {
  const told = (text: string) => answerDifferential(library, { host: 'rose', month: 7, text }).relations;
  expect(told('the buds were full of greenfly, then black blotches with a fringe on the leaves, which fall')).toContainEqual({
    code: 'later',
    condition: 'rose-black-spot',
    other: 'green-aphid',
  });
  expect(told('buds full of greenfly and black blotches with a fringe on the leaves, which fall')).toEqual([]);
});
