// How long a differential with its next looks takes on the shipped library, beside reading the library's index on the same machine.
import type { Library } from '@field-nurse/library';
import { answerDifferential } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const text = readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8');
const library = JSON.parse(text) as Library;
let next = 0;
const questions = [
  { host: 'cucumber', text: 'fine pale dots on the leaves by the door, webs under the worst ones', month: 7, setting: 'greenhouse' },
  { host: 'potato', text: 'dark wet blotches on the tips, white fringe underneath in the morning', month: 7, setting: 'outdoor' },
  { host: 'monstera', text: 'silvery patches with tiny black dots, no webs, not sticky', month: 5, setting: 'indoor' },
  { host: 'tomato', text: 'wilting, yellow lower leaves, brown spots, stunted, leaves curling', month: 7, setting: 'outdoor' },
] as const;

const whole = medianMs(() => ask(library));
const parse = medianMs(() => JSON.parse(text));
const line = (name: string, ms: number) => console.log(`${name.padEnd(52)} ${ms.toFixed(1).padStart(8)} ms   ${(ms / parse).toFixed(2)} ×`);
line('baseline: reading the library index', parse);
line(`differential, ${library.conditions.length} conditions`, whole);

function ask(from: Library): void {
  answerDifferential(from, questions[next++ % questions.length]!);
}

function medianMs(work: () => unknown): number {
  const warmUp = 6;
  const runs = 25;
  for (let i = 0; i < warmUp; i++) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}
