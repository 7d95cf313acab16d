import { readyLanguage } from './language';
import { testLanguage } from './testLanguage';
import { contentStems, tokenise } from './tokens';

const english = readyLanguage(testLanguage);

const words = (text: string) => tokenise(text, english).map(({ word }) => word);
const stems = (text: string) => tokenise(text, english).map(({ stem }) => stem);

test('words in lower case, without accents, with their places', () => {
  const [first, second] = tokenise('Brûlé LEAVES', english);
  expect(first).toMatchObject({ word: 'brule', start: 0, end: 5 });
  expect(second).toMatchObject({ word: 'leaves', start: 6, end: 12 });
});

test('contractions are opened, so that their negation is heard', () => {
  expect(words("isn't")).toEqual(['is', 'not']);
  expect(words('isn’t')).toEqual(['is', 'not']);
  expect(words("can't cannot")).toEqual(['can', 'not', 'can', 'not']);
  expect(words("plant's")).toEqual(['plant']);
});

test('clauses end at commas and “but”, sentences at full stops', () => {
  const tokens = tokenise('sticky, no webs but dust. ants', english);
  expect(tokens.map(({ word, clause, sentence }) => `${word} ${clause} ${sentence}`)).toEqual([
    'sticky 0 0',
    'no 1 0',
    'webs 1 0',
    'but 2 0',
    'dust 2 0',
    'ants 3 1',
  ]);
});

test.each([
  ['mold', 'mould'],
  ['gray', 'grey'],
  ['specks', 'dots'],
  ['tiny', 'little'],
  ['blotches', 'patches'],
  ['older', 'oldest'],
  ['powdery', 'powder'],
  ['fluffy', 'fluff'],
  ['leaf', 'leaves'],
])('“%s” and “%s” are one word', (a, b) => {
  expect(stems(a)).toEqual(stems(b));
});

test('the content of a phrase leaves fillers out, unless there is nothing else', () => {
  expect(contentStems('there are webs on the plant', english)).toEqual(contentStems('webs', english));
  expect(contentStems('the plant', english)).toHaveLength(2);
});

test('numbers, marks and emoji are no words', () => {
  expect(words('3 webs!! 🌱 <i>ants</i>')).toEqual(['3', 'webs', 'i', 'ants', 'i']);
});

test('a language needs a stemmer that exists', () => {
  expect(() => readyLanguage({ ...testLanguage, stemmer: 'klingon' })).toThrow('got klingon');
});

test('another language is another file: French words are stemmed as French', () => {
  const french = readyLanguage({ ...testLanguage, id: 'fr', stemmer: 'french', same: {} });
  expect(contentStems('feuilles jaunies', french)).toEqual(contentStems('feuille jaunie', french));
});
