import { testKnowledge } from '../testKnowledge';
import { buildLexicon } from './lexicon';
import { testLanguage } from './testLanguage';

const lexicon = buildLexicon(testKnowledge);
const sign = (id: string, ...words: string[]) => ({ ...testKnowledge.signs[0]!, id, name: `x${id}`, words });
const withSigns = (...signs: ReturnType<typeof sign>[]) => buildLexicon({ ...testKnowledge, signs });

test('a phrase keeps the stems of its content words, each once', () => {
  const phrase = lexicon.phrases.find(({ meaning, stems }) => meaning.kind === 'sign' && meaning.id === 'dust' && stems.length === 2)!;
  expect(phrase.stems).toEqual(['orang', lexicon.language.stemOf('powder')]);
});

test('rare words weigh more than those that many meanings share', () => {
  const { phrases } = withSigns(sign('a', 'brown rim'), sign('b', 'brown dust'), sign('c', 'brown lumps'), sign('d', 'violet rings'));
  const weight = (id: string) =>
    phrases.find(({ meaning, stems }) => meaning.kind === 'sign' && meaning.id === id && stems.length === 2)!.weight;
  expect(weight('d')).toBeGreaterThan(weight('a'));
});

test('a word that six signs share is generic', () => {
  const many = [...'abcdef'].map((letter) => sign(letter, `brown thing${letter}`));
  const { generic } = withSigns(...many);
  expect([...generic]).toEqual(['brown']);
});

test('a word at the core of a sign hints harder than one that it has once', () => {
  const { hints, language } = withSigns(sign('bore', 'sawdust by the hole', 'sawdust below', 'fine sawdust', 'hole by the crown'));
  const weight = (word: string) => hints.get(language.stemOf(word))!.find(({ sign: id }) => id === 'bore')!.weight;
  expect(weight('sawdust')).toBeGreaterThan(weight('crown'));
});

test('what holds nothing but a denial, or one common word among small ones, is no phrase', () => {
  const many = [...'abcdef'].map((letter) => sign(letter, `brown thing${letter}`));
  const { phrases } = withSigns(
    ...many,
    sign('nothing', 'nothing'),
    sign('browned', 'it is brown'),
    sign('plain', 'brown', 'brown all over'),
  );
  const stems = (id: string) =>
    phrases.filter(({ meaning }) => meaning.kind === 'sign' && meaning.id === id).map((one) => one.stems.join(' '));
  expect(stems('nothing')).toEqual(['xnoth']);
  expect(stems('browned')).toEqual(['xbrown']);
  expect(stems('plain')).toContain('brown');
});

test('an ordinary word speaks for a sign only within its phrases', () => {
  const { phrases, hints, language } = withSigns(sign('droop', 'hangs by morning', 'it is the morning', 'morning'));
  expect(hints.has(language.stemOf('morning'))).toBe(false);
  expect(hints.has(language.stemOf('hangs'))).toBe(true);
  const stems = phrases.filter(({ meaning }) => meaning.kind === 'sign').map((one) => one.stems.join(' '));
  expect(stems).toContain([language.stemOf('hangs'), 'by', language.stemOf('morning')].join(' '));
  expect(stems).not.toContain(language.stemOf('morning'));
});

test('a language adds its own words; the first is read when none is asked for', () => {
  const german = { ...testLanguage, id: 'de', stemmer: 'german', signs: { webs: ['feine Gespinste'] }, hosts: { bean: ['Bohnen'] } };
  const both = { ...testKnowledge, languages: [testLanguage, german] };
  const known = (id?: string) => {
    const { phrases, language } = buildLexicon(both, id);
    return phrases.some(({ stems }) => stems.includes(language.stemOf('gespinste')));
  };
  expect([known(), known('en'), known('de')]).toEqual([false, false, true]);
});

test('a stemmer that nobody has is refused by name', () => {
  const odd = { ...testKnowledge, languages: [{ ...testLanguage, stemmer: 'martian' }] };
  expect(() => buildLexicon(odd)).toThrow('got martian');
});
