import { signal } from '@angular/core';
import { show } from '../testing/show';
import { sulphurPlan, sulphurRound } from '../testing/test-plan';
import { GardenPlan } from './garden-plan';
import type { RoundRow } from './garden-plan';
import { RoundPanel } from './round-panel';

const way = {
  id: 'w',
  plan: 'sulphur-plan',
  intervention: 'sulphur',
  productId: null,
  minutes: 25,
  reEntryHours: 12,
  preHarvestDays: 3,
  forbidden: {},
};
const move = (date: string, more: object) => ({ round: 'sulphur-plan 1', date, slot: 'morning' as const, ...more });
const moves = [
  move('2026-07-20', { extraLoss: 4.2, product: 'w' }),
  move('2026-07-19', { extraLoss: 0, product: 'w' }),
  move('2026-07-21', { lines: ['rain'] }),
  move('2026-07-22', { unknown: true }),
];
const panel = (row: Partial<RoundRow> = {}, plan: object = {}) =>
  show(
    RoundPanel,
    { round: 'sulphur-plan 1' },
    {
      garden: { treatmentPlans: [sulphurPlan], plannedApplications: [sulphurRound] },
      providers: [
        {
          provide: GardenPlan,
          useValue: {
            round: () => ({ id: 'sulphur-plan 1', plan: sulphurPlan, ordinal: 1, stored: sulphurRound, change: undefined, ...row }),
            wayOf: () => way,
            wayName: () => 'Marshlight Sulphur 80',
            personOf: () => 'Tam',
            plans: signal([sulphurPlan]),
            isReckoning: signal(false),
            progress: signal({ done: 0, of: 0 }),
            moves: signal(moves),
            ...plan,
          },
        },
      ],
    },
  );

test('what, when, by whom, and what waits after it', async () => {
  const { text } = await panel();
  for (const words of [
    'Marshlight Sulphur 80',
    'Planned for this evening, Wren.',
    '25 minutes of work.',
    'Nobody goes there for 12 hours after it.',
    'Nothing is picked for 3 days after it.',
  ])
    expect(text()).toContain(words);
});

test('other half-days by what they cost, the cheapest first; what can’t be is not offered', async () => {
  const { element, press, told } = await panel();
  const offered = [...element.querySelectorAll('[aria-label^="Move it to"]')].map((one) =>
    one.closest('li')!.textContent.replace(/\s+/g, ' ').trim(),
  );
  expect(offered).toEqual(['tomorrow morning costs nothing Move', 'Mon 20 Jul, morning costs 4.20 more Move']);
  const moved = told('moved');
  await press(/^Move it to Mon/);
  expect(moved).toMatchObject([{ to: { date: '2026-07-20', slot: 'morning' } }]);
});

test('while it is reckoned it says how far it is', async () => {
  const { text } = await panel({}, { isReckoning: signal(true), progress: signal({ done: 12, of: 55 }), moves: signal([]) });
  expect(text()).toContain('Reckoning: 12 of 55');
});

test('what is only proposed says so, with who would do it', async () => {
  const to = { round: 'sulphur-plan 1', date: '2026-07-19', slot: 'morning' as const, product: 'w' };
  const { text } = await panel({ stored: undefined, change: { round: to.round, from: undefined, to, why: [] } });
  expect(text()).toContain('Proposed for tomorrow morning, Tam.');
});

test('what is done is not moved', async () => {
  const { text, element } = await panel({ stored: { ...sulphurRound, state: 'done', applicationId: 'log' } });
  expect(text()).toContain('Done this evening');
  expect(element.querySelector('[aria-label^="Move it to"]')).toBeNull();
});
