import { alertsFor } from './alerts';
import { candidatesFor } from './candidates';
import { evidenceAmong } from './evidence';
import type { Finding } from './knowledge';
import { testKnowledge } from './testKnowledge';

const circumstances = { host: testKnowledge.hosts[0]!, month: 7, setting: 'outdoor' } as const;
const signs = new Map(testKnowledge.signs.map((sign) => [sign.id, sign]));
const cause = (id: string) => testKnowledge.conditions.find((one) => one.id === id)!;
const evidence = (id: string, findings: readonly Finding[]) =>
  evidenceAmong(candidatesFor(testKnowledge.conditions, circumstances, findings), findings, signs)(cause(id));

describe('evidence', () => {
  test('against a single rival it is the likelihood ratio: 10 log₁₀ of it', () => {
    const two = candidatesFor(testKnowledge.conditions, circumstances, []).filter(({ condition: { id } }) =>
      ['mite', 'aphid'].includes(id),
    );
    const [one] = evidenceAmong(two, [{ sign: 'sticky', state: 'seen' }], signs)(cause('aphid'));
    // aphid: 1 − 0.98·0.07 · mite never shows it: a fifth of the leak of 0.02
    expect(one!.decibans).toBeCloseTo(10 * Math.log10((1 - 0.98 * 0.07) / 0.004), 9);
  });

  test('what a cause always shows speaks for it when seen and against it when it is not there', () => {
    expect(evidence('aphid', [{ sign: 'sticky', state: 'seen' }])[0]!.decibans).toBeGreaterThan(5);
    expect(evidence('aphid', [{ sign: 'sticky', state: 'absent' }])[0]!.decibans).toBeLessThan(-5);
  });

  test('what a cause never shows speaks against it when seen', () => {
    expect(evidence('mite', [{ sign: 'sticky', state: 'seen' }])[0]!.decibans).toBeLessThan(-5);
  });

  test('the strongest comes first, whichever way it points', () => {
    const sizes = evidence('mite', [
      { sign: 'dust', state: 'absent' },
      { sign: 'webs', state: 'seen' },
      { sign: 'sticky', state: 'seen' },
    ]).map(({ decibans }) => Math.abs(decibans));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });
});

describe('alerts', () => {
  const ranked = (probability: number, kind = 'fungus') => [{ condition: 'rust', name: 'Rust', kind, probability }];
  const seen = (count: number): Finding[] => Array.from({ length: count }, (_, i) => ({ sign: `s${i}`, state: 'seen' }));
  const codes = (...args: Parameters<typeof alertsFor>) => alertsFor(...args).map(({ code }) => code);

  test('a notifiable suspect is told from one chance in ten', () => {
    expect(codes(ranked(0.1), seen(2), ['rust'])).toEqual(['notifiable']);
    expect(codes(ranked(0.09), seen(2), ['rust'])).toEqual([]);
    expect(codes(ranked(0.9), seen(2), ['other'])).toEqual([]);
  });

  test('two diseases that the eye can’t tell apart go to a clinic', () => {
    const two = [...ranked(0.5), { condition: 'blight', name: 'Blight', kind: 'oomycete', probability: 0.4 }];
    expect(codes(two, seen(4), [])).toEqual(['send-sample']);
    expect(codes(two, seen(3), [])).toEqual([]);
    expect(codes([...ranked(0.5, 'insect'), ...ranked(0.4, 'insect')], seen(4), [])).toEqual([]);
  });

  test('too little is said when nothing was seen, or one thing that settles nothing', () => {
    expect(codes(ranked(0.9), [], [])).toEqual(['too-little-seen']);
    expect(codes(ranked(0.9), [{ sign: 'a', state: 'absent' }], [])).toEqual(['too-little-seen']);
    expect(codes(ranked(0.4), seen(1), [])).toEqual(['too-little-seen']);
    expect(codes(ranked(0.6), seen(1), [])).toEqual([]);
  });
});
