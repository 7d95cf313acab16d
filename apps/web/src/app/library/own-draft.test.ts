import type { Condition, Sign } from '@field-nurse/library';
import { draftFrom, idOf, readOwnFile, withHost, withSign } from './own-draft';

const rust = {
  id: 'rust',
  name: 'Rust',
  names: ['rusty'],
  latin: 'Puccinia',
  eppo: 'PUCCAL',
  hosts: { often: ['leek'], sometimes: ['garlic'], seldom: [] },
  signs: { dust: 'always', webs: 'never' },
  lookalikes: [{ condition: 'mould', tell: 'Fluff.' }],
  follows: ['rain'],
  carries: [],
} as unknown as Condition;

test('an id is made of the name’s letters', () => {
  expect([idOf('Tide scorch, river side'), idOf('  Élan! '), idOf('***')]).toEqual(['tide-scorch-river-side', 'elan', '']);
});

test('a copy keeps what it shows and leaves behind what was told of the other', () => {
  const copy = draftFrom(rust, 'Tide rust') as Condition;
  expect(copy).toMatchObject({ id: 'tide-rust', name: 'Tide rust', names: [], lookalikes: [], follows: [], signs: rust.signs });
  expect(copy).not.toHaveProperty('latin');
  expect(copy).not.toHaveProperty('eppo');
  expect(draftFrom({ id: 'dust', name: 'Dust', words: ['dusty', 'orange dust'] } as Sign, 'Salt')).toEqual({
    id: 'salt',
    name: 'Salt',
    words: ['dusty', 'orange dust'],
  });
});

test('a plant has one level', () => {
  expect(withHost(rust, 'leek', 'seldom').hosts).toEqual({ often: [], sometimes: ['garlic'], seldom: ['leek'] });
  expect(withHost(rust, 'garlic', null).hosts).toEqual({ often: ['leek'], sometimes: [], seldom: [] });
});

test('a sign has one frequency', () => {
  expect(withSign(rust, 'webs', 'often').signs).toEqual({ dust: 'always', webs: 'often' });
  expect(withSign(rust, 'webs', null).signs).toEqual({ dust: 'always' });
});

test.each([
  ['not json', 'This is not a JSON file.'],
  ['{}', 'This is not a file of library entries: it wants format “field-nurse-library”, version 1, and a list of entries.'],
  ['null', 'This is not a file of library entries: it wants format “field-nurse-library”, version 1, and a list of entries.'],
  [
    '{"format":"field-nurse-library","version":1,"entries":[{"kind":"gods","entry":{"id":"x"}}]}',
    'Entry 1 has no kind (conditions, signs or hosts) or no id.',
  ],
])('a file that is none is told: %s', (text, line) => {
  expect(readOwnFile(text)).toBe(line);
});

test('a good file gives its entries', () => {
  const entries = [{ kind: 'hosts', entry: { id: 'osier', name: 'Osier' }, why: '' }];
  expect(readOwnFile(JSON.stringify({ format: 'field-nurse-library', version: 1, entries }))).toEqual(entries);
});
