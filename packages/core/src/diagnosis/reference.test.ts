import fc from 'fast-check';
import type { Circumstances, ConditionFacts, Finding, Frequency } from './knowledge';
import { posterior } from './posterior';
import { priorLogOdds } from './prior';
import { testKnowledge } from './testKnowledge';

// A slow reference, written from the formulas alone: plain products of probabilities, no logarithms, no gates made beforehand.
const q: Readonly<Record<Frequency, number>> = { always: 0.93, often: 0.69, sometimes: 0.35, seldom: 0.1, never: 0 };
const leaks = { everywhere: 0.08, 'now-and-then': 0.02, telling: 0.004 } as const;

// Words that were taken for a sign, over any sign's being there 6 times in 100.
const misread = (sure: number) => ((1 - sure) * 0.06) / (sure * 0.94);

function chanceSeen(sign: (typeof testKnowledge.signs)[number], causes: readonly ConditionFacts[], share: number): number {
  const never = causes.filter((cause) => cause.signs[sign.id] === 'never').length;
  const leak = share * leaks[sign.common] * 0.2 ** never;
  return 1 - causes.reduce((unseen, cause) => unseen * (1 - share * q[cause.signs[sign.id] ?? 'never']), 1 - leak);
}

function slowMarginals(circumstances: Circumstances, findings: readonly Finding[], { conditions } = testKnowledge): Map<string, number> {
  const shown = (one: ConditionFacts) =>
    findings.some(({ sign, state, sure = 1 }) => state === 'seen' && sure >= 0.5 && ['always', 'often'].includes(one.signs[sign] ?? ''));
  const candidates = conditions.filter(({ hosts, ...one }) => hosts.often.includes(circumstances.host.id) || shown({ hosts, ...one }));
  const sets = candidates.flatMap((one, i) => [
    [one],
    ...candidates.slice(i + 1).flatMap((two, j) => [[one, two], ...candidates.slice(i + j + 2).map((three) => [one, two, three])]),
  ]);
  const weights = sets.map((causes) => {
    const links = causes.flatMap((one) => causes.filter((two) => one.follows?.includes(two.id))).length;
    const carried = causes.flatMap((one) => causes.filter((two) => one.carries?.includes(two.id))).length;
    const prior = causes.reduce(
      (product, cause) => product * Math.exp(priorLogOdds(cause, circumstances).logOdds),
      (4 / 0.35) ** links * (3 / 0.35) ** carried * 0.35 ** (causes.length - 1),
    );
    return findings.reduce((product, { sign, state, sure = 1 }) => {
      const seen = chanceSeen(
        testKnowledge.signs.find(({ id }) => id === sign)!,
        causes,
        state === 'seen' ? 1 : sure,
      );
      return product * (state === 'seen' ? seen + misread(sure) * (1 - seen) : 1 - seen);
    }, prior);
  });
  const other = findings.reduce((product, { sign, state, sure = 1 }) => {
    const leak = leaks[testKnowledge.signs.find(({ id }) => id === sign)!.common];
    const seen = Math.max(0.08, leak + misread(sure) * (1 - leak));
    return product * (state === 'seen' ? seen : 1 - sure * seen);
  }, 0.01);
  const total = weights.reduce((sum, weight) => sum + weight, other);
  const marginals = new Map<string, number>([['none of these', other / total]]);
  sets.forEach((causes, i) => causes.forEach(({ id }) => marginals.set(id, (marginals.get(id) ?? 0) + weights[i]! / total)));
  return marginals;
}

const anyFindings = fc.uniqueArray(
  fc.record({
    sign: fc.constantFrom(...testKnowledge.signs.map(({ id }) => id)),
    state: fc.constantFrom('seen' as const, 'absent' as const),
    sure: fc.constantFrom(undefined, 1, 0.9, 0.6, 0.2),
  }),
  { selector: (one) => one.sign },
);

test('the posterior is that of the slow reference, for any findings in any month', () => {
  fc.assert(
    fc.property(anyFindings, fc.integer({ min: 1, max: 12 }), (findings, month) => {
      const circumstances: Circumstances = { host: testKnowledge.hosts[0]!, month, setting: 'outdoor' };
      const { marginals, otherProbability } = posterior(testKnowledge, circumstances, findings);
      const slow = slowMarginals(circumstances, findings);
      expect(otherProbability).toBeCloseTo(slow.get('none of these')!, 9);
      slow.delete('none of these');
      expect([...marginals.keys()].sort()).toEqual([...slow.keys()].sort());
      for (const [id, probability] of slow) expect(marginals.get(id)).toBeCloseTo(probability, 9);
    }),
  );
});

test('forty findings do not pass below the smallest number', () => {
  const signs = Array.from({ length: 40 }, (_, i) => ({ id: `s${i}`, name: '', part: 'leaf', words: [], common: 'telling' as const }));
  const one = { ...testKnowledge.conditions[0]!, signs: Object.fromEntries(signs.map(({ id }) => [id, 'seldom' as const])) };
  const findings = signs.map(({ id }) => ({ sign: id, state: 'seen' as const }));
  const { sets } = posterior({ ...testKnowledge, signs, conditions: [one] }, { host: testKnowledge.hosts[0]! }, findings);
  expect(sets.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
  expect(sets[0]!.probability).toBeGreaterThan(0.5);
});

// Eight made-up causes over the four signs, some alike and some linked, so that groups, silent causes and triples all occur.
const crowd: ConditionFacts[] = [
  ...testKnowledge.conditions,
  ...(['often', 'often', 'seldom', 'never'] as const).map((frequency, i) => ({
    ...testKnowledge.conditions[2]!,
    id: `extra-${i}`,
    common: (['common', 'occasional', 'rare', 'common'] as const)[i]!,
    signs: { dust: frequency },
    ...(i === 1 && { follows: ['mite'] }),
    ...(i === 2 && { carries: ['rust', 'extra-3'] }),
  })),
];

test('among many causes, alike and linked, the sums in closed form are those of every set by itself', () => {
  fc.assert(
    fc.property(anyFindings, (findings) => {
      const circumstances: Circumstances = { host: testKnowledge.hosts[0]!, month: 7, setting: 'outdoor' };
      const { marginals, otherProbability, sets } = posterior({ ...testKnowledge, conditions: crowd }, circumstances, findings);
      const slow = slowMarginals(circumstances, findings, { ...testKnowledge, conditions: crowd });
      expect(otherProbability).toBeCloseTo(slow.get('none of these')!, 9);
      for (const [id, probability] of marginals) expect(probability).toBeCloseTo(slow.get(id)!, 9);
      expect(sets.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
    }),
  );
});

test('two hundred findings do not pass out of the range of a number', () => {
  const signs = Array.from({ length: 200 }, (_, i) => ({ id: `s${i}`, name: '', part: 'leaf', words: [], common: 'telling' as const }));
  const some = (from: number) => Object.fromEntries(signs.slice(from, from + 100).map(({ id }) => [id, 'always' as const]));
  const [one, two] = [0, 100].map((from, i) => ({ ...testKnowledge.conditions[i]!, signs: some(from) })) as [
    ConditionFacts,
    ConditionFacts,
  ];
  const findings = signs.map(({ id }) => ({ sign: id, state: 'seen' as const }));
  const { sets } = posterior({ ...testKnowledge, signs, conditions: [one, two] }, { host: testKnowledge.hosts[0]! }, findings);
  expect(sets[0]!.causes.map(({ id }) => id)).toEqual([one.id, two.id]);
  expect(sets[0]!.probability).toBeCloseTo(1, 9);
});
