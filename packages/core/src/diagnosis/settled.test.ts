import { isSettled } from './settled';

const seen = [{ sign: 'dots', state: 'seen' as const }];

test.each([
  ['a plan that is right four times in five', 0.8, [{ gain: 0.5 }], true],
  ['a plan that is right three times in four, with a look that may better it', 0.75, [{ gain: 0.01 }, { gain: 0.03 }], false],
  ['one that no look would better', 0.4, [{ gain: 0.029 }], true],
  ['one with nothing left to look at', 0.4, [], true],
])('%s: %#', (_, lead, looks, settled) => {
  expect(isSettled(seen, lead, looks)).toBe(settled);
});

test('while nothing was seen, nothing is settled', () => {
  expect(isSettled([{ sign: 'dots', state: 'absent' }], 1, [])).toBe(false);
});
