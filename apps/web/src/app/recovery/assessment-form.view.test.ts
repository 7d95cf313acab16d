import { show } from '../testing/show';
import { assessment } from '../testing/test-garden';
import { AssessmentForm } from './assessment-form';

const inputs = { nextIn: ({ severity }: { severity: number }) => (severity > 20 ? 3 : 7) };

test('a new look begins from the one before, today, with the next one proposed', async () => {
  const { page, text, told, press } = await show(AssessmentForm, { ...inputs, before: 30 });
  const saved = told('saved');
  expect(text()).toContain('Severity: 30 % of the plant');
  expect(page.getByLabelText<HTMLInputElement>('Look again on').value).toBe('21 Jul 2026');
  expect(text()).toContain('in 3 days');
  await press('Log this look');
  expect(saved).toEqual([
    { severity: 30, count: null, newGrowth: 'unknown', assessedOn: '2026-07-18', nextAssessmentOn: '2026-07-21', note: '' },
  ]);
});

test('the proposal moves with the day of the look, and may be left out', async () => {
  const { page, type, told, press, text } = await show(AssessmentForm, inputs);
  const saved = told('saved');
  await type('Looked on', '16/7/2026');
  expect(page.getByLabelText<HTMLInputElement>('Look again on').value).toBe('23 Jul 2026');
  await type('Look again on', '');
  expect(text()).toContain('no look planned');
  await press('Log this look');
  expect(saved).toMatchObject([{ assessedOn: '2026-07-16', nextAssessmentOn: null }]);
});

test.each([
  ['Count (if you count)', '-3', 'A whole number from 0, or empty.'],
  ['Count (if you count)', '2.5', 'A whole number from 0, or empty.'],
  ['Looked on', '1 Aug 2026', 'Give a day up to 18 Jul 2026.'],
  ['Looked on', '', 'Give a day up to 18 Jul 2026.'],
  ['Looked on', 'last Tuesday', 'Give a day up to 18 Jul 2026.'],
])('%s “%s” is refused where it stands, and not saved', async (label, value, fault) => {
  const { type, told, press, text } = await show(AssessmentForm, inputs);
  const saved = told('saved');
  await type(label, value);
  expect(text()).toContain(fault);
  await press('Log this look');
  expect(saved).toEqual([]);
});

test('a look is corrected as it was, or left', async () => {
  const { told, press, type, text } = await show(AssessmentForm, { ...inputs, look: { ...assessment, count: 12, note: 'leaf curl' } });
  const [saved, left] = [told('saved'), told('left')];
  expect(text()).toContain('Severity: 10 % of the plant');
  await type('Note', ' better ');
  await press('Save the look');
  await press('Leave it');
  expect(saved).toEqual([
    { severity: 10, count: 12, newGrowth: 'marked', assessedOn: '2026-07-03', nextAssessmentOn: null, note: 'better' },
  ]);
  expect(left).toHaveLength(1);
});
