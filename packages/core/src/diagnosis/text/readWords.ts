import type { Finding, HostFacts, Knowledge } from '../knowledge.js';
import { priorLogOdds, susceptibility } from '../prior.js';
import { frequencyTable } from '../probabilityTable.js';
import { buildLexicon } from './lexicon.js';
import type { Lexicon } from './lexicon.js';
import { plantTold } from './plantTold.js';
import { readText } from './readText.js';
import type { TextReading } from './readText.js';
import { hintsFrom, wordsOfEntries } from './wordsOf.js';
import type { EntryWords } from './wordsOf.js';

interface Reader {
  readonly lexicon: Lexicon;
  readonly words: EntryWords;
}

/** A text's findings and events, and what its other words hint at. */
export interface WordReading extends TextReading {
  /** condition → log odds that the words themselves speak for it, beside the signs that they were read as */
  readonly hints: ReadonlyMap<string, number>;
  /** words of signs, as rare as those of a few signs only, that made no reading and that no entry's words explain */
  readonly unreadTelling: readonly string[];
}

// A reader takes some milliseconds to make and depends on the knowledge alone.
const readers = new WeakMap<Knowledge, Reader>();

function readerOf(knowledge: Knowledge): Reader {
  const known = readers.get(knowledge);
  if (known) return known;
  const lexicon = buildLexicon(knowledge);
  const reader = { lexicon, words: wordsOfEntries(knowledge, lexicon) };
  readers.set(knowledge, reader);
  return reader;
}

/** Read a grower's words with the lexicon of a knowledge base, which is built once, and in the light of the plant that they are about. */
export function readWords(knowledge: Knowledge, text: string, host?: HostFacts): WordReading {
  if (text.trim() === '')
    return {
      read: [],
      doubtful: [],
      hosts: [],
      events: [],
      unread: [],
      stems: { unread: [], read: [] },
      hints: new Map(),
      unreadTelling: [],
    };
  const { lexicon, words } = readerOf(knowledge);
  const reading = readText(text, lexicon, host && plantTold(host, usualOn(knowledge, host), lexicon.language));
  const hints = hintsFrom(reading.stems, words);
  return {
    ...reading,
    hints,
    unreadTelling: unexplained(
      reading.stems.unread.map(({ stem }) => stem),
      lexicon,
    ),
  };
}

/** What the words hint at where a first cause is hardly doubted: what it explains says little for another beside it. */
export const hintsBeside = (knowledge: Knowledge, { stems }: TextReading, first: string): Map<string, number> =>
  hintsFrom(stems, readerOf(knowledge).words, first);

/** Findings that were read and not confirmed, each with the signs that may have been told in its words. */
export const withKin = (knowledge: Knowledge, findings: readonly Finding[]): Finding[] =>
  findings.map((finding) => {
    const isRead = finding.state === 'seen' && (finding.sure ?? 1) < 1;
    return isRead ? { ...finding, kin: readerOf(knowledge).lexicon.kin.get(finding.sign) } : finding;
  });

/** Words that only some signs use: said of the plant, they must mean something. */
const unexplained = (unread: readonly string[], { language, vocabulary, generic, ordinary }: Lexicon) =>
  [...new Set(unread)].filter((stem) => vocabulary.has(stem) && !generic.has(stem) && !ordinary.has(stem) && !language.fillers.has(stem));

const newSign = 0.5;

/**
 * How usual each sign is on a plant beside the others that are shown there, above 0 to 1: a half for the middle one. Signs that the plant's
 * habit cannot show are 0.
 */
function usualOn({ conditions, signs }: Knowledge, host: HostFacts): Map<string, number> {
  const shown = new Map<string, number>();
  for (const condition of conditions) {
    if (susceptibility(condition, host) === 'unlisted') continue;
    const odds = Math.exp(priorLogOdds(condition, { host }).logOdds);
    for (const [sign, frequency] of Object.entries(condition.signs))
      if (frequency !== 'never') shown.set(sign, (shown.get(sign) ?? 0) + odds * frequencyTable[frequency]);
  }
  const middle = [...shown.values()].sort((a, b) => a - b)[Math.floor(shown.size / 2)] ?? 0;
  const usual = new Map([...shown].map(([sign, chance]) => [sign, chance / (chance + middle)]));
  // A sign that no condition is said to show yet, as one that a garden has just written: it may be anywhere.
  const placed = new Set(conditions.flatMap((one) => Object.keys(one.signs)));
  for (const { id } of signs) if (!placed.has(id)) usual.set(id, newSign);
  const own = [host.id, host.like, host.family, host.kind, host.habit];
  for (const { id, only } of signs) if (only && !only.some((name) => own.includes(name))) usual.set(id, 0);
  return usual;
}
