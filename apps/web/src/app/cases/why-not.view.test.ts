import { answerTo } from '../testing/answers';
import { show } from '../testing/show';
import { WhyNot } from './why-not';

const asking = (...asked: string[]) =>
  answerTo({ host: 'cucumber', setting: 'greenhouse', month: 7, findings: [{ sign: 'leaf-webbing', state: 'seen' }], asked });

test('any cause is asked about by any of its names', async () => {
  const { told, type } = await show(WhyNot, { answer: asking(), working: [] });
  const ask = told('ask');
  await type('Why not …', 'red spider');
  await type('Why not …', 'Leek moth');
  await type('Why not …', 'no such thing');
  expect(ask).toEqual(['spider-mite', 'leek-moth']);
});

test('a name that nothing has is answered with those near it, one tap away', async () => {
  const { text, told, type, press } = await show(WhyNot, { answer: asking(), working: [] });
  const ask = told('ask');
  await type('Why not …', 'leek mth');
  expect(text()).toContain('The library knows no “leek mth”. Did you mean');
  await press('Leek moth');
  expect(ask).toEqual(['leek-moth']);
  expect(text()).not.toContain('The library knows no');
});

test('the answer says how likely it is, and what speaks for it and against it', async () => {
  const { text } = await show(WhyNot, { answer: asking('thrips'), asked: 'thrips', working: [] });
  expect(text()).toMatch(/Thrips : <? ?\d+ %/);
  expect(text()).toContain('Against: Fine webbing');
  expect(text()).not.toContain('no case of it on this plant');
});

test('a cause that nobody knows on this plant says so, and can be worked with all the same', async () => {
  const { text, told, press, set, page } = await show(WhyNot, { answer: asking('leek-moth'), asked: 'leek-moth', working: [] });
  expect(text()).toContain('The library knows of no case of it on this plant.');
  const taken = told('taken');
  await press('Work with Leek moth all the same');
  expect(taken).toEqual(['leek-moth']);
  await set({ working: ['leek-moth'] });
  expect(page.queryByRole('button', { name: /Work with/ })).toBeNull();
});

test('who only looks can ask, and not decide', async () => {
  const { page, text } = await show(WhyNot, { answer: asking('thrips'), asked: 'thrips', working: [], readonly: true });
  expect(text()).toContain('Thrips');
  expect(page.queryByRole('button', { name: /Work with/ })).toBeNull();
});
