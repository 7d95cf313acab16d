import fc from 'fast-check';
import { differential, mergeFindings } from './differential';
import type { Finding } from './knowledge';
import { posterior } from './posterior';
import { testKnowledge } from './testKnowledge';

// What must hold of a differential whatever was found.

const { signs, conditions, hosts } = testKnowledge;
const circumstances = { host: hosts[0]!, month: 7, setting: 'outdoor' } as const;
const findings = fc.uniqueArray(
  fc.record({ sign: fc.constantFrom(...signs.map(({ id }) => id)), state: fc.constantFrom('seen' as const, 'absent' as const) }),
  { selector: ({ sign }) => sign },
);
const believe = (list: readonly Finding[]) => posterior(testKnowledge, circumstances, list);
const chance = (list: readonly Finding[], id: string) => believe(list).marginals.get(id) ?? 0;
const oddsOf = (probability: number) => probability / (1 - probability);

test('the order of looking does not matter', () => {
  fc.assert(
    fc.property(findings, (list) => {
      const [there, back] = [believe(list), believe([...list].reverse())];
      for (const [id, probability] of there.marginals) expect(back.marginals.get(id)).toBeCloseTo(probability, 12);
      expect(back.otherProbability).toBeCloseTo(there.otherProbability, 12);
    }),
  );
});

test('a cause that bears on what was seen is as likely as all the sets that hold it', () => {
  fc.assert(
    fc.property(findings, (list) => {
      const { sets, marginals } = believe(list);
      const seen = list.filter(({ state }) => state === 'seen');
      for (const [id, probability] of marginals) {
        expect(probability).toBeGreaterThanOrEqual(0);
        expect(probability).toBeLessThanOrEqual(1 + 1e-12);
        const { signs: shown } = conditions.find((one) => one.id === id)!;
        if (!seen.some(({ sign }) => shown[sign] !== undefined)) continue;
        const own = sets.filter(({ causes }) => causes.some((one) => one.id === id));
        const mass = own.reduce((sum, one) => sum + one.probability, 0);
        expect(mass).toBeCloseTo(probability, 12);
      }
    }),
  );
});

test('seeing what a cause always shows never makes it less likely than looking and not finding it', () => {
  fc.assert(
    fc.property(findings, (list) => {
      for (const { id, signs: shown } of conditions)
        for (const [sign, frequency] of Object.entries(shown)) {
          if (frequency !== 'always' || list.some((one) => one.sign === sign)) continue;
          const [seen, absent] = (['seen', 'absent'] as const).map((state) => chance([...list, { sign, state }], id));
          expect(seen!).toBeGreaterThanOrEqual(absent!);
        }
    }),
  );
});

test('what was not looked at says nothing: before a look the chance lies between its two answers', () => {
  fc.assert(
    fc.property(findings, fc.constantFrom(...signs.map(({ id }) => id)), (list, sign) => {
      if (list.some((one) => one.sign === sign)) return;
      const before = believe(list);
      const [seen, absent] = (['seen', 'absent'] as const).map((state) => believe([...list, { sign, state }]));
      // A seen sign may bring causes into question that were not there before.
      if (seen!.candidates.length !== before.candidates.length) return;
      for (const [id, probability] of before.marginals) {
        const ends = [seen!.marginals.get(id)!, absent!.marginals.get(id)!].sort((a, b) => a - b);
        expect(probability).toBeGreaterThanOrEqual(ends[0]! - 1e-9);
        expect(probability).toBeLessThanOrEqual(ends[1]! + 1e-9);
      }
    }),
  );
});

test('what the hand says outranks what the words say', () => {
  fc.assert(
    fc.property(findings, findings, (byHand, read) => {
      const merged = new Map(mergeFindings(byHand, read).map(({ sign, state }) => [sign, state]));
      for (const { sign, state } of byHand) expect(merged.get(sign)).toBe(state);
      expect(merged.size).toBe(new Set([...byHand, ...read].map(({ sign }) => sign)).size);
    }),
  );
});

test('the ranked list goes down, and every reason points its own way', () => {
  fc.assert(
    fc.property(findings, (list) => {
      const { ranked } = differential(testKnowledge, { ...circumstances, findings: list });
      const chances = ranked.map(({ probability }) => probability);
      expect(chances).toEqual([...chances].sort((a, b) => b - a));
      for (const one of ranked) {
        expect(one.for.every(({ decibans }) => decibans > 0)).toBe(true);
        expect(one.against.every(({ decibans }) => decibans < 0)).toBe(true);
      }
    }),
  );
});

test('a host that a cause does not live on makes it no likelier', () => {
  const [bean, pear] = [hosts[0]!, { ...hosts[0]!, id: 'pear', name: 'Pear', names: [], family: 'rosaceae', kind: 'fruit' }];
  const seen: Finding[] = [{ sign: 'sticky', state: 'seen' }];
  const on = (host: typeof bean, id: string) => posterior(testKnowledge, { ...circumstances, host }, seen).marginals.get(id) ?? 0;
  expect(oddsOf(on(bean, 'aphid'))).toBeGreaterThan(oddsOf(on(pear, 'aphid')));
  expect(on(pear, 'gnat')).toBeGreaterThan(on(bean, 'gnat'));
});
