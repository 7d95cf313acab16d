// How long a differential takes on the shipped library and on one of 250 conditions, beside reading the library's index on the same machine.
import type { Library } from '@field-nurse/library';
import { answerDifferential } from '@field-nurse/library/answers';
import { seededRandom } from '@field-nurse/core/statistics';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const text = readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8');
const library = JSON.parse(text) as Library;
let next = 0;
let larger: Library | undefined;
const questions = [
  { host: 'cucumber', text: 'fine pale dots on the leaves by the door, webs under the worst ones', month: 7, setting: 'greenhouse' },
  { host: 'potato', text: 'dark wet blotches on the tips, white fringe underneath in the morning', month: 7, setting: 'outdoor' },
  { host: 'monstera', text: 'silvery patches with tiny black dots, no webs, not sticky', month: 5, setting: 'indoor' },
] as const;

const small = medianMs(() => ask(library));
const large = medianMs(() => ask(largerLibrary(250)));
const parse = medianMs(() => JSON.parse(text));
const line = (name: string, ms: number) => console.log(`${name.padEnd(52)} ${ms.toFixed(1).padStart(8)} ms   ${(ms / parse).toFixed(2)} ×`);
line('baseline: reading the library index', parse);
line(`differential, ${library.conditions.length} conditions`, small);
line('differential, 250 conditions', large);

function ask(from: Library): void {
  answerDifferential(from, questions[next++ % questions.length]!);
}

/** The shipped conditions again and again, each copy with some of its signs exchanged. */
function largerLibrary(count: number): Library {
  larger ??= grow(count);
  return larger;
}

function grow(count: number): Library {
  const random = seededRandom(250);
  const conditions = Array.from({ length: count }, (_, i) => {
    const original = library.conditions[i % library.conditions.length]!;
    if (i < library.conditions.length) return original;
    const signs = Object.fromEntries(
      Object.entries(original.signs).map(([sign, frequency]) => [
        random() < 0.5 ? sign : library.signs[Math.floor(random() * library.signs.length)]!.id,
        frequency,
      ]),
    );
    return { ...original, id: `${original.id}-${i}`, signs };
  });
  return { ...library, conditions };
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
