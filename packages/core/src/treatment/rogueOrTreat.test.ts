import fc from 'fast-check';
import { rogueOrTreat, sickAtEnd } from './index';
import type { RogueQuestion } from './index';

const leeks: RogueQuestion = {
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
const expected = (question: RogueQuestion) =>
  Object.fromEntries(rogueOrTreat(question).choices.map(({ choice, expected: loss }) => [choice, loss]));

describe('spread', () => {
  test('without spread or time nobody else falls sick', () => {
    expect(sickAtEnd(3, 10, 0, 60)).toBeCloseTo(3, 12);
    expect(sickAtEnd(3, 10, 2, 0)).toBeCloseTo(3, 12);
  });
  test('the closed form is where small steps of the same growth arrive', () => {
    let now = 1;
    const steps = 70_000;
    for (let i = 0; i < steps; i++) now += (now * 1 * (1 - now / 10)) / 7 / (steps / 70);
    // 70 days: ten weeks.
    expect(sickAtEnd(1, 9, 1, 70)).toBeCloseTo(now, 3);
  });
  test('never more than there are, never fewer than at first', () => {
    const count = fc.integer({ min: 1, max: 500 });
    fc.assert(
      fc.property(
        count,
        count,
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.integer({ min: 0, max: 300 }),
        (sick, around, rate, days) => {
          const end = sickAtEnd(sick, around, rate, days);
          expect(end).toBeGreaterThanOrEqual(sick - 1e-9);
          expect(end).toBeLessThanOrEqual(sick + around + 1e-9);
        },
      ),
    );
  });
});

test('one houseplant that nothing can catch it from: by hand', () => {
  const alone = { ...leeks, sick: 1, around: 0, plantValue: 20, treat: { works: 0.5, cost: 4 } };
  // Left: 0.6 of 20. Treated: 4, and half the time a quarter of 12, half the time all 12. Taken out: half for the work, and 20.
  expect(expected(alone).leave).toBeCloseTo(12, 10);
  expect(expected(alone).treat).toBeCloseTo(4 + 0.5 * 3 + 0.5 * 12, 10);
  expect(expected(alone).rogue).toBeCloseTo(20.5, 10);
  expect(rogueOrTreat(alone).best).toBe('treat');
});

test('two of fifty cheap plants that infect the rest are taken out', () => {
  const { best, choices } = rogueOrTreat(leeks);
  expect(best).toBe('rogue');
  expect(choices.map(({ branches }) => branches.map(({ code }) => code))).toEqual([
    ['runs'],
    ['cured', 'not-cured'],
    ['in-time', 'too-late'],
  ]);
});

test('a week before frost nothing pays', () => expect(rogueOrTreat({ ...leeks, daysLeft: 7, plantValue: 0.1 }).best).toBe('leave'));

test('the chance from which treating is best is where its loss meets the least of the others', () => {
  const from = rogueOrTreat(leeks).treatFrom!;
  const at = expected({ ...leeks, treat: { ...leeks.treat, works: from } });
  expect(at.treat).toBeCloseTo(Math.min(at.leave!, at.rogue!), 4);
  expect(rogueOrTreat({ ...leeks, treat: { works: 0.9, cost: 500 } }).treatFrom).toBeUndefined();
});

test('what a dearer plant would change', () => {
  const cheap = { ...leeks, daysLeft: 7, plantValue: 0.1 };
  const turn = rogueOrTreat(cheap).turnsAt!;
  expect(rogueOrTreat({ ...cheap, plantValue: turn.plantValue * 1.001 }).best).toBe(turn.best);
  expect(rogueOrTreat({ ...cheap, plantValue: turn.plantValue * 0.999 }).best).toBe('leave');
});

test('chances of each choice add up to one, and a surer cure never makes treating dearer', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const money = fc.double({ min: 0, max: 100, noNaN: true });
  const any = fc.record({
    sick: fc.integer({ min: 1, max: 20 }),
    around: fc.integer({ min: 0, max: 200 }),
    plantValue: money,
    replacement: money,
    replacedShare: share,
    daysLeft: fc.integer({ min: 0, max: 200 }),
    spreadPerWeek: fc.double({ min: 0, max: 4, noNaN: true }),
    damage: share,
    hidden: share,
    treat: fc.record({ works: share, cost: money }),
    clearance: money,
  });
  fc.assert(
    fc.property(any, share, (question, more) => {
      const { choices, best } = rogueOrTreat(question);
      for (const { branches } of choices) expect(branches.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
      expect(choices.find(({ choice }) => choice === best)!.expected).toBe(Math.min(...choices.map(({ expected: loss }) => loss)));
      const surer = { ...question, treat: { ...question.treat, works: question.treat.works + (1 - question.treat.works) * more } };
      expect(expected(surer).treat).toBeLessThanOrEqual(expected(question).treat! + 1e-6);
    }),
  );
});

test.each([{ damage: 1.2 }, { hidden: -0.1 }, { sick: 0 }, { daysLeft: NaN }, { clearance: -1 }])('%j is no question', (wrong) =>
  expect(() => rogueOrTreat({ ...leeks, ...wrong })).toThrow(RangeError),
);
