import { fireEvent } from '@testing-library/dom';
import { reference, show } from '../testing/show';
import { NameField } from './name-field';

async function plantField() {
  const shown = await show(NameField, { label: 'Plant', entries: reference.hosts, required: true, error: 'Name the plant.' });
  const field = () => shown.page.getByLabelText<HTMLInputElement>(/^Plant/);
  /** types and goes on to the next field */
  const say = async (words: string) => {
    await shown.type(/^Plant/, words);
    fireEvent.blur(field());
    await shown.rest();
  };
  return { ...shown, field, say };
}

test('a plant is taken by any of its names, with what was said beside it', async () => {
  const { field, say, told } = await plantField();
  const [value, beside] = [told('value'), told('beside')];
  await say('tomatoes in the tunnel');
  expect(field().value).toBe('Tomato');
  expect([value.at(-1), beside.at(-1)]).toEqual(['tomato', 'in the tunnel']);
});

test('a name that nothing has stays to be put right, and says so', async () => {
  const { field, say, told, text } = await plantField();
  const value = told('value');
  await say('qqqqqq');
  expect(text()).toContain('The library does not know this name.');
  expect(field().value).toBe('qqqqqq');
  await say('');
  expect(text()).toContain('Name the plant.');
  await say('spuds');
  expect(value.at(-1)).toBe('potato');
});

test('a name that was typed before the library was there is settled when it comes', async () => {
  const { field, say, told, set, text } = await plantField();
  const value = told('value');
  await set({ entries: [] });
  await say('spuds');
  expect([field().value, text().includes('does not know')]).toEqual(['spuds', false]);
  await set({ entries: reference.hosts });
  expect([field().value, value.at(-1)]).toEqual(['Potato', 'potato']);
});
