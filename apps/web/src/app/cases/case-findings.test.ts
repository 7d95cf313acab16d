import type { CaseFinding } from '@field-nurse/contract';
import type { SignState } from './case-findings';
import { chipsOf, evidenceOf, nextState, withFinding } from './case-findings';

const finding = (sign: string, state: CaseFinding['state']): CaseFinding => ({
  sign,
  state,
  source: 'tap',
  phrase: null,
  on: '2026-07-18',
});
const reading = (sign: string, state: 'seen' | 'absent' = 'seen') => ({ sign, state, phrase: sign, sure: 0.8 });

test('a reading waits until a hand has touched its sign', () => {
  expect(chipsOf([], [reading('webs')])).toEqual([{ sign: 'webs', state: 'seen', phrase: 'webs', sure: 0.8, confirmed: false }]);
  expect(chipsOf([finding('webs', 'absent')], [reading('webs')])).toEqual([
    { sign: 'webs', state: 'absent', phrase: null, confirmed: true, sure: 1 },
  ]);
});

test('what was struck is silent, and its reading does not come back', () => {
  expect(chipsOf([finding('webs', 'struck')], [reading('webs'), reading('dust', 'absent')])).toMatchObject([
    { sign: 'dust', confirmed: false },
  ]);
});

test('a sign has one finding; the newest stands', () => {
  const once = withFinding([finding('webs', 'seen'), finding('dust', 'seen')], finding('webs', 'absent'));
  expect(once.map(({ sign, state }) => `${sign} ${state}`)).toEqual(['dust seen', 'webs absent']);
});

test('not looked takes the finding out', () => {
  expect(withFinding([finding('webs', 'seen')], { ...finding('webs', 'seen'), state: 'not-looked' })).toEqual([]);
});

test('three taps lead round: seen, looked and not there, not looked', () => {
  const round: SignState[] = ['not-looked', 'seen', 'absent', 'not-looked'];
  round.slice(0, -1).forEach((state, i) => expect(nextState(state)).toBe(round[i + 1]));
  expect(nextState('struck')).toBe('seen');
});

test('an old scar stays a chip and is no evidence of what is at work now', () => {
  const chips = chipsOf([finding('webs', 'old'), finding('dust', 'absent')], []);
  expect(chips.map(({ state }) => state)).toEqual(['old', 'absent']);
  expect(evidenceOf(chips)).toEqual([{ sign: 'dust', state: 'absent', sure: 1 }]);
});

test('a reading counts for as much as it is sure until a hand confirms it', () => {
  expect(evidenceOf(chipsOf([], [reading('webs')]))).toEqual([{ sign: 'webs', state: 'seen', sure: 0.8 }]);
  expect(evidenceOf(chipsOf([finding('webs', 'seen')], [reading('webs')]))).toEqual([{ sign: 'webs', state: 'seen', sure: 1 }]);
});
