import { answerTo } from '../testing/answers';
import { show } from '../testing/show';
import { CaseGlance } from './case-glance';

const answer = answerTo({ host: 'cucumber', month: 7, text: 'fine pale dots, webs, tiny moving dots below' });

test('the likeliest cause with its chance, and the way to the next look', async () => {
  const { page, set } = await show(CaseGlance, { answer });
  expect(page.getByRole('button', { name: /% Spider mite$/ })).toBeTruthy();
  await set({ answer: { ...answer, settled: false } });
  expect(page.getByRole('button', { name: 'Look next' })).toBeTruthy();
  await set({ answer: { ...answer, settled: true } });
  expect(page.getByRole('button', { name: 'Enough looked' })).toBeTruthy();
});

test('a tap goes to the heading, with the eye and with the keys', async () => {
  const { press } = await show(CaseGlance, { answer: { ...answer, settled: false } });
  const heading = document.createElement('h2');
  heading.id = 'looks';
  heading.tabIndex = -1;
  const scrolled: unknown[] = [];
  heading.scrollIntoView = (how) => scrolled.push(how);
  document.body.append(heading);
  await press('Look next');
  expect(scrolled).toEqual([{ block: 'start' }]);
  expect(document.activeElement).toBe(heading);
  heading.remove();
});

test('without a cause there is nothing to tell', async () => {
  const { text } = await show(CaseGlance, { answer: { ...answer, ranked: [] } });
  expect(text()).toBe('');
});
