import fc from 'fast-check';
import { differential } from './differential';
import { seenGiven } from './noisyOr';
import { posterior } from './posterior';
import { priorLogOdds } from './prior';
import { testKnowledge } from './testKnowledge';

const { signs, conditions, hosts } = testKnowledge;
const circumstances = { host: hosts[0]!, month: 7, setting: 'outdoor' } as const;
const sign = (id: string) => signs.find((one) => one.id === id)!;
const cause = (id: string) => conditions.find((one) => one.id === id)!;
const anyFindings = fc.uniqueArray(
  fc.record({ sign: fc.constantFrom(...signs.map(({ id }) => id)), state: fc.constantFrom('seen' as const, 'absent' as const) }),
  { selector: (one) => one.sign },
);

test('noisy-OR worked by hand', () => {
  expect(seenGiven(sign('webs'), [])).toBeCloseTo(0.004, 12);
  expect(seenGiven(sign('sticky'), [cause('aphid')])).toBeCloseTo(1 - 0.98 * 0.07, 12);
  expect(seenGiven(sign('dots'), [cause('mite'), cause('aphid')])).toBeCloseTo(1 - 0.98 * 0.07 * 0.9, 12);
  expect(seenGiven(sign('sticky'), [cause('mite')])).toBeCloseTo(0.004, 12); // a fifth of the leak where it is never seen
});

test('a condition out of season is less likely beforehand, and the seasons swap in the south', () => {
  const odds = (month: number, hemisphere: 'north' | 'south') =>
    priorLogOdds(cause('mite'), { ...circumstances, month, hemisphere }).logOdds;
  expect(odds(1, 'north')).toBeLessThan(odds(7, 'north'));
  expect(odds(1, 'south')).toBe(odds(7, 'north'));
});

test('probabilities of all sets sum to one, whatever was found', () => {
  fc.assert(
    fc.property(anyFindings, (findings) => {
      const { sets } = posterior(testKnowledge, circumstances, findings);
      expect(sets.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
    }),
  );
});

test('a finding of an unknown sign is refused', () => {
  expect(() => posterior(testKnowledge, circumstances, [{ sign: 'glitter', state: 'seen' }])).toThrow('got glitter');
});

test('lay words lead to a ranked cause with its reasons', () => {
  const answer = differential(testKnowledge, { ...circumstances, text: 'pale dots and fine silk but nothing sticky' });
  expect(answer.read.map(({ sign: id, state }) => `${state} ${id}`)).toEqual(['seen dots', 'seen webs', 'absent sticky']);
  expect(answer.ranked[0]).toMatchObject({ condition: 'mite' });
  expect(answer.ranked[0]!.probability).toBeGreaterThan(0.9);
  expect(answer.ranked[0]!.for.length).toBeGreaterThan(0);
});

test('two troubles at once are found together', () => {
  const answer = differential(testKnowledge, {
    ...circumstances,
    findings: [
      { sign: 'dust', state: 'seen' },
      { sign: 'webs', state: 'seen' },
      { sign: 'dots', state: 'seen' },
    ],
  });
  expect([...answer.together[0]!.conditions].sort()).toEqual(['mite', 'rust']);
});

test('nothing seen is said to be too little, and looks are offered', () => {
  const answer = differential(testKnowledge, { ...circumstances, text: 'it looks sad' });
  expect(answer.alerts.map(({ code }) => code)).toContain('too-little-seen');
  expect(answer.nextLooks.length).toBeGreaterThan(0);
  expect(answer.unread).toEqual(['sad']);
});

test('a suspect that must be reported is said first', () => {
  const answer = differential(testKnowledge, { ...circumstances, text: 'orange powder', notifiable: ['rust'] });
  expect(answer.alerts[0]).toMatchObject({ code: 'notifiable' });
});
