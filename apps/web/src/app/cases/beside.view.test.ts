import { sampleState } from '../clinic/sample-state';
import { quiet, reader } from '../testing/answers';
import { show, wordsOf } from '../testing/show';
import { application, sample, sickness } from '../testing/test-garden';
import { ComparePage } from './compare-page';
import { SheetPage } from '../second-opinion/sheet-page';

const found = (sign: string, state: 'seen' | 'absent' | 'old') => ({ sign, state, source: 'tap', phrase: null, on: '2026-07-01' }) as const;

test('two causes beside each other: what tells them apart stands with its share on each side, the widest first', async () => {
  const one = { ...sickness, findings: [found('leaf-silvering', 'seen')] };
  const { page, text } = await show(ComparePage, { case: 'rust', one: 'spider-mite', other: 'thrips' }, { garden: { cases: [one] } });
  expect(page.getAllByRole('heading', { level: 2 }).map(wordsOf).slice(0, 2)).toEqual(['Spider mite', 'Thrips']);
  expect(text()).toContain('The difference: Thrips leave silver patches and black dots and no web.');
  const rows = [...page.getByRole('region', { name: 'Tells them apart' }).querySelectorAll('li')].map(wordsOf);
  const shares = rows.map((row) => [...row.matchAll(/(\d+) %/g)].map(([, share]) => Number(share)));
  const gaps = shares.map(([left, right]) => Math.abs(left! - right!));
  expect(gaps).toEqual([...gaps].sort((a, b) => b - a));
  expect(rows.find((row) => row.includes('Silvery'))).toContain('seen here');
});

test('a pair that the library does not hold says so', async () => {
  const { text } = await show(ComparePage, { case: 'rust', one: 'spider-mite', other: 'gone' });
  expect(text()).toContain('The library does not hold both of these.');
});

describe('the sheet for a second opinion', () => {
  const tested = sampleState(
    { ...sample, reportedOn: '2026-07-14', results: [{ condition: 'leek-rust', result: 'positive', sensitivity: 0.9, specificity: 0.95 }] },
    undefined,
  );
  const open = (words = '') =>
    show(
      SheetPage,
      { case: 'rust' },
      {
        garden: {
          cases: [
            { ...sickness, words, findings: [found('rust-pustules', 'seen'), found('leaf-dot-rows', 'absent'), found('stunted', 'old')] },
          ],
          applications: [application],
        },
        providers: [reader, ...quiet(tested)],
      },
    );

  test('says what was seen, what was looked for, and what is an old scar', async () => {
    const { text } = await open();
    expect(text()).toContain('Seen: Orange or brown pustules.');
    expect(text()).toContain('Looked for, not there: Neat row of pale dots down the leaf.');
    expect(text()).toContain('Old scars: Small and slow.');
    expect(text()).not.toContain('not confirmed:');
  });

  test('says what was only read from the words, and what is doubtful of it', async () => {
    const { text } = await open('the leaf tips are brown and dry, some grubs about');
    expect(text()).toMatch(/In the grower’s words the leaf tips are brown and dry/);
    expect(text()).toMatch(/Read from the words, not confirmed: .+/);
  });

  test('ranks the causes with what speaks for and against, and tells what a clinic found', async () => {
    const { page, text } = await open();
    const [, first] = page.getAllByRole('row').map(wordsOf);
    expect(first).toMatch(/^Leek and garlic rust Puccinia .* % Orange or brown pustules/);
    expect(text()).toContain('Reedbank plant clinic, Tuesday, 14 July 2026: Leek and garlic rust found.');
    expect(text()).toMatch(/None of these: .+ %/);
  });

  test('a case that is gone says so', async () => {
    const { text } = await show(SheetPage, { case: 'gone' }, { providers: [reader, ...quiet()] });
    expect(text()).toBe('This case is not in the garden');
  });
});
