import type { Knowledge } from '../knowledge';
import { testKnowledge } from '../testKnowledge';
import { buildLexicon } from './lexicon';
import { hintsFrom, wordsOfEntries } from './wordsOf';

const [first, second] = testKnowledge.conditions;
const knowledge: Knowledge = {
  ...testKnowledge,
  conditions: [
    { ...first!, id: 'wire', name: 'Wire wound', names: ['strimmer wound'], summary: 'Bark gone in a band.', signs: {} },
    { ...second!, id: 'gale', name: 'Gale', summary: 'Torn in a band.', signs: { webs: 'seldom' } },
  ],
};
const lexicon = buildLexicon(knowledge);
const words = wordsOfEntries(knowledge, lexicon);
const stem = lexicon.language.stemOf;
const told = (words: string[], part?: string) => words.map((word) => ({ stem: stem(word), part }));
const hints = (unread: string[], read: string[] = [], part?: string) =>
  hintsFrom({ unread: told(unread, part), read: told(read, part) }, words);
// So much each point of rarity counts where one word is all that is said.
const alone = 0.45 * 3;

test('a word speaks for the entries that use it, a rare one more', () => {
  const said = hints(['strimmer']);
  expect([...said.keys()]).toEqual(['wire']);
  // log(1 + 2 / 1), in the name
  expect(said.get('wire')).toBeCloseTo(alone * Math.log(3), 12);
  // 0.8 of log(1 + 2 / 2) for a word that both summaries hold
  expect(hints(['band']).get('gale')).toBeCloseTo(alone * 0.8 * Math.log(2), 12);
});

test('words that were read as signs count less, those of a seldom sign little, others nothing', () => {
  expect(hints([], ['strimmer']).get('wire')).toBeCloseTo(0.8 * alone * Math.log(3), 12);
  expect(hints(['webs']).get('gale')!).toBeLessThan(0.18);
  expect(hints(['marmalade']).size).toBe(0);
});

test('many words together have a ceiling', () => {
  const long = Array.from({ length: 40 }, (_, i) => `odd${'abcdefghij'[i % 10]!}${'klmn'[i % 4]!}`);
  const wordy = wordsOfEntries({ ...knowledge, conditions: [{ ...first!, summary: long.join(' ') }, second!] }, lexicon);
  expect(hintsFrom({ unread: told(long), read: [] }, wordy).get(first!.id)).toBe(5);
});

test('of many words each says less', () => {
  const one = hints(['strimmer']).get('wire')!;
  const among = hints(['strimmer', ...Array.from({ length: 11 }, (_, i) => `marmalad${'bcdfghklmnp'[i]!}`)]).get('wire')!;
  expect(among).toBeCloseTo(one / 3, 12);
});

test('a word that is said of another part of the plant than the entry says it of counts less', () => {
  const webs = (part?: string) => hints(['webs'], [], part).get('gale')!;
  expect(webs('root')).toBeCloseTo(0.7 * webs(), 12);
  expect(webs('leaf')).toBeCloseTo(webs(), 12);
});

test('what a first cause explains says little for another, all else as much as before', () => {
  const said = (first?: string) => hintsFrom({ unread: told(['strimmer', 'band']), read: [] }, words, first);
  const [plain, beside] = [said(), said('wire')];
  expect(beside.get('wire')).toBeCloseTo(plain.get('wire')!, 12);
  expect(beside.get('gale')).toBeCloseTo(0.25 * plain.get('gale')!, 12);
});
