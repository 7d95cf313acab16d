import { waitFor } from '@testing-library/dom';
import { Calc } from '../calc/calc';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { contents } from '../testing/test-garden';
import { BeforeItComes } from './before-it-comes';

const option = (id: string, name: string, rung: string, verdict = 'fits') => ({ id, name, rung, verdict });
const options = [
  option('bt-kurstaki', 'Bacillus thuringiensis', 'soft'),
  option('fine-mesh', 'Fine mesh', 'barrier'),
  option('sulphur', 'Sulphur', 'soft'),
  option('copper', 'Copper', 'soft', 'ruled-out'),
];
const panel = async (condition: string, openedOn = '2025-07-22') => {
  const saved: unknown[][] = [];
  const { host } = contents.plantings.find(({ id }) => id === 'leeks')!;
  const line = { id: 'past', plantingId: 'leeks', placeId: 'bed', host, openedOn, closedOn: openedOn, conditions: [condition] };
  const shown = await show(
    BeforeItComes,
    {},
    {
      garden: { pastCases: [line] },
      providers: [
        { provide: Calc, useValue: { options: () => Promise.resolve({ options }) } },
        { provide: Records, useValue: { save: (...write: unknown[]) => Promise.resolve(void saved.push(write)) } },
      ],
    },
  );
  return { saved, ...shown };
};

test('against a pest that is due again a barrier is proposed, and no spray', async () => {
  const { text, press, saved } = await panel('leek-moth');
  expect(text()).toContain('Leek moth');
  expect(text()).toContain('First seen about 22 Jul in 2025. Begin now, before it is there.');
  await waitFor(() => expect(text()).toContain('Plan: Fine mesh'));
  expect(text()).not.toMatch(/Plan: (Bacillus|Sulphur|Copper)/);
  await press('Plan: Fine mesh');
  expect(saved[0]?.[3]).toMatchObject({
    plantingId: 'leeks',
    caseId: null,
    against: ['leek-moth'],
    interventions: ['fine-mesh'],
    startsOn: '2026-07-18',
    rounds: 1,
  });
});

test('against a disease what stays on the leaf is proposed, in rounds until three weeks past its day', async () => {
  const { text, press, saved } = await panel('leek-white-tip', '2025-08-20');
  expect(text()).toContain('Begin by 30 Jul');
  await waitFor(() => expect(text()).toContain('Plan: Sulphur'));
  await press('Plan: Sulphur');
  expect(saved[0]?.[3]).toMatchObject({ startsOn: '2026-07-30', rounds: 7, betweenDays: 7 });
});

test('nothing is due: nothing is said', async () => {
  const { text } = await panel('leek-moth', '2025-11-02');
  expect(text()).toBe('');
});
