import { BreakpointObserver } from '@angular/cdk/layout';
import { of } from 'rxjs';
import { within } from '@testing-library/dom';
import { answerTo } from '../testing/answers';
import { show, wordsOf } from '../testing/show';
import { CauseList } from './cause-list';
import { chanceWord } from './chance';

const answer = answerTo({
  host: 'cucumber',
  setting: 'greenhouse',
  month: 7,
  findings: [
    { sign: 'leaf-stippling', state: 'seen' },
    { sign: 'leaf-webbing', state: 'seen' },
    { sign: 'sticky-leaves', state: 'absent' },
  ],
});
const inputs = { answer, working: [] };

const wide = { providers: [{ provide: BreakpointObserver, useValue: { observe: () => of({ matches: false }) } }] };

test('on a phone the one that is likely stands alone, the rest on asking', async () => {
  const { page, press } = await show(CauseList, inputs);
  const names = () => page.getAllByRole('heading', { level: 3 }).map(wordsOf);
  expect(names()).toEqual([answer.ranked[0]!.name]);
  await press(`${answer.ranked.length - 1} less likely`);
  expect(names()).toHaveLength(answer.ranked.length);
});

test('causes stand by their chance, five at first, the rest on asking', async () => {
  const { page, press } = await show(CauseList, inputs, wide);
  const names = () => page.getAllByRole('heading', { level: 3 }).map(wordsOf);
  expect(names()).toEqual(answer.ranked.slice(0, 5).map(({ name }) => name));
  expect(page.getAllByRole('listitem')[0]!.textContent).toContain(chanceWord(answer.ranked[0]!.probability));
  await press(`${answer.ranked.length - 5} less likely`);
  expect(names()).toEqual(answer.ranked.map(({ name }) => name));
});

test('each shows what speaks for it and against it, with the weight in words', async () => {
  const { page } = await show(CauseList, inputs);
  const first = within(page.getAllByRole('heading', { level: 3 })[0]!.closest('li')!);
  const reasons = first.getAllByRole('listitem').map(wordsOf);
  expect(reasons).toContain('For: Fine webbing');
  expect(reasons.some((words) => words.includes('Not there: Sticky shine'))).toBe(true);
  expect(first.getAllByTitle(/^For: .* decibans, odds × /).length).toBeGreaterThan(0);
});

test('its details say what it is taken for and when to act', async () => {
  const { page } = await show(CauseList, inputs);
  const details = page.getAllByText('Why, and what it is taken for')[0]!.closest('details')!;
  expect(wordsOf(details)).toContain('Not Thrips: Thrips leave silver patches and black dots and no web.');
  expect(wordsOf(details)).toContain('When to act: Speckling on one leaf in ten, sooner in a hot house.');
});

test('one is taken as the working diagnosis, and let go of', async () => {
  const { page, told, press, set } = await show(CauseList, inputs);
  const toggled = told('toggled');
  await press('Work with Spider mite');
  await set({ working: ['spider-mite'] });
  expect(page.getByRole('button', { name: 'Let go of Spider mite' }).getAttribute('aria-pressed')).toBe('true');
  await press('Let go of Spider mite');
  expect(toggled).toEqual(['spider-mite', 'spider-mite']);
  await set({ readonly: true });
  expect(page.queryByRole('button', { name: /Spider mite/ })).toBeNull();
});

test('what follows what, and what carries what, is said in a sentence', async () => {
  const relations = [
    { code: 'follows', condition: 'sooty-mould', other: 'soft-scale' },
    { code: 'carries', condition: 'cucumber-beetle', other: 'cucurbit-bacterial-wilt' },
  ];
  const { text } = await show(CauseList, { ...inputs, answer: { ...answer, relations } });
  expect(text()).toContain('Behind Sooty mould : Soft scale . Treat that first, or this comes back.');
  expect(text()).toContain('Carried from plant to plant by Cucumber beetles : Bacterial wilt of cucurbits . Deal with both.');
});

test('several causes at once are told when that is likely, and how likely it is that it is none of these', async () => {
  const together = [{ conditions: ['spider-mite', 'thrips'], probability: 0.2 }];
  const { text, set } = await show(CauseList, { ...inputs, answer: { ...answer, together, otherProbability: 0.004 } });
  expect(text()).toContain(`None of these: ${chanceWord(0.004)}`.replaceAll('\u00a0', ' '));
  expect(text()).toContain('Both at once, Spider mite and Thrips: 20 %');
  await set({ answer: { ...answer, together: [{ conditions: ['spider-mite', 'thrips', 'frost'], probability: 0.2 }] } });
  expect(text()).toContain('All three at once,');
  await set({ answer: { ...answer, together: [{ conditions: ['spider-mite', 'thrips'], probability: 0.01 }] } });
  expect(text()).not.toContain('at once');
});
