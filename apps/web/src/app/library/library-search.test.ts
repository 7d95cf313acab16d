import type { WordReading } from '@field-nurse/core/diagnosis';
import { readWords } from '@field-nurse/core/diagnosis';
import { findTroubles, signsOf, troubleGroups } from './library-search';
import { reference as library } from '../testing/reference';

const find = (text: string, more: Partial<Parameters<typeof findTroubles>[1]> = {}) => {
  const reading: WordReading = readWords(library, text);
  return findTroubles(library, { text, reading, group: null, host: null, ...more }).map(({ condition }) => condition.id);
};

test('nothing sought: all of them, by name', () => {
  const all = findTroubles(library, { text: '', reading: undefined, group: null, host: null });
  expect(all).toHaveLength(library.conditions.length);
  const names = all.map(({ condition }) => condition.name);
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
});

test('every trouble is in one group', () => {
  const grouped = Object.keys(troubleGroups).flatMap((group) => find('', { group: group as keyof typeof troubleGroups }));
  expect(grouped.sort()).toEqual(library.conditions.map(({ id }) => id).sort());
});

test('a name comes before what the words would mean', () => {
  expect(find('rust')[0]).toMatch(/rust/);
  expect(find('SPIDER MITE')[0]).toBe('spider-mite');
});

test('plain words lead to what shows that, on that plant', () => {
  expect(find('webs and pale dots').slice(0, 3)).toContain('spider-mite');
  expect(find('orange dust under the leaves', { host: 'mint' })[0]).toBe('mint-rust');
  const [first] = findTroubles(library, {
    text: 'sticky leaves',
    reading: readWords(library, 'sticky leaves'),
    group: 'eaters',
    host: null,
  });
  expect(first!.shows).toEqual(['sticky-leaves']);
});

test('a plant that is named in the words counts as one that was chosen, and shuts nothing out', () => {
  expect(find('orange dust under mint leaves')[0]).toBe('mint-rust');
  expect(find('orange dust in slits along leek leaves')[0]).toBe('leek-rust');
  expect(find('orange dust under bean leaves')[0]).toBe('bean-rust');
  expect(find('orange dust under mint leaves')).toContain('bean-rust');
});

test('words that mean nothing find nothing', () => {
  expect(find('quxquux')).toEqual([]);
});

test('the signs of a trouble go from nearly always to never', () => {
  const order = signsOf(library.conditions.find(({ id }) => id === 'spider-mite')!).map(({ frequency }) => frequency);
  expect(order[0]).toBe('always');
  expect(order.at(-1)).toBe('never');
});
