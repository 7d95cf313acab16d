import { within } from '@testing-library/dom';
import { answerTo } from '../testing/answers';
import { reference, show, wordsOf } from '../testing/show';
import type { SignState } from './case-findings';
import { NextChecks } from './next-checks';

const open = answerTo({ host: 'cucumber', setting: 'greenhouse', month: 7, text: 'fine pale dots on the leaves' });
const settled = { ...open, settled: true };
const check = reference.checks.find(({ id }) => id === open.nextLooks[0]!.check)!;
const none: ReadonlyMap<string, SignState> = new Map();
const inputs = { answer: open, states: none, leaf: 'lobed' };

test('the look that tells most comes first, explained step by step, with its minutes', async () => {
  const { page } = await show(NextChecks, inputs);
  const headings = page.getAllByRole('heading').map(wordsOf);
  expect(headings).toHaveLength(3);
  expect(headings[0]).toBe(check.name);
  const item = within(page.getAllByRole('listitem')[0]!);
  expect(item.getByText(new RegExp(`^${check.minutes} min · tells`))).toBeTruthy();
  for (const step of check.steps) expect(item.getByText(step)).toBeTruthy();
});

test('every sign that the first look shows is answered where it stands', async () => {
  const { page, told, press } = await show(NextChecks, inputs);
  const answered = told('answered');
  const [sign] = open.nextLooks[0]!.reveals;
  const name = page.getAllByRole('group')[0]!.getAttribute('aria-label')!;
  await press(`There: ${name}`);
  await press(`Not there: ${name}`);
  expect(answered).toEqual([
    { sign, state: 'seen' },
    { sign, state: 'absent' },
  ]);
});

test('a look that was begun stays until it is done, even when nothing more would change the plan', async () => {
  const { page, text, press, set } = await show(NextChecks, inputs);
  const name = page.getAllByRole('group')[0]!.getAttribute('aria-label')!;
  await press(`There: ${name}`);
  await set({ answer: settled, states: new Map([[open.nextLooks[0]!.reveals[0]!, 'seen']]) });
  expect(text()).toContain(check.name);
  expect(page.getByRole('button', { name: `There: ${name}` }).getAttribute('aria-pressed')).toBe('true');
  await press('Done with this look');
  expect(text()).toMatch(/^Enough looked\./);
});

test('one tap says that none of a look’s signs is there; those that were answered stay as they are', async () => {
  const { told, press, set } = await show(NextChecks, inputs);
  const none = told('none');
  const [first, ...others] = open.nextLooks[0]!.reveals;
  await set({ states: new Map([[first!, 'seen']]) });
  await press('None of these is there');
  expect(none).toEqual([others]);
});

test('another case starts afresh', async () => {
  const { page, press, set, text } = await show(NextChecks, { ...inputs, case: 'one' });
  await press(`There: ${page.getAllByRole('group')[0]!.getAttribute('aria-label')}`);
  await set({ case: 'two', answer: settled });
  expect(text()).toMatch(/^Enough looked\./);
});

test('when no look would tell more, the clinic is pointed to; who only looks answers nothing', async () => {
  const { page, text, set } = await show(NextChecks, { ...inputs, readonly: true });
  expect(page.queryByRole('button', { name: /there/i })).toBeNull();
  await set({ answer: { ...open, nextLooks: [] } });
  expect(text()).toBe('No look in the library would tell more. A plant clinic can.');
});

test('a look that costs the plant, needs a tool or care says so', async () => {
  const look = (id: string) => ({ ...open.nextLooks[0]!, check: id });
  const { text } = await show(NextChecks, { ...inputs, answer: { ...open, nextLooks: [look('lens-underside'), look('lift-one-plant')] } });
  expect(text()).toMatch(/min · tells \w+( \w+)? · .*lens/);
  expect(text()).toContain('costs the plant');
});

test('three signs of a look at first, and those that were answered; the rest on asking', async () => {
  const { page, press, set } = await show(NextChecks, inputs);
  const reveals = open.nextLooks[0]!.reveals;
  const offered = () => page.getAllByRole('button', { name: /^There: / }).length;
  expect([offered(), reveals.length > 5]).toEqual([3, true]);
  await set({ states: new Map([[reveals[5]!, 'absent']]) });
  expect(offered()).toBe(4);
  await press(`${reveals.length - 4} more signs`);
  expect(offered()).toBe(reveals.length);
});
