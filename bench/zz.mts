import { readFileSync } from 'node:fs';
import { buildLexicon } from '../packages/core/src/diagnosis/text/lexicon.js';
import { findMatches } from '../packages/core/src/diagnosis/text/findMatches.js';
import { tokenise } from '../packages/core/src/diagnosis/text/tokens.js';
const L = JSON.parse(readFileSync('packages/library/generated/index.json','utf8'));
const lex = buildLexicon(L);
const t = tokenise(process.argv[2]!, lex.language);
for (const m of findMatches(t, lex).slice(0,14)) console.log(m.meaning.kind, m.meaning.id, m.at.map(i=>t[i]!.word).join(' '), m.score.toFixed(1), m.sure.toFixed(2));
