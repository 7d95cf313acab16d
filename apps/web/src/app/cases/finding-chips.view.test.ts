import { show } from '../testing/show';
import type { Chip } from './case-findings';
import { FindingChips } from './finding-chips';

const chip = (change: Partial<Chip> = {}): Chip => ({
  sign: 'leaf-webbing',
  state: 'seen',
  phrase: 'cobwebs',
  confirmed: false,
  sure: 0.9,
  ...change,
});

test('a reading shows the words that it came from, and a doubtful one says perhaps', async () => {
  const { page, text, set } = await show(FindingChips, { chips: [chip()] });
  expect(page.getByRole('list', { name: 'Findings' })).toBeTruthy();
  expect(text()).toBe('Fine webbing from “cobwebs”');
  await set({ chips: [chip({ sure: 0.4 })] });
  expect(text()).toBe('Fine webbing perhaps, from “cobwebs”');
});

test('a reading can be confirmed or taken away; it is no old scar before it is confirmed', async () => {
  const { page, told, press } = await show(FindingChips, { chips: [chip()] });
  const [confirmed, removed] = [told('confirmed'), told('removed')];
  await press('Confirm Fine webbing');
  await press('Remove Fine webbing');
  expect([confirmed, removed]).toEqual([[chip()], [chip()]]);
  expect(page.queryByRole('button', { name: /^An old scar/ })).toBeNull();
});

test('what is confirmed can be told to be an old scar, and says so; what is not there can not', async () => {
  const found = chip({ phrase: null, confirmed: true, sure: 1 });
  const { page, text, told, press, set } = await show(FindingChips, { chips: [found] });
  const aged = told('aged');
  expect(page.queryByRole('button', { name: /^An old scar/ })).toBeNull();
  await press('Fine webbing');
  await press('An old scar: Fine webbing');
  expect(aged).toEqual([found]);
  await set({ chips: [{ ...found, state: 'old' }] });
  expect(page.getByRole('button', { name: 'An old scar: Fine webbing' }).getAttribute('aria-pressed')).toBe('true');
  await set({ chips: [{ ...found, state: 'absent' }] });
  expect(text()).toBe('Not there: Fine webbing');
  expect(page.queryByRole('button', { name: /^An old scar/ })).toBeNull();
});

test('who may only look is offered no button', async () => {
  const { page } = await show(FindingChips, { chips: [chip(), chip({ sign: 'sticky-leaves', confirmed: true })], readonly: true });
  expect(page.getAllByRole('listitem')).toHaveLength(2);
  expect(page.queryAllByRole('button')).toEqual([]);
});
