// How often the cause of a written description comes first and among the first three, for the half used in tuning and the half set aside.
import type { Library } from '@field-nurse/library';
import { answerDifferential } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';

interface Description {
  readonly host: string;
  readonly setting: 'outdoor' | 'greenhouse' | 'indoor';
  readonly month: number;
  readonly cause: string;
  readonly words: string;
}

const library = JSON.parse(readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8')) as Library;
const half = (name: string) => parse(readFileSync(join(import.meta.dirname, `descriptions/${name}.yaml`), 'utf8')) as Description[];

/** Place of the true cause, from 1; 0 where it is not named at all. */
function placeOf({ host, setting, month, words, cause }: Description): number {
  return answerDifferential(library, { host, setting, month, text: words }).ranked.findIndex(({ condition }) => condition === cause) + 1;
}

function report(name: string): void {
  const places = half(name).map(placeOf);
  const share = (limit: number) => (100 * places.filter((place) => place > 0 && place <= limit).length) / places.length;
  console.log(
    `written descriptions, ${name.padEnd(9)} ${places.length}: first ${share(1).toFixed(1)} %, first three ${share(3).toFixed(1)} %`,
  );
}

const missed = process.argv.includes('--missed');
report('tuning');
if (missed)
  for (const one of half('tuning')) {
    const place = placeOf(one);
    if (place !== 1) {
      const { host, setting, month, words, cause } = one;
      const answer = answerDifferential(library, { host, setting, month, text: words });
      console.log(
        `${place} ${host} ${cause}: ${words}\n   read ${answer.read.map(({ sign, state }) => (state === 'seen' ? sign : `no ${sign}`)).join(', ')}`,
      );
      console.log(
        `   unread ${answer.unread.join(' ')}\n   ranked ${answer.ranked
          .slice(0, 4)
          .map(({ condition, probability }) => `${condition} ${probability.toFixed(2)}`)
          .join(', ')} other ${answer.otherProbability.toFixed(2)}`,
      );
    }
  }
else report('setAside');
