// How often the cause of a written description comes first and among the first three, set by set; and what the reader made of each on request.
//   --missed <set>   the descriptions of that set whose cause does not come first
import type { Library } from '@field-nurse/library';
import { answerDifferential } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';

interface Description {
  readonly id: string;
  /** as the grower typed it */
  readonly plant: string;
  readonly setting: 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic';
  readonly month: number;
  /** one list of accepted conditions for each true cause */
  readonly causes: readonly (readonly string[])[];
  readonly words: string;
}

const library = JSON.parse(readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8')) as Library;

interface Told {
  readonly host: string;
  readonly setting: Description['setting'];
  readonly month: number;
  readonly cause: string;
  readonly words: string;
}

/** The older sets name one cause and a plant of the library. */
const asDescription = (told: Told | Description, i: number): Description => {
  const one = 'causes' in told ? told : { ...told, id: String(i), plant: told.host, causes: [[told.cause]] };
  return { ...one, causes: one.causes.map((accepted) => accepted.flatMap((id) => splits[id] ?? [id])) };
};

/** Where an entry was split, a description that names the old one is right with each of the new ones. */
const splits = parse(readFileSync(join(import.meta.dirname, 'descriptions/splits.yaml'), 'utf8')) as Readonly<
  Record<string, readonly string[]>
>;

const read = (name: string) =>
  (parse(readFileSync(join(import.meta.dirname, `descriptions/${name}.yaml`), 'utf8')) as (Told | Description)[]).map(asDescription);

const answer = ({ plant, setting, month, words }: Description) => answerDifferential(library, { host: plant, setting, month, text: words });

interface Outcome {
  readonly description: Description;
  readonly answer: ReturnType<typeof answer> | undefined;
  /** place of each true cause, from 1; 0 where it is not named */
  readonly places: readonly number[];
}

function outcome(description: Description): Outcome {
  try {
    const given = answer(description);
    const places = description.causes.map((accepted) => given.ranked.findIndex(({ condition }) => accepted.includes(condition)) + 1);
    return { description, answer: given, places };
  } catch {
    return { description, answer: undefined, places: description.causes.map(() => 0) };
  }
}

const within = (place: number, limit: number) => place > 0 && place <= limit;
const percent = (count: number, of: number) => (of === 0 ? '  –  ' : `${((100 * count) / of).toFixed(1)} %`);

function report(name: string): void {
  const outcomes = read(name).map(outcome);
  const single = outcomes.filter(({ places }) => places.length === 1);
  const several = outcomes.filter(({ places }) => places.length > 1);
  const count = (list: readonly Outcome[], met: (places: readonly number[]) => boolean) => list.filter(({ places }) => met(places)).length;
  const refused = outcomes.filter((one) => !one.answer);
  console.log(
    [
      `written descriptions, ${name.padEnd(9)} ${outcomes.length}:`,
      `first ${percent(
        count(single, ([place]) => place === 1),
        single.length,
      )}, first three ${percent(
        count(single, ([place]) => within(place!, 3)),
        single.length,
      )} of ${single.length}`,
      `two causes in the first four ${percent(
        count(several, (places) => places.every((place) => within(place, 4))),
        several.length,
      )} of ${several.length}`,
      `plants refused ${refused.length}${refused.length > 0 ? ` (${refused.map(({ description }) => description.plant).join(', ')})` : ''}`,
      `calibration ${calibration(outcomes).error.toFixed(3)}`,
    ].join('; '),
  );
  console.log(
    `  said and right, by tenths: ${calibration(outcomes)
      .bins.map(({ count, said, right }) =>
        count ? `${((100 * said) / count).toFixed(0)}→${((100 * right) / count).toFixed(0)} (${count})` : '–',
      )
      .join(' ')}`,
  );
}

/** Expected calibration error of the chances of the first eight causes, in bins of a tenth. */
function calibration(outcomes: readonly Outcome[]) {
  const bins = Array.from({ length: 10 }, () => ({ count: 0, said: 0, right: 0 }));
  for (const { answer: given, description } of outcomes)
    for (const { condition, probability } of given?.ranked.slice(0, 8) ?? []) {
      const bin = bins[Math.min(9, Math.floor(probability * 10))]!;
      bin.count++;
      bin.said += probability;
      bin.right += Number(description.causes.some((accepted) => accepted.includes(condition)));
    }
  const all = bins.reduce((sum, { count }) => sum + count, 0);
  return { bins, error: bins.reduce((sum, { said, right }) => sum + Math.abs(said - right), 0) / all };
}

function showMissed(name: string): void {
  for (const { description, answer: given, places } of read(name).map(outcome)) {
    if (places.length === 1 ? places[0] === 1 : places.every((place) => within(place, 4))) continue;
    console.log(
      `\n${places.join('+')} ${description.id} ${description.plant} [${description.causes.map((one) => one.join('/')).join(' + ')}] ${description.words}`,
    );
    if (!given) continue;
    console.log(
      `   read ${given.read.map(({ sign, state, phrase, sure }) => `${state === 'seen' ? '' : 'no '}${sign} (${phrase}, ${sure.toFixed(2)})`).join('; ')}`,
    );
    console.log(`   unread ${given.unread.join(' ')}`);
    console.log(
      `   ranked ${given.ranked
        .slice(0, 5)
        .map(({ condition, probability }) => `${condition} ${probability.toFixed(2)}`)
        .join(', ')}; none ${given.otherProbability.toFixed(2)}`,
    );
  }
}

const at = process.argv.indexOf('--missed');
if (at >= 0) showMissed(process.argv[at + 1] ?? 'tuning');
else
  for (const name of process.argv[2]
    ? process.argv.slice(2)
    : ['tuning', 'setAside', 'growers', 'first', 'second', 'sealed', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'])
    report(name);
