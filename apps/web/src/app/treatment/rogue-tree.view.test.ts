import { show } from '../testing/show';
import { RogueTree } from './rogue-tree';

const usual = {
  sick: 2,
  around: 48,
  plantValue: 1,
  replacement: 0,
  replacedShare: 0.5,
  daysLeft: 42,
  spreadPerWeek: 0.7,
  damage: 0.6,
  hidden: 0.2,
  treat: { works: 0.5, cost: 3 },
  clearance: 0.5,
};

test('the least is said and marked, with each way that it can go and its chance', async () => {
  const { text, element } = await show(RogueTree, { usual });
  expect(text()).toContain('Take it out: it loses least');
  expect(text()).toContain('80 in 100: the rest stays healthy');
  expect(text()).toContain('20 in 100: others carry it already');
  expect(element.querySelector('.best')?.textContent).toContain('Take it out, the least');
});

test('one’s own figures count, and what can’t be is told at its field', async () => {
  const { text, type } = await show(RogueTree, { usual });
  await type('Days left, to frost or the end', '3');
  await type('A plant is still worth', '0.1');
  expect(text()).toContain('Leave it: it loses least');
  await type('Treating cures, in 100', '140');
  expect(text()).toContain('From 0 to 100.');
  expect(text()).toContain('Put right what is marked below.');
  await type('Treating cures, in 100', '');
  expect(text()).toContain('Put right what is marked below.');
});
