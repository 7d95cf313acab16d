import { show } from '../testing/show';
import { assessment } from '../testing/test-garden';
import { AssessmentForm } from './assessment-form';

const usual = {
  partId: null,
  plant: null,
  scale: 'plant',
  counts: [],
  countedOn: 'plant',
  plantsLooked: null,
  plantsMarked: null,
  flowers: null,
  photos: [],
};
const inputs = { nextIn: ({ severity }: { severity: number }) => (severity > 20 ? 3 : 7) };

test('a new look begins from the one before, today, with the next one proposed', async () => {
  const { page, text, told, press } = await show(AssessmentForm, { ...inputs, before: 30 });
  const saved = told('saved');
  expect(text()).toContain('Severity: 30 % of the plant');
  expect(page.getByLabelText<HTMLInputElement>('Look again on').value).toBe('21 Jul 2026');
  expect(text()).toContain('in 3 days');
  await press('Log this look');
  expect(saved).toEqual([
    { ...usual, severity: 30, count: null, newGrowth: 'unknown', assessedOn: '2026-07-18', nextAssessmentOn: '2026-07-21', note: '' },
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
    { ...usual, severity: 10, count: 12, newGrowth: 'marked', assessedOn: '2026-07-03', nextAssessmentOn: null, note: 'better' },
  ]);
  expect(left).toHaveLength(1);
});

test('leaf by leaf: the sum is the count, and a part is looked at by itself', async () => {
  const part = { id: 'soaped', name: 'Soaped half', intervention: 'insecticidal-soap', plants: 5, strips: [] };
  const { told, press, text, page } = await show(AssessmentForm, {
    ...inputs,
    parts: [part],
    plants: 10,
    look: { ...assessment, partId: 'soaped' },
  });
  const saved = told('saved');
  await press('One more: On this leaf');
  await press('One more: On this leaf');
  await press('Next leaf');
  await press('Next leaf');
  expect(text()).toContain('2 on 2: 1.0 on each.');
  expect(page.getByLabelText<HTMLInputElement>('Count (if you count)').value).toBe('2');
  await press('Save the look');
  expect(saved).toMatchObject([{ partId: 'soaped', plant: null, counts: [2, 0], countedOn: 'leaf', count: 2 }]);
});

test('one plant needs its number, and no more can have it than were looked at', async () => {
  const { told, press, type, text } = await show(AssessmentForm, {
    ...inputs,
    plants: 10,
    look: { ...assessment, plant: 4, plantsLooked: 5 },
  });
  const saved = told('saved');
  await type('Plant, counted along the rows', '11');
  expect(text()).toContain('A whole number from 1 to 10, or empty.');
  await press('Save the look');
  await type('Plant, counted along the rows', '7');
  await type('Of these had it', '6');
  await press('Save the look');
  expect(saved).toEqual([]);
  await type('Of these had it', '2');
  await press('Save the look');
  expect(saved).toMatchObject([{ plant: 7, partId: null, plantsLooked: 5, plantsMarked: 2 }]);
});
