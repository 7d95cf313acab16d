import { within } from '@testing-library/dom';
import { reader } from '../testing/answers';
import { reference, show, wordsOf } from '../testing/show';
import { CheckEntry } from './check-entry';
import { HostEntry } from './host-entry';
import { LibraryPage } from './library-page';
import { SignEntry } from './sign-entry';

const reading = { providers: [reader] };

test('a sign is drawn large, said in growers’ words, and leads to all that shows it and all that it speaks against', async () => {
  const { page, text } = await show(SignEntry, { entry: 'leaf-dot-rows' });
  expect(page.getByRole('img', { name: 'Neat row of pale dots down the leaf' })).toBeTruthy();
  expect(text()).toContain('In growers’ words: row of white dots on leaf,');
  expect(text()).toContain('Looked for by Hold the leaf up to the light');
  expect(text()).toContain('Nearly always shown by Allium leaf miner');
  expect(text()).toContain('Speaks against Leek moth');
});

test('a plant tells what it suffers from, the usual first, each group by name', async () => {
  const { page, text } = await show(HostEntry, { entry: 'leek' });
  const often = within(page.getByRole('heading', { name: /^Often/ }).closest('section')!);
  const names = often.getAllByRole('link').map(wordsOf);
  expect(names).toContain('Leek moth');
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
  expect(text().indexOf('Often')).toBeLessThan(text().indexOf('Seldom'));
});

test('a look says what it takes, what to mind, and what may show', async () => {
  const { page, text } = await show(CheckEntry, { entry: 'lift-one-plant' });
  const check = reference.checks.find(({ id }) => id === 'lift-one-plant')!;
  expect(text()).toContain(`${check.minutes} min · costs the plant`);
  for (const step of check.steps) expect(text()).toContain(step);
  expect(page.getAllByRole('link')).toHaveLength(check.reveals.length);
});

describe('the library', () => {
  const first = (page: Awaited<ReturnType<typeof show>>['page']) => wordsOf(page.getAllByRole('listitem')[0]!);

  test('holds all, and shows the first of them until more are asked for', async () => {
    const { page, press } = await show(LibraryPage, {}, reading);
    expect(page.getByRole('status').textContent).toBe('438 entries');
    expect(page.getAllByRole('listitem')).toHaveLength(48);
    await press('Show all 438');
    expect(page.getAllByRole('listitem')).toHaveLength(438);
  });

  test.each([
    ['leek moth', /^Leek moth/],
    ['red spider', /^Spider mite/],
    ['Phytophthora infestans', /^Late blight/],
    ['orange dust in slits along leek leaves', /Leek and garlic rust/],
  ])('“%s” finds its entry first, by name or by what is seen', async (words, name) => {
    const { page, type } = await show(LibraryPage, {}, reading);
    await type('Name, or what you see', words);
    expect(first(page)).toMatch(name);
  });

  test('is narrowed to a plant and to a group', async () => {
    const count = async (inputs: Readonly<Record<string, string>>) =>
      Number.parseInt((await show(LibraryPage, inputs, reading)).page.getByRole('status').textContent);
    const [leek, friends] = [await count({ host: 'leek' }), await count({ group: 'friends' })];
    expect(leek).toBeGreaterThan(10);
    expect(leek).toBeLessThan(438);
    expect(friends).toBeGreaterThan(5);
    expect(friends).toBeLessThan(100);
  });

  test('what nothing is called finds nothing, and says so', async () => {
    const { page, type } = await show(LibraryPage, {}, reading);
    await type('Name, or what you see', 'qqqq zzzz');
    expect(page.getByRole('status').textContent).toBe('0 entries');
  });
});
