import { answerOptions } from '@field-nurse/library/answers';
import { reference, show } from '../testing/show';
import { OptionCard } from './option-card';
import { VerdictMark } from './verdict-mark';

const { options } = answerOptions(reference, {
  host: 'rose',
  conditions: ['green-aphid'],
  setting: 'outdoor',
  plants: 3,
} as never);
const option = (id: string) => options.find((one) => one.id === id)!;
const inputs = { option: option('insecticidal-soap'), plants: 3 };

test('an option says what to expect of it, how well that is tested, and how long it takes', async () => {
  const { text, page } = await show(OptionCard, inputs);
  const [low, high] = inputs.option.expected.efficacy;
  expect(page.getByRole('heading', { level: 3 }).textContent).toBe('Insecticidal soap');
  expect(text()).toContain(`takes away ${low}–${high} %, `);
  expect(text()).toContain('3 min of work');
});

test('work for many plants is told in hours', async () => {
  const { text } = await show(OptionCard, { ...inputs, plants: 200 });
  expect(text()).toContain('3.3 h of work');
});

test('how it is done, with what to wear and what to mind', async () => {
  const { text } = await show(OptionCard, inputs);
  for (const step of reference.interventions.find(({ id }) => id === 'insecticidal-soap')!.steps) expect(text()).toContain(step);
  expect(text()).toMatch(/Wear: .*gloves.*\./i);
});

test('it is chosen by a press; watching is called so; who only looks chooses nothing', async () => {
  const { told, press, set, page, text } = await show(OptionCard, inputs);
  const chosen = told('chosen');
  await press('Choose Insecticidal soap');
  expect(chosen).toEqual([inputs.option]);
  await set({ option: option('watch'), first: true });
  expect(text()).toContain('least loss expected');
  expect(text()).toContain('Watch it');
  await set({ canChoose: false });
  expect(page.queryByRole('button')).toBeNull();
});

test('reasons stand in words, those for it marked', async () => {
  const reasons = [
    { code: 'bees', weight: 'care', text: 'Bees fly now.' },
    { code: 'gentle', weight: 'for', text: 'Gentle.' },
  ];
  const { page } = await show(OptionCard, { ...inputs, option: { ...inputs.option, reasons } });
  expect(page.getByText('Gentle.').className).toContain('for');
  expect(page.getByText('Bees fly now.').className).not.toContain('for');
});

test.each([
  ['fits', 1],
  ['care', 2],
  ['ruled-out', 2],
])('the verdict “%s” has a shape of its own, not only a colour', async (verdict, paths) => {
  const { element, text } = await show(VerdictMark, { verdict });
  expect(element.querySelectorAll('path')).toHaveLength(paths);
  expect(text().length).toBeGreaterThan(2);
});
