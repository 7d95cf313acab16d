import { readWords } from '@field-nurse/core/diagnosis';
import type { Host } from './entries';
import { library } from './testLibrary';

const read = (text: string, host?: Host) => readWords(library, text, host).read.map(({ sign, state }) => `${state} ${sign}`);

/** A plant that often shows the sign: words that two signs share ("maggots in the fruit") are told apart by it. */
function plantThatShows(sign: string): Host | undefined {
  const shown = library.conditions.filter(({ signs }) => signs[sign] === 'always');
  const names = new Set(shown.flatMap(({ hosts }) => hosts.often));
  return library.hosts.find(({ id, family, kind }) => [id, family, kind].some((name) => names.has(name)));
}

describe.each(library.signs.map((sign) => [sign.id, sign] as const))('%s', (id, sign) => {
  test('is read from its name and from each of its lay words', () => {
    const plant = plantThatShows(id);
    const missed = [sign.name, ...sign.words].filter((words) => ![undefined, plant].some((on) => read(words, on).includes(`seen ${id}`)));
    expect(missed).toEqual([]);
  });

  test('is absent after a “no”', () => {
    const words = sign.words[0]!;
    expect(read(`no ${words}`)).not.toContain(`seen ${id}`);
  });
});

test.each([
  ['sticky leaves but no webs', ['seen sticky-leaves', 'absent leaf-webbing']],
  ['there is no webbing and it is not sticky', ['absent leaf-webbing', 'absent sticky-leaves']],
  ['never any slime trails', ['absent slime-trail']],
  ['STICKY LEAVES!!! webbing???', ['seen sticky-leaves', 'seen leaf-webbing']],
  ['sticky laeves', ['seen sticky-leaves']],
  ['The leaves are sticky.', ['seen sticky-leaves']],
  ['buds have tiny black bristles', ['seen buds-bristled']],
  ['roots are fine, stems ok. red edges no', []],
  ['my neighbour says it is greenfly', ['seen green-soft-insects']],
  ['not looked at the roots yet', []],
  ['no idea why, as if that was not enough', []],
  ['white mold under the leaves', ['seen grey-down-under']],
  ['holes no bigger than a pin', ['seen small-round-holes']],
  ['I planted it in May and I love it', []],
])('“%s”', (text, expected) => {
  expect(read(text)).toEqual(expected);
});

test.each([
  ['fuchsia', 'orange dust underneath the leaves and white flies everywhere', ['rust-pustules', 'white-flying-cloud']],
  [
    'cucumber',
    'speckled pale all over with fine webs at the tips and white flour patches on the older ones',
    ['leaf-stippling', 'leaf-webbing', 'white-powder-top'],
  ],
  ['currant', 'buds are swollen round like peas and do not open', ['buds-swollen']],
])('%s: no reading takes the words of another: “%s”', (id, text, expected) => {
  const told = read(
    text,
    library.hosts.find((host) => host.id === id),
  );
  expect(told).toEqual(expect.arrayContaining(expected.map((sign) => `seen ${sign}`)));
});

test('a long letter is read in a moment, and each sign once', () => {
  const letter = 'The leaves are sticky and there are ants running up the stem. No webs so far! '.repeat(60);
  const signs = readWords(library, letter).read.map(({ sign }) => sign);
  expect(new Set(signs).size).toBe(signs.length);
  expect(signs).toEqual(expect.arrayContaining(['sticky-leaves', 'ants-running', 'leaf-webbing']));
});

test('the plant is recognised by lay names in the middle of a sentence', () => {
  const hosts = (text: string) => readWords(library, text).hosts.map(({ host }) => host);
  expect(hosts('my toms have black bottoms')).toContain('tomato');
  expect(hosts('webs on the cukes')).toContain('cucumber');
  expect(hosts('something is eating my spuds')).toContain('potato');
});
