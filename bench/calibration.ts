// Cases made from the model, with missed and wrong signs: how often the reasoner is right, whether its chances mean what they say, and how many
// looks it takes from the first finds to a settled plan.
import type { Condition, Host, Library } from '@field-nurse/library';
import type { Circumstances, Finding } from '@field-nurse/core/diagnosis';
import { candidatesFor, differential, seenGiven } from '@field-nurse/core/diagnosis';
import { seededRandom } from '@field-nurse/core/statistics';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const library = JSON.parse(readFileSync(join(import.meta.dirname, '../packages/library/generated/index.json'), 'utf8')) as Library;
const random = seededRandom(20260718);
const cases = Number(process.argv[2] ?? 400);
const signs = new Map(library.signs.map((sign) => [sign.id, sign]));
// A grower misses one sign in twelve that is there, and takes one in fifty for there that is not.
const missed = 1 / 12;
const mistaken = 1 / 50;
const firstFinds = 3;
const mostLooks = 8;
const bins = 10;

interface Case {
  readonly host: Host;
  readonly circumstances: Circumstances;
  readonly causes: readonly Condition[];
  /** every sign that is there */
  readonly truth: ReadonlySet<string>;
}

const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

function weighted<T>(list: readonly T[], weight: (one: T) => number): T {
  let left = random() * list.reduce((sum, one) => sum + weight(one), 0);
  return list.find((one) => (left -= weight(one)) <= 0) ?? list.at(-1)!;
}

function makeCase(): Case {
  const host = pick(library.hosts);
  const setting = host.kind === 'houseplant' ? ('indoor' as const) : ('outdoor' as const);
  const circumstances = { host, setting, month: 1 + Math.floor(random() * 12) };
  const candidates = candidatesFor(library.conditions, circumstances, []);
  const count = random() < 0.82 ? 1 : random() < 0.85 ? 2 : 3;
  const causes = new Set<Condition>();
  for (let i = 0; i < count; i++) causes.add(weighted(candidates, (one) => Math.exp(one.priorLogOdds)).condition as Condition);
  const truth = new Set([...signs.values()].filter((sign) => random() < seenGiven(sign, [...causes])).map(({ id }) => id));
  return { host, circumstances, causes: [...causes], truth };
}

/** What a grower reports of a sign that is, or is not, there. */
const report = (sign: string, { truth }: Case): Finding => ({
  sign,
  state: (truth.has(sign) ? random() >= missed : random() < mistaken) ? 'seen' : 'absent',
});

const tally = { first: 0, three: 0, firstAtOnce: 0, threeAtOnce: 0, looks: 0, settled: 0, brier: 0, brierCount: 0 };
const byBin = Array.from({ length: bins }, () => ({ sum: 0, hits: 0, count: 0 }));

for (let n = 0; n < cases; n++) {
  const one = makeCase();
  // A grower comes because of what the trouble shows, not because of what any plant may show.
  const present = [...one.truth].filter((sign) => one.causes.some(({ signs: own }) => own[sign] !== undefined) && random() >= missed);
  const findings: Finding[] = [];
  while (findings.length < firstFinds && present.length > 0)
    findings.push({ sign: present.splice(Math.floor(random() * present.length), 1)[0]!, state: 'seen' });
  if (random() < 0.1) {
    const { id } = pick(library.signs);
    if (!findings.some(({ sign }) => sign === id)) findings.push(report(id, { ...one, truth: new Set([id]) }));
  }
  let answer = differential(library, { ...one.circumstances, findings });
  count(answer, one, 'AtOnce');
  let looks = 0;
  while (!answer.settled && looks < mostLooks && answer.nextLooks.length > 0) {
    for (const sign of answer.nextLooks[0]!.reveals) findings.push(report(sign, one));
    looks++;
    answer = differential(library, { ...one.circumstances, findings });
  }
  count(answer, one, '');
  tally.looks += looks;
  if (answer.settled) tally.settled++;
}

function count({ ranked }: ReturnType<typeof differential>, { causes }: Case, when: '' | 'AtOnce'): void {
  const isTrue = (id: string) => causes.some((cause) => cause.id === id);
  if (isTrue(ranked[0]!.condition)) tally[`first${when}`]++;
  if (ranked.slice(0, 3).some(({ condition }) => isTrue(condition))) tally[`three${when}`]++;
  if (when !== '') return;
  for (const { condition, probability } of ranked) {
    const hit = isTrue(condition) ? 1 : 0;
    tally.brier += (probability - hit) ** 2;
    tally.brierCount++;
    const bin = byBin[Math.min(bins - 1, Math.floor(probability * bins))]!;
    bin.sum += probability;
    bin.hits += hit;
    bin.count++;
  }
}

const all = byBin.reduce((sum, bin) => sum + bin.count, 0);
const calibrationError = byBin.reduce((sum, { sum: told, hits }) => sum + Math.abs(told - hits) / all, 0);
const percent = (value: number) => `${((100 * value) / cases).toFixed(1)} %`;
console.log(`generated cases: ${cases}, one to three causes, ${(100 * missed).toFixed(0)} % of signs missed, ${100 * mistaken} % wrong`);
console.log(`  a true cause first: ${percent(tally.firstAtOnce)} from the first finds, ${percent(tally.first)} after the looks`);
console.log(`  among the first three: ${percent(tally.threeAtOnce)} and ${percent(tally.three)}`);
console.log(
  `  looks to a settled plan: ${(tally.looks / cases).toFixed(2)} on average; settled within ${mostLooks}: ${percent(tally.settled)}`,
);
console.log(`  Brier score ${(tally.brier / tally.brierCount).toFixed(4)}, expected calibration error ${calibrationError.toFixed(4)}`);
for (const { sum, hits, count: own } of byBin)
  if (own > 0)
    console.log(
      `  told ${(100 * (sum / own)).toFixed(0).padStart(3)} %: true in ${((100 * hits) / own).toFixed(0).padStart(3)} % of ${own}`,
    );
