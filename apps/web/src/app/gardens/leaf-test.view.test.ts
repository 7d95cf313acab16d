import { show } from '../testing/show';
import { LeafTest } from './leaf-test';
import { Records } from './records';

const test1 = {
  id: 'leaves',
  version: 2,
  plantingId: 'leeks',
  caseId: 'rust',
  intervention: 'insecticidal-soap',
  productId: null,
  sprayedOn: '2026-07-16',
  lookOn: '2026-07-18',
  outcome: 'waiting' as const,
  note: '',
};
const shown = async (testSprays: object[]) => {
  const saved: unknown[][] = [];
  const records = { save: (...write: unknown[]) => Promise.resolve(void saved.push(write)) };
  const providers = [{ provide: Records, useValue: records }];
  const inputs = { planting: 'leeks', intervention: 'insecticidal-soap', case: 'rust' };
  return { saved, ...(await show(LeafTest, inputs, { garden: { testSprays: testSprays as never }, providers })) };
};

test('never tried: how, and a button that begins two days of waiting', async () => {
  const { text, press, saved } = await shown([]);
  expect(text()).toContain('Wet three leaves');
  await press('I sprayed a few leaves now');
  expect(saved[0]?.[3]).toMatchObject({ plantingId: 'leeks', sprayedOn: '2026-07-18', lookOn: '2026-07-20', outcome: 'waiting' });
});

test('due: how are they?', async () => {
  const { text, press, saved } = await shown([test1]);
  expect(text()).toContain('How are the leaves?');
  await press('Spotted or burnt');
  expect(saved[0]?.slice(0, 3)).toEqual(['testSprays', 'leaves', 2]);
  expect(saved[0]?.[3]).toMatchObject({ outcome: 'marked' });
});

test('still waiting says until when; the newest test counts', async () => {
  const older = { ...test1, id: 'older', sprayedOn: '2026-05-01', lookOn: '2026-05-03', outcome: 'marked' };
  const { text } = await shown([{ ...test1, lookOn: '2026-07-19' }, older]);
  expect(text()).toContain('look on 19 Jul');
});

test('what marked them can be taken back', async () => {
  const { press, saved, text } = await shown([{ ...test1, outcome: 'marked' }]);
  expect(text()).toContain('it marked the leaves');
  await press('It was something else');
  expect(saved[0]?.[3]).toMatchObject({ outcome: 'clean' });
});
