import type { HostFacts, Knowledge } from '../knowledge.js';
import { priorLogOdds, susceptibility } from '../prior.js';
import { frequencyTable } from '../probabilityTable.js';
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
  return readText(text, lexicon, host && usualOn(knowledge, host));
}

/** How usual each sign is on a plant beside the others that are shown there, above 0 to 1: a half for the middle one. */
function usualOn({ conditions }: Knowledge, host: HostFacts): Map<string, number> {
  const shown = new Map<string, number>();
  for (const condition of conditions) {
    if (susceptibility(condition, host) === 'unlisted') continue;
    const odds = Math.exp(priorLogOdds(condition, { host }).logOdds);
    for (const [sign, frequency] of Object.entries(condition.signs))
      if (frequency !== 'never') shown.set(sign, (shown.get(sign) ?? 0) + odds * frequencyTable[frequency]);
  }
  const middle = [...shown.values()].sort((a, b) => a - b)[Math.floor(shown.size / 2)] ?? 0;
  return new Map([...shown].map(([sign, chance]) => [sign, chance / (chance + middle)]));
}
