import { rogueOrTreat } from '@field-nurse/core/treatment';
import { reference } from '../testing/reference';
import { usualRogueQuestion } from './rogue-question';

const option = (id: string, rung: string, efficacy: [number, number], verdict = 'fits') =>
  ({ id, rung, verdict, expected: { efficacy, minutes: 2, cost: 0.5 } }) as never;
const options = [
  option('spray', 'soft', [40, 60]),
  option('strong', 'synthetic', [90, 95], 'ruled-out'),
  option('out', 'removal', [90, 100]),
];
const host = reference.hosts.find(({ id }) => id === 'leek')!;
const conditions = (...ids: string[]) => reference.conditions.filter(({ id }) => ids.includes(id));

test('figures to begin with: a tenth of the planting, the best open option, and how fast the trouble comes on', () => {
  const question = usualRogueQuestion({ pattern: null }, { plants: 50, daysToEnd: 30 }, host, conditions('leek-rust'), { options });
  expect(question).toMatchObject({ sick: 5, around: 45, daysLeft: 30, treat: { works: 0.5 } });
  expect(question.treat.cost).toBeCloseTo(2 * (0.5 + 2 * 0.2), 10);
  expect(question.spreadPerWeek).toBeGreaterThan(0);
  expect(() => rogueOrTreat(question)).not.toThrow();
});

test.each([
  ['one-plant', 1],
  ['whole-planting', 50],
] as const)('%s: %d show it', (pattern, sick) =>
  expect(usualRogueQuestion({ pattern }, { plants: 50 }, host, conditions('leek-rust'), { options }).sick).toBe(sick),
);

test('a shortage goes to nobody else', () => {
  const question = usualRogueQuestion({ pattern: null }, { plants: 50 }, host, conditions('magnesium-shortage'), { options: [] });
  expect(question).toMatchObject({ spreadPerWeek: 0, hidden: 0, treat: { works: 0, cost: 0 } });
});
