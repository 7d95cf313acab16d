import type { Knowledge } from '../knowledge.js';
import { buildLexicon } from './lexicon.js';
import type { Lexicon } from './lexicon.js';
import { readText } from './readText.js';
import type { TextReading } from './readText.js';

// A lexicon takes some milliseconds to build and depends on the knowledge alone.
const lexicons = new WeakMap<Knowledge, Lexicon>();

/** Read a grower's words with the lexicon of a knowledge base, which is built once. */
export function readWords(knowledge: Knowledge, text: string): TextReading {
  const lexicon = lexicons.get(knowledge) ?? buildLexicon(knowledge);
  lexicons.set(knowledge, lexicon);
  return readText(text, lexicon);
}
