import { contentStems, tokenise } from './tokens';

const words = (text: string) => tokenise(text).map(({ word }) => word);
const stems = (text: string) => tokenise(text).map(({ stem }) => stem);

test('words in lower case, without accents, with their places', () => {
  const [first, second] = tokenise('Brûlé LEAVES');
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
  const tokens = tokenise('sticky, no webs but dust. ants');
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
  expect(contentStems('there are webs on the plant')).toEqual(contentStems('webs'));
  expect(contentStems('the plant')).toHaveLength(2);
});

test('numbers, marks and emoji are no words', () => {
  expect(words('3 webs!! 🌱 <i>ants</i>')).toEqual(['3', 'webs', 'i', 'ants', 'i']);
});
