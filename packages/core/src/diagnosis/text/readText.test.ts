import fc from 'fast-check';
import { testKnowledge } from '../testKnowledge';
import { correctTypo } from './correctTypo';
import { buildLexicon } from './lexicon';
import { readText } from './readText';
import type { TextReading } from './readText';

const lexicon = buildLexicon(testKnowledge);
const all = ({ read: told, doubtful }: TextReading) => [...told, ...doubtful];
const read = (text: string) => all(readText(text, lexicon)).map(({ sign, state }) => `${state} ${sign}`);

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
  ['no webs and sticky leaves', ['absent webs', 'absent sticky']],
  ['no webs and there is orange dust', ['absent webs', 'seen dust']],
] as const)('a negation reaches as far as it means: “%s”', (text, expected) => {
  expect(read(text)).toEqual(expected);
});

const plant = (usual: [string, number][]) => ({ usual: new Map(usual), ownNames: new Set<string>() });

test('a sign that this host shows is the likelier meaning of doubtful words', () => {
  const { signs, hosts, languages } = testKnowledge;
  const sign = (id: string, words: string[]) => ({ ...signs[0]!, id, name: id, words });
  const twins = buildLexicon({ signs: [sign('one', ['brown crust']), sign('two', ['brown crust'])], hosts, languages });
  const only = (expected: string) => readText('a brown crust', twins, plant([[expected, 0.5]])).read.map((one) => one.sign);
  expect([only('one'), only('two')]).toEqual([['one'], ['two']]);
});

test('the more usual sign on this plant is preferred, and thin words for one that nobody knows there are given back', () => {
  const { signs, hosts, languages } = testKnowledge;
  const sign = (id: string, words: string[]) => ({ ...signs[0]!, id, name: id, words });
  const twins = buildLexicon({ signs: [sign('one', ['brown crust']), sign('two', ['brown crust'])], hosts, languages });
  const [usual] = readText(
    'a brown crust',
    twins,
    plant([
      ['one', 0.3],
      ['two', 0.8],
    ]),
  ).read;
  expect(usual!.sign).toBe('two');
  expect(readText('a brown crust that we saw when we walked along the old wall', twins, plant([])).read).toEqual([]);
});

test('what is said and denied is hardly sure, and so is a word that was put right', () => {
  const [both] = readText('sticky leaves. the new ones are not sticky', lexicon).read;
  const [once] = readText('sticky leaves. the new ones are here', lexicon).read;
  expect(both).toMatchObject({ sign: 'sticky', state: 'seen' });
  expect(both!.sure).toBeLessThan(once!.sure * 0.6);
  const [slip] = all(readText('stipling', lexicon));
  const [right] = readText('stippling', lexicon).read;
  expect(slip!.sure).toBeLessThan(right!.sure / 2);
});

test('a reading is surer the more telling its words are', () => {
  const sure = (text: string) => readText(text, lexicon).read[0]!.sure;
  expect(sure('orange powder')).toBeGreaterThan(sure('webs'));
  expect(sure('webs')).toBeGreaterThan(0);
  expect(sure('orange powder')).toBeLessThan(1);
});

test('a phrase that fillers leave with one common word is not sought', () => {
  const { signs, hosts, languages } = testKnowledge;
  const many = Array.from({ length: 6 }, (_, i) => ({ ...signs[0]!, id: `m${i}`, name: `small thing${i}`, words: [] }));
  const small = { ...signs[0]!, id: 'stunted', name: 'stunted', words: ['small plant'] };
  expect(readText('small beads', buildLexicon({ signs: [...many, small], hosts, languages })).read).toEqual([]);
});

test('words of one sign count together though none of its phrases is there', () => {
  const { signs, hosts, languages } = testKnowledge;
  const hole = { ...signs[0]!, id: 'hole', name: 'Borer hole', words: ['hole with sawdust', 'sawdust on the trunk', 'borer in trunk'] };
  const loose = buildLexicon({ signs: [...signs, hole], hosts, languages });
  expect(all(readText('sawdust lay round the old trunk', loose)).map((one) => one.sign)).toEqual(['hole']);
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
  const known = new Set(['stippling', 'webbing', 'mildew']);
  // A letter lost, two neighbours swapped, one changed, one added; two at once only in long words.
  expect(['stipling', 'webbnig', 'mildaw', 'mildeww'].map((slip) => correctTypo(slip, known))).toEqual([
    'stippling',
    'webbing',
    'mildew',
    'mildew',
  ]);
  expect([correctTypo('stplingg', known), correctTypo('stiplingg', known), correctTypo('mldeww', known)]).toEqual([
    undefined,
    'stippling',
    undefined,
  ]);
  expect(correctTypo('rust', new Set(['dust']))).toBeUndefined();
});

test('an ordinary word is no slip of a sign’s word', () => {
  const facts = { ...testKnowledge.languages[0]!, ordinary: 'stiplings' };
  const plain = buildLexicon({ ...testKnowledge, languages: [facts] });
  expect(readText('stiplings', plain)).toMatchObject({ read: [], unread: ['stiplings'] });
  expect(all(readText('stiplings', lexicon)).map(({ sign }) => sign)).toEqual(['dots']);
});

test('events are told by their very words, unless they are denied, and are no signs', () => {
  const events = (text: string) => readText(text, lexicon).events.map(({ event, phrase }) => `${event}: ${phrase}`);
  expect(events('there was ice on the windscreen')).toEqual(['frost: ice on the windscreen']);
  expect(events('put outside in May')).toEqual(['moved: put outside']);
  expect(events('no frost. it is outside')).toEqual([]);
  expect(readText('after a frost', lexicon).read).toEqual([]);
});

test('a sign of another part than the one spoken of is hardly meant', () => {
  const { signs, hosts, languages } = testKnowledge;
  const ringed = { ...signs[0]!, id: 'ringed', part: 'leaf', name: 'Ringed', words: ['rusty ring'] };
  const parts = buildLexicon({ signs: [ringed], hosts, languages });
  const sure = (text: string) => readText(text, parts).read[0]?.sure ?? 0;
  expect(sure('cut the stem, a rusty ring')).toBeLessThan(sure('on leaves a rusty ring') / 2);
  expect(sure('my neighbour says a rusty ring')).toBeLessThan(sure('a rusty ring') / 2);
});

test('what is hardly meant is not told, a denial always is', () => {
  const long = 'we walked along the wall and over the hill with all our cousins and a dog, and back by train, and saw a web';
  expect(readText(long, lexicon)).toMatchObject({ read: [], doubtful: [{ sign: 'webs' }] });
  expect(readText(long.replace('saw a web', 'no web'), lexicon)).toMatchObject({ read: [{ sign: 'webs', state: 'absent' }], doubtful: [] });
});

test('what stands behind “then” was told as later, whatever else the sentence holds', () => {
  const later = (text: string) => readText(text, lexicon).read.map(({ sign, later: after }) => [sign, after ?? false]);
  expect(later('sticky leaves, then orange dust')).toEqual([
    ['sticky', false],
    ['dust', true],
  ]);
  expect(later('sticky leaves and orange dust').every(([, after]) => !after)).toBe(true);
});
