import type { DrillAnswer } from '@field-nurse/contract';
import { AssessmentForm } from '../recovery/assessment-form';
import { show } from '../testing/show';
import { DrillsPage } from './drills-page';
import { EyeReading } from './eye-reading';

/** An eye that says half as much again. */
const drilled = (kind: 'leaf' | 'stand', n = 40) => ({
  drills: [
    {
      id: 'd',
      version: 1,
      heldAt: '2026-07-12T18:00:00.000Z',
      by: 'Somebody',
      answers: Array.from({ length: n }, (_, i): DrillAnswer => {
        const truth = 1 + i * 1.5;
        return { kind, item: `${kind}/x`, seconds: 4, truth, guess: Math.min(100, Math.round(truth * 1.5) + (i % 3) - 1) };
      }),
    },
  ],
});

test('what a drilled eye says is put right by a tap, and back again', async () => {
  const { text, press, told, set } = await show(EyeReading, { said: 30 }, { garden: drilled('leaf') });
  const taken = told('taken');
  expect(text()).toMatch(/When you say 30 %, your drills say it is mostly 20 % \(\d+ to \d+\)/);
  await press('Use 20 %');
  await set({ said: 20 });
  expect(text()).toContain('Corrected by your drills from 30 %.');
  await press('Back to 30 %');
  expect(taken).toEqual([20, 30]);
  await set({ said: 30 });
  expect(text()).toContain('mostly 20 %');
  // Another number is another judgement.
  await press('Use 20 %');
  await set({ said: 60 });
  expect(text()).toContain('When you say 60 %');
});

test('nothing is said to nothing, of a stand that was never drilled only how to, and of another’s eye nothing', async () => {
  expect((await show(EyeReading, { said: 0 }, { garden: drilled('leaf') })).text()).toBe('');
  const stand = await show(EyeReading, { said: 30, scale: 'stand' }, { garden: drilled('leaf') });
  expect(stand.text()).toContain('12 drilled leaves');
  const other = drilled('leaf');
  const another = await show(EyeReading, { said: 30 }, { garden: { drills: other.drills.map((one) => ({ ...one, by: 'Isa' })) } });
  expect(another.text()).toContain('Try yours');
  expect((await show(EyeReading, { said: 30 }, { garden: drilled('leaf', 11) })).text()).toContain('Try yours');
});

test('it reaches the form of a look: by the stand’s eye where the stand is judged', async () => {
  const { press, text, told } = await show(AssessmentForm, { before: 30, nextIn: () => 7 }, { garden: drilled('leaf') });
  const saved = told('saved');
  await press('Use 20 %');
  expect(text()).toContain('Severity: 20 % of the plant');
  await press('Log this look');
  expect(saved).toMatchObject([{ severity: 20 }]);
});

test('the page of drills says how the eye does, and what it reads', async () => {
  const { text, press } = await show(DrillsPage, {}, { garden: drilled('leaf') });
  expect(text()).toContain('Last drilled 6 days ago');
  expect(text()).toMatch(/Bias \d+(\.\d)? points too much/);
  expect(text()).toMatch(/Concordance 0\.\d\d/);
  expect(text()).toContain('50 % 33 %');
  await press('Whole beds');
  expect(text()).toContain('Judge a few drawn beds');
  const empty = await show(DrillsPage);
  expect(empty.text()).toContain('not tried yet');
  expect(empty.text()).toContain('Judge a few drawn leaves');
});
