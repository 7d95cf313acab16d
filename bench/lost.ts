import type { Library } from '@field-nurse/library';
import { readWords } from '@field-nurse/core/diagnosis';
import { readFileSync } from 'node:fs';
const library = JSON.parse(readFileSync('packages/library/generated/index.json', 'utf8')) as Library;
for (const s of library.signs) {
  const lost = [s.name, ...s.words].filter((w) => !readWords(library, w).read.some((r) => r.sign === s.id && r.state === 'seen'));
  const no = readWords(library, `no ${s.words[0]}`).read.some((r) => r.sign === s.id && r.state === 'seen');
  if (lost.length || no) console.log(s.id, '|', lost.join('; '), no ? '| NO' : '');
}
