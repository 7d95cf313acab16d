import type { HostFacts, Knowledge } from '../knowledge.js';
import { susceptibility } from '../prior.js';
import { buildLexicon } from './lexicon.js';
import type { Lexicon } from './lexicon.js';
import { readText } from './readText.js';
import type { TextReading } from './readText.js';

// A lexicon takes some milliseconds to build and depends on the knowledge alone.
const lexicons = new WeakMap<Knowledge, Lexicon>();

/** Read a grower's words with the lexicon of a knowledge base, which is built once, and in the light of the plant that they are about. */
export function readWords(knowledge: Knowledge, text: string, host?: HostFacts): TextReading {
  if (text.trim() === '') return { read: [], hosts: [], unread: [] };
  const lexicon = lexicons.get(knowledge) ?? buildLexicon(knowledge);
  lexicons.set(knowledge, lexicon);
  return readText(text, lexicon, host && signsExpectedOn(knowledge, host));
}

function signsExpectedOn({ conditions }: Knowledge, host: HostFacts): Set<string> {
  const here = conditions.filter((condition) => susceptibility(condition, host) !== 'unlisted');
  return new Set(here.flatMap(({ signs }) => Object.keys(signs).filter((sign) => signs[sign] !== 'never')));
}
