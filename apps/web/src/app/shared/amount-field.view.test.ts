import { show } from '../testing/show';
import { AmountField } from './amount-field';

test('tells the number as it is typed, and that there is none', async () => {
  const { type, told } = await show(AmountField, { label: 'Plants', value: 3 });
  const typed = told('typed');
  await type('Plants', '12.5');
  await type('Plants', '');
  expect(typed).toEqual([12.5, NaN]);
});

test('what is wrong stands below it, in place of the hint, and is told to who can’t see it', async () => {
  const { text, page, set } = await show(AmountField, { label: 'Plants', value: 0, hint: 'as many as are sick' });
  expect(text()).toContain('as many as are sick');
  await set({ fault: 'One at least.' });
  expect(text()).toContain('One at least.');
  expect(text()).not.toContain('as many as are sick');
  expect(page.getByLabelText('Plants').getAttribute('aria-invalid')).toBe('true');
});
