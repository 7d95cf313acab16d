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
const hints = (unread: string[], read: string[] = []) => hintsFrom({ unread: unread.map(stem), read: read.map(stem) }, words);

test('a word speaks for the entries that use it, a rare one more', () => {
  const said = hints(['strimmer']);
  expect([...said.keys()]).toEqual(['wire']);
  // 0.45 · log(1 + 2 / 1), in the name
  expect(said.get('wire')).toBeCloseTo(0.45 * Math.log(3), 12);
  // 0.8 of log(1 + 2 / 2) for a word that both summaries hold
  expect(hints(['band']).get('gale')).toBeCloseTo(0.45 * 0.8 * Math.log(2), 12);
});

test('words that were read as signs count less, those of a seldom sign little, others nothing', () => {
  expect(hints([], ['strimmer']).get('wire')).toBeCloseTo(0.8 * 0.45 * Math.log(3), 12);
  expect(hints(['webs']).get('gale')!).toBeLessThan(0.06);
  expect(hints(['marmalade']).size).toBe(0);
});

test('many words together have a ceiling', () => {
  const long = Array.from({ length: 40 }, (_, i) => `odd${'abcdefghij'[i % 10]!}${'klmn'[i % 4]!}`);
  const wordy = wordsOfEntries({ ...knowledge, conditions: [{ ...first!, summary: long.join(' ') }, second!] }, lexicon);
  expect(hintsFrom({ unread: long.map(stem), read: [] }, wordy).get(first!.id)).toBe(5);
});
