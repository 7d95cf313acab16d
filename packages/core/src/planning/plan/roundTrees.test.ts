import { addDays } from '../../timing/index.js';
import { seededRandom } from '../../statistics/index.js';
import { dropLossOf } from './placing';
import type { Placing } from './placing';
import { Placings } from './placings';
import type { PlanQuestion, PlanRound } from './planQuestion';
import { RoundTrees } from './roundTrees';

const start = '2026-07-01';
const everyLine = () => true;

/** A chain, a fork and a round by itself, over a few days, with modes of action that repeat. */
function drawn(seed: number, change: Partial<PlanQuestion> = {}): PlanQuestion {
  const random = seededRandom(seed);
  const below = (most: number) => Math.floor(random() * most);
  const round = (id: string, name: string, after?: string): PlanRound => ({
    id,
    case: name,
    dailyLoss: below(6),
    value: 20 + below(60),
    dropLoss: 10 + below(60),
    earliest: addDays(start, below(2)),
    ...(after && { after: { round: after, minDays: 1 + below(2), maxDays: 2 + below(3) } }),
    products: ['soap', 'oil'].map((group) => ({ id: group, group, efficacy: below(10) / 10, cost: below(9), minutes: 10 })),
  });
  const rounds = [round('a', 'chain'), round('b', 'chain', 'a'), round('c', 'chain', 'b'), round('d', 'fork', 'a'), round('e', 'alone')];
  return { start, days: 4, rounds, rules: {}, weather: [], ...change };
}

/** The same by trying everything: what follows a round heeds its day, and its mode of action within a case. */
function tried({ rounds, days }: PlanQuestion, placings: readonly Placing[], losses: readonly number[], mustPlace?: number) {
  const least = { loss: Infinity, with: losses.map(() => Infinity) };
  const visit = (r: number, loss: number, chosen: readonly number[]): void => {
    if (r === rounds.length) {
      least.loss = Math.min(least.loss, loss);
      for (const p of chosen) least.with[p] = Math.min(least.with[p]!, loss);
      return;
    }
    const { after, case: name } = rounds[r]!;
    if (r !== mustPlace) visit(r + 1, loss + dropLossOf(rounds[r]!, days), chosen);
    const before = chosen.map((p) => placings[p]!).find(({ round }) => rounds[round]!.id === after?.round);
    if (after && !before) return;
    placings.forEach((one, p) => {
      if (one.round !== r) return;
      const wait = before ? one.day - before.day : 0;
      if (before && (wait < after!.minDays || wait > after!.maxDays!)) return;
      if (before && rounds[before.round]!.case === name && before.product.group === one.product.group) return;
      visit(r + 1, loss + losses[p]!, [...chosen, p]);
    });
  };
  visit(0, 0, []);
  return least;
}

test.each([1, 2, 3, 4, 5, 6])('what rounds lose at least, and with each placing, is what trying everything finds (%i)', (seed) => {
  const question = drawn(seed);
  const placings = new Placings(question).open();
  const losses = placings.map(({ loss }) => loss);
  const trees = new RoundTrees(question, placings, everyLine);
  const [found, expected] = [trees.least(losses), tried(question, placings, losses)];
  expect(found.loss).toBeCloseTo(expected.loss, 9);
  found.with.forEach((loss, p) => {
    if (expected.with[p] === Infinity) expect(loss).toBe(Infinity);
    else expect(loss).toBeCloseTo(expected.with[p]!, 9);
  });
  const chosen = found.chosen.map((p) => placings[p]!);
  const left = question.rounds.filter((_, r) => !chosen.some(({ round }) => round === r));
  const total = chosen.reduce((sum, { loss }) => sum + loss, 0) + left.reduce((sum, round) => sum + dropLossOf(round, question.days), 0);
  expect(total).toBeCloseTo(found.loss, 9);
});

test('other losses, barred placings and a round that must be done are asked of the same trees', () => {
  const question = drawn(12);
  const placings = new Placings(question).open();
  const losses = placings.map(({ loss, day }, p) => (p % 3 === 0 ? Infinity : loss + 5 * day));
  const trees = new RoundTrees(question, placings, everyLine);
  const expected = tried(question, placings, losses, 2);
  expect(expected.loss).toBeLessThan(Infinity);
  expect(trees.least(losses, 2).loss).toBeCloseTo(expected.loss, 9);
  expect(trees.least(losses, 2).chosen.some((p) => placings[p]!.round === 2)).toBe(true);
  expect(trees.least(losses).loss).toBeLessThanOrEqual(expected.loss);
  const none = placings.map(({ round, loss }) => (round === 2 ? Infinity : loss));
  expect(trees.least(none, 2).loss).toBe(Infinity);
});

test('the first of a case does not repeat what was done last', () => {
  const done = [{ case: 'alone', product: 'soap', group: 'soap', date: addDays(start, -3) }];
  const question = drawn(8, { rules: { done } });
  const placings = new Placings(question).open();
  const found = new RoundTrees(question, placings, everyLine).least(placings.map(({ loss }) => loss));
  placings.forEach(({ round, product }, p) => {
    if (question.rounds[round]!.id === 'e') expect(found.with[p] === Infinity).toBe(product.group === 'soap');
  });
});
