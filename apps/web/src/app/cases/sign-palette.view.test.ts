import { reference, show, wordsOf } from '../testing/show';
import type { SignState } from './case-findings';
import { SignPalette } from './sign-palette';

const host = (id: string) => reference.hosts.find((one) => one.id === id)!;
const states = (...found: [string, SignState][]): ReadonlyMap<string, SignState> => new Map(found);
const inputs = { host: host('cucumber'), states: states() };

test('signs stand by part of the plant; only parts that have one are offered', async () => {
  const { page, press } = await show(SignPalette, inputs);
  const parts = page.getByRole('group', { name: 'Part of the plant' });
  expect(wordsOf(parts)).toContain('Leaf');
  await press(/^Under the leaf/);
  expect(page.getByRole('button', { name: /^Fine webbing/ })).toBeTruthy();
  await press(/^Fruit/);
  expect(page.getAllByRole('listitem').length).toBeGreaterThan(0);
  expect(page.queryByRole('button', { name: /^Fine webbing/ })).toBeNull();
});

test('a tap says seen, one more not there, one more takes it back', async () => {
  const { told, press, set } = await show(SignPalette, inputs);
  const tapped = told('tapped');
  await press(/^Under the leaf/);
  await press('Fine webbing: not looked at');
  await set({ states: states(['leaf-webbing', 'seen']) });
  await press('Fine webbing: seen');
  await set({ states: states(['leaf-webbing', 'absent']) });
  await press('Fine webbing: looked, not there');
  expect(tapped).toEqual([
    { sign: 'leaf-webbing', state: 'seen' },
    { sign: 'leaf-webbing', state: 'absent' },
    { sign: 'leaf-webbing', state: 'not-looked' },
  ]);
});

test('a dozen at first, the likeliest ones; the rest of the part on asking', async () => {
  const { page, press } = await show(SignPalette, inputs);
  const tiles = () => page.getAllByRole('listitem').length;
  expect(page.queryAllByRole('listitem')).toEqual([]);
  await press(/^Leaf/);
  expect(tiles()).toBe(12);
  await press(/more of this part$/);
  expect(tiles()).toBeGreaterThan(12);
});

test('what is unusual on this plant is offered too, when it is asked for', async () => {
  const { page, press } = await show(SignPalette, { host: host('leek'), states: states(['fruit-scabs', 'absent']) });
  const strange = () => page.queryByRole('button', { name: /^Dark sunken leathery patch/ });
  await press(/^Fruit/);
  expect(strange()).toBeNull();
  await press(/more that are unusual on this plant$/);
  expect(strange()).not.toBeNull();
  await press('Only signs that this plant can show');
  expect(strange()).toBeNull();
});

test('what was found stays in sight, however unusual, and its part counts it', async () => {
  const { page } = await show(SignPalette, {
    host: host('leek'),
    states: states(['fruit-sunken-base', 'seen'], ['fruit-scabs', 'absent']),
  });
  expect(page.getByRole('button', { name: /^Fruit 2$/ })).toBeTruthy();
});
