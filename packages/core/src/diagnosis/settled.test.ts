import type { Standing } from './settled';
import { isSettled } from './settled';

const standing: Standing = {
  findings: [{ sign: 'dots', state: 'seen' }],
  first: 0.7,
  lead: 0.8,
  looks: [{ gain: 0.5 }],
  unreadTelling: 0,
};

test.each<[string, Partial<Standing>, boolean]>([
  ['a plan that is right four times in five', {}, true],
  [
    'a plan that is right three times in four, with a look that may better it',
    { lead: 0.75, looks: [{ gain: 0.01 }, { gain: 0.03 }] },
    false,
  ],
  ['one that no look would better', { lead: 0.65, looks: [{ gain: 0.029 }] }, true],
  ['one with nothing left to look at', { lead: 0.65, looks: [] }, true],
  ['a first cause that is a guess', { first: 0.59, lead: 0.95 }, false],
  ['words that tell something and could not be read', { unreadTelling: 1, lead: 0.95 }, false],
  ['one sign that was only read', { findings: [{ sign: 'dots', state: 'seen', sure: 0.9 }], lead: 0.95 }, false],
  [
    'two that were read',
    {
      findings: [
        { sign: 'dots', state: 'seen', sure: 0.6 },
        { sign: 'webs', state: 'seen', sure: 0.6 },
      ],
      lead: 0.95,
    },
    true,
  ],
  ['nothing seen', { findings: [{ sign: 'dots', state: 'absent' }], lead: 1, looks: [] }, false],
])('%s', (_, change, settled) => {
  expect(isSettled({ ...standing, ...change })).toBe(settled);
});
