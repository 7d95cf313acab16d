import { testKnowledge } from '../testKnowledge';
import { findMatches } from './findMatches';
import { buildLexicon } from './lexicon';
import type { Lexicon } from './lexicon';
import { scopesOf } from './scopes';
import { tokenise } from './tokens';

const sign = (id: string, ...words: string[]) => ({ ...testKnowledge.signs[0]!, id, name: `x${id}`, words });
const lexicon = buildLexicon({
  ...testKnowledge,
  signs: [
    sign('crust', 'grey crust', 'crust of lichen'),
    sign('fringe', 'white fringe'),
    sign('hollow', 'hollow stalk with grubs', 'grubs in hollow stalk', 'hollow grubs stalk'),
  ],
});
const findIn = (known: Lexicon, text: string, usual?: ReadonlyMap<string, number>) => {
  const tokens = tokenise(text, known.language);
  return findMatches(tokens, scopesOf(tokens, known.language), known, usual && { usual, ownNames: new Set() });
};
const find = (text: string, usual?: ReadonlyMap<string, number>) => findIn(lexicon, text, usual);
const best = (text: string, usual?: ReadonlyMap<string, number>) => find(text, usual).find(({ meaning }) => meaning.kind === 'sign');

test('a phrase is found in any order, and tells most when its words stand together', () => {
  const together = best('grey crust')!;
  const apart = best('grey and rather thick old crust')!;
  expect(best('crust, all grey')).toMatchObject({ meaning: { id: 'crust' }, at: [0, 2] });
  expect(apart.meaning).toEqual(together.meaning);
  expect(apart.score).toBeLessThan(together.score);
  expect(apart.sure).toBeLessThan(together.sure);
});

test('words too far apart, or in two sentences, are no phrase', () => {
  expect(best('grey one two three four five six seven eight nine crust')).toBeUndefined();
  expect(best('grey. crust')).toBeUndefined();
});

test('small words between cost nothing', () => {
  expect(best('grey it is on the crust')!.score).toBeCloseTo(best('grey crust')!.score, 9);
});

test('loose words of one sign count together, but less than a phrase', () => {
  const loose = best('grubs, stalk')?.score ?? 0;
  expect(loose).toBeLessThan(best('hollow stalk with grubs')!.score);
});

test('what nothing shows here counts less and is hardly sure; the more usual counts more', () => {
  const score = (usual: ReadonlyMap<string, number>) => best('grey crust', usual)!;
  const [strange, rare, common] = [score(new Map()), score(new Map([['crust', 0.1]])), score(new Map([['crust', 0.9]]))];
  expect(strange.score).toBeLessThan(rare.score);
  expect(rare.score).toBeLessThan(common.score);
  expect(strange.sure).toBeLessThan(rare.sure / 3);
});

test('the strongest come first', () => {
  const scores = find('grey crust, white fringe and a hollow stalk with grubs').map(({ score }) => score);
  expect(scores).toEqual([...scores].sort((a, b) => b - a));
  expect(scores.length).toBeGreaterThanOrEqual(3);
});

test('common words make a reading together, by themselves none', () => {
  const spots = [...'abcdef'].map((letter) => sign(letter, `small ${letter}${letter} spots`));
  const many = buildLexicon({
    ...testKnowledge,
    signs: [...spots, sign('eye', 'round grey spots', 'grey middle', 'spots with a round middle')],
  });
  const signsIn = (text: string) => findIn(many, text).flatMap(({ meaning }) => (meaning.kind === 'sign' ? meaning.id : []));
  expect(signsIn('spots, and each of the round ones has a grey middle')).toContain('eye');
  expect(signsIn('spots')).toEqual([]);
});

test('a match that is hardly meant is left out', () => {
  const spots = [...'abcdef'].map((letter) => sign(letter, `small ${letter}${letter} spots`));
  const thin = buildLexicon({ ...testKnowledge, signs: [...spots, sign('scurf', 'small spots')] });
  const found = (usual?: ReadonlyMap<string, number>) => findIn(thin, 'small spots that we saw one day when we walked along', usual).length;
  expect(found()).toBe(1);
  expect(found(new Map())).toBe(0);
});

test('the name of the plant in question adds nothing, and after “in” it means what is gathered of it', () => {
  const plums = buildLexicon({
    ...testKnowledge,
    signs: [sign('grubs', 'grubs in fruit', 'fruit with grubs'), sign('jam', 'plum jam smell', 'smells of plum'), sign('x', 'orchard')],
    languages: [{ ...testKnowledge.languages[0]!, crops: { fruit: 'fruit' }, within: ['in'] }],
  });
  const tree = {
    usual: new Map([
      ['grubs', 0.5],
      ['jam', 0.5],
    ]),
    ownNames: new Set(['plum']),
    crop: 'fruit',
  };
  const on = (text: string, plant?: typeof tree) => {
    const tokens = tokenise(text, plums.language);
    return findMatches(tokens, scopesOf(tokens, plums.language), plums, plant).filter(({ meaning }) => meaning.kind === 'sign');
  };
  expect(on('grubs in my plums', tree)[0]!.meaning.id).toBe('grubs');
  expect(on('my plums and a heap of grubs', tree).map(({ meaning }) => meaning.id)).not.toContain('grubs');
  const [known, unknown] = [tree, { ...tree, ownNames: new Set<string>() }].map((plant) => on('it smells of plum', plant)[0]!.score);
  expect(known).toBeLessThan(unknown!);
});

test('in a long text more is read by accident', () => {
  const long = 'grey crust and one day we went along by train for several hours over hills with cousins';
  expect(best(long)!.sure).toBeLessThan(best('grey crust')!.sure);
});
