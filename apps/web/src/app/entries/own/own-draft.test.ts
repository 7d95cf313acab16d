import type { Condition, Sign } from '@field-nurse/library';
import { draftFrom, helpOf, idOf, readOwnFile, withCheck, withHost, withSign, withTreatment } from './own-draft';

const rust = {
  id: 'rust',
  name: 'Rust',
  names: ['rusty'],
  latin: 'Puccinia',
  eppo: 'PUCCAL',
  hosts: { often: ['leek'], sometimes: ['garlic'], seldom: [], never: [] },
  signs: { dust: 'always', webs: 'never' },
  lookalikes: [{ condition: 'mould', tell: 'Fluff.' }],
  follows: ['rain'],
  carries: [],
  checks: ['rub'],
  treat: [{ intervention: 'sulphur', stages: ['spore'], efficacy: [20, 45], evidence: 'moderate', note: 'early' }],
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
  expect(withHost(rust, 'leek', 'seldom').hosts).toEqual({ often: [], sometimes: ['garlic'], seldom: ['leek'], never: [] });
  expect(withHost(rust, 'garlic', null).hosts).toEqual({ often: ['leek'], sometimes: [], seldom: [], never: [] });
});

test('a sign has one frequency', () => {
  expect(withSign(rust, 'webs', 'often').signs).toEqual({ dust: 'always', webs: 'often' });
  expect(withSign(rust, 'webs', null).signs).toEqual({ dust: 'always' });
});

test('a look is there once or not at all', () => {
  expect(withCheck(rust, 'lens', true).checks).toEqual(['rub', 'lens']);
  expect(withCheck(rust, 'rub', true).checks).toEqual(['rub']);
  expect(withCheck(rust, 'rub', false).checks).toEqual([]);
});

test('how much a treatment helps is told in the nearest word', () => {
  expect(
    [
      [0, 20],
      [20, 45],
      [55, 85],
      [85, 99],
    ].map((range) => helpOf(range as [number, number])),
  ).toEqual(['little', 'some', 'much', 'nearly all']);
});

test('a treatment keeps what is known of it; a new one is folk practice at any stage', () => {
  expect(withTreatment(rust, 'sulphur', 'much').treat).toEqual([
    { intervention: 'sulphur', stages: ['spore'], efficacy: [50, 75], evidence: 'moderate', note: 'early' },
  ]);
  expect(withTreatment(rust, 'soap', 'some').treat[1]).toEqual({
    intervention: 'soap',
    stages: ['any'],
    efficacy: [25, 50],
    evidence: 'folk',
  });
  expect(withTreatment(rust, 'sulphur', null).treat).toEqual([]);
});

test.each([
  ['not json', 'This is not a JSON file.'],
  ['{}', 'This is not a file of library entries: it wants format “field-nurse-library”, version 1, and a list of entries.'],
  ['null', 'This is not a file of library entries: it wants format “field-nurse-library”, version 1, and a list of entries.'],
  [
    '{"format":"field-nurse-library","version":1,"entries":[{"kind":"gods","entry":{"id":"x"}}]}',
    'Entry 1 has no id, or none of these kinds: hosts, signs, checks, interventions, conditions, regions.',
  ],
])('a file that is none is told: %s', (text, line) => {
  expect(readOwnFile(text)).toBe(line);
});

test('a good file gives its entries', () => {
  const entries = [{ kind: 'hosts', entry: { id: 'osier', name: 'Osier' }, why: '' }];
  expect(readOwnFile(JSON.stringify({ format: 'field-nurse-library', version: 1, entries }))).toEqual(entries);
  // A file of before calls an intervention “use”.
  const older = [{ kind: 'conditions', entry: { id: 'scorch', name: 'Scorch', treat: [{ use: 'shade', stages: ['any'] }] }, why: '' }];
  expect(readOwnFile(JSON.stringify({ format: 'field-nurse-library', version: 1, entries: older }))).toMatchObject([
    { entry: { treat: [{ intervention: 'shade', stages: ['any'] }] } },
  ]);
});
