import type { Case } from '@field-nurse/contract';
import { provideRouter } from '@angular/router';
import { waitFor } from '@testing-library/dom';
import { Records } from '../gardens/records';
import { quiet, reader } from '../testing/answers';
import { show } from '../testing/show';
import { sickness, today } from '../testing/test-garden';
import { CasePage } from './case-page';

const fresh: Case = { ...sickness, openedOn: today, diagnoses: [], words: 'orange dust in slits along the leaves' };

/** The page of a case, and what it writes. */
async function open(change: Partial<Case> = {}) {
  const saved: { value: Case; said?: string }[] = [];
  const records = {
    saveOrQueue: async (_kind: string, _id: string, _version: number, value: Case, said?: string) => {
      saved.push({ value, ...(said && { said }) });
      return 'saved';
    },
  };
  const shown = await show(
    CasePage,
    { case: 'rust' },
    {
      garden: { cases: [{ ...fresh, ...change }] },
      providers: [reader, ...quiet(), { provide: Records, useValue: records }, provideRouter([{ path: '**', children: [] }])],
    },
  );
  return { ...shown, saved };
}

test('words are read as chips, and the causes stand by their chance', async () => {
  const { page, text } = await open();
  expect(page.getByRole('list', { name: 'Findings' }).textContent).toContain('Orange or brown pustules');
  expect(text()).toMatch(/What it may be >? ?\d+ % Leek and garlic rust/);
});

test('all readings are confirmed at once, each with the words that it came from', async () => {
  const { press, saved } = await open();
  await press(/^Confirm all/);
  const { findings } = saved.at(-1)!.value;
  expect(findings.map(({ sign, source }) => [sign, source])).toContainEqual(['rust-pustules', 'text']);
  expect(findings.every(({ phrase, on }) => phrase && on === today)).toBe(true);
});

test('a reading that is taken away is remembered, so that the words don’t bring it back', async () => {
  const { press, saved } = await open();
  await press('Remove Orange or brown pustules');
  expect(saved.at(-1)!.value.findings).toMatchObject([{ sign: 'rust-pustules', state: 'struck' }]);
});

test('what is typed is read at once, and written after a pause', async () => {
  const { type, text, saved } = await open({ words: '' });
  const typed = type('In your own words', 'wilting though the soil is wet');
  expect(saved).toEqual([]);
  await typed;
  await waitFor(() => expect(text()).toContain('Confirm all'));
  await waitFor(() => expect(saved).toMatchObject([{ value: { words: 'wilting though the soil is wet' } }]));
});

test('a cause is taken with its day, and said so', async () => {
  const { press, saved } = await open();
  await press('Work with Leek and garlic rust');
  expect(saved.at(-1)).toMatchObject({
    said: 'Working with Leek and garlic rust.',
    value: { diagnoses: [{ on: today, conditions: ['leek-rust'] }] },
  });
});

test('a look’s answer counts as looked for', async () => {
  const { page, press, saved } = await open({ words: 'white strips on the leaves' });
  const name = page
    .getAllByRole('group')
    .find((group) => group.className === 'answer')!
    .getAttribute('aria-label')!;
  await press(`Not there: ${name}`);
  expect(saved.at(-1)!.value.findings).toMatchObject([{ state: 'absent', source: 'look', phrase: null }]);
});

test('a closed case is read, not written', async () => {
  const { page, text } = await open({ closedOn: today });
  expect(page.queryByLabelText('In your own words')).toBeNull();
  expect(text()).toContain('orange dust in slits along the leaves');
  expect(text()).not.toContain('Tap what you see');
});

test('a case that is not in the garden says so, with the way to all of them', async () => {
  const { page, set, text } = await open();
  await set({ case: 'gone' });
  expect(text()).toContain('This case is not in the garden');
  expect(page.getByRole('link', { name: 'See all cases' })).toBeTruthy();
});

test('where nothing is settled, the likeliest cause is treated with one tap', async () => {
  const { press, saved } = await open();
  await press('Options for Leek and garlic rust');
  expect(saved.at(-1)?.value.diagnoses).toMatchObject([{ on: today, conditions: ['leek-rust'] }]);
});

test('what is settled shows what comes first today', async () => {
  const { text } = await open({ diagnoses: [{ on: today, conditions: ['leek-rust'], why: '' }] });
  expect(text()).toMatch(/Today, first: .* See the options/);
});
