import fc from 'fast-check';
import { testKnowledge } from '../testKnowledge';
import { correctTypo, editDistance } from './correctTypo';
import { buildLexicon } from './lexicon';
import { readText } from './readText';

const lexicon = buildLexicon(testKnowledge);
const read = (text: string) => readText(text, lexicon).read.map(({ sign, state }) => `${state} ${sign}`);

test.each([
  ['orange powder on the leaves', ['seen dust']],
  ['powder, orange', ['seen dust']],
  ['stipling everywhere', ['seen dots']],
  ["it isn't sticky", ['absent sticky']],
  ['no webs. sticky leaves', ['absent webs', 'seen sticky']],
  ['sticky, but no webs', ['seen sticky', 'absent webs']],
  ['', []],
  ['🐛 <b>webs</b>', ['seen webs']],
] as const)('reads “%s”', (text, expected) => {
  expect(read(text)).toEqual(expected);
});

test('the plant is recognised and the rest given back', () => {
  const reading = readText('my beans have webs and gloom', lexicon);
  expect(reading.hosts.map(({ host }) => host)).toEqual(['bean']);
  expect(reading.unread).toEqual(['gloom']);
});

test.each([
  ['not only webs but dust that is orange', ['seen webs', 'seen dust']],
  ['not sure, sticky', ['seen sticky']],
  ['nothing sticky', ['absent sticky']],
] as const)('a negation reaches as far as it means: “%s”', (text, expected) => {
  expect(read(text)).toEqual(expected);
});

test('a sign that this host shows is the likelier meaning of doubtful words', () => {
  const { signs, hosts, languages } = testKnowledge;
  const sign = (id: string, words: string[]) => ({ ...signs[0]!, id, name: id, words });
  const twins = buildLexicon({ signs: [sign('one', ['brown crust']), sign('two', ['brown crust'])], hosts, languages });
  const only = (expected: string) => readText('a brown crust', twins, new Set([expected])).read.map((one) => one.sign);
  expect([only('one'), only('two')]).toEqual([['one'], ['two']]);
});

test('words of one sign count together though none of its phrases is there', () => {
  const { signs, hosts, languages } = testKnowledge;
  const hole = { ...signs[0]!, id: 'hole', name: 'Borer hole', words: ['hole with sawdust', 'sawdust on the trunk', 'borer in trunk'] };
  const loose = buildLexicon({ signs: [...signs, hole], hosts, languages });
  expect(readText('sawdust lay round the old trunk', loose).read.map((one) => one.sign)).toEqual(['hole']);
  expect(readText('the trunk', loose).read).toEqual([]);
});

test('any text is read without an error', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 300, unit: 'grapheme' }), (text) =>
      expect(readText(text, lexicon).read.length).toBeLessThanOrEqual(4),
    ),
  );
});

test('slips worked by hand', () => {
  expect([editDistance('rsut', 'rust'), editDistance('rust', 'dust'), editDistance('web', 'webs')]).toEqual([1, 1, 1]);
  expect(correctTypo('rust', new Set(['dust']))).toBeUndefined();
});
