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
