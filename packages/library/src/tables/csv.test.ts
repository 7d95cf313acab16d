import { csvOf } from './csv';

const cellOf = (words: string) => csvOf([['x', words, 'y']]).slice(2, -4);

test('lines end in CR LF, empty stays empty', () => {
  expect(
    csvOf([
      ['a', 1, null],
      ['', true, -4.5],
    ]),
  ).toBe('a,1,\r\n,true,-4.5\r\n');
  expect(csvOf([])).toBe('');
});

test('quotes what holds a comma, a quote or a line', () => {
  expect(cellOf('rust, "bad"\nagain')).toBe('"rust, ""bad""\nagain"');
});

test.each(['=1+1', '+1', '-1', '@x', '\n=1+1', '\t=1', ' =1+1', '\uFF1D1+1', '\uFF20x', '|x', '%x', '\uFEFF=1'])(
  'a spreadsheet never runs %j',
  (words) => {
    expect(cellOf(words)).toContain(`'${words}`);
  },
);

test('leaves words as they are', () => {
  expect(cellOf('rust - 3 leaves = much')).toBe('rust - 3 leaves = much');
});
