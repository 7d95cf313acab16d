import type { Candidate } from './candidates';
import { sumSets } from './sumSets';
import { testKnowledge } from './testKnowledge';
import { weighSets } from './weighSets';

const sign = (id: string) => testKnowledge.signs.find((one) => one.id === id)!;
const candidate = (id: string, odds: number): Candidate => ({
  condition: testKnowledge.conditions.find((one) => one.id === id)!,
  priorLogOdds: Math.log(odds),
  factors: [],
});
const [mite, aphid, rust] = [candidate('mite', 0.04), candidate('aphid', 0.02), candidate('rust', 0.01)];
const seen = (id: string, sure?: number) => ({ finding: { sign: id, state: 'seen' as const, sure }, sign: sign(id) });
const absent = (id: string, sure?: number) => ({ finding: { sign: id, state: 'absent' as const, sure }, sign: sign(id) });

test('what was not found is part of a candidate’s own weight', () => {
  const { own } = weighSets([mite, aphid], [absent('sticky')]);
  // Mites never show it, so that four fifths of its leak of 0.02 go; aphids always do.
  expect(own[0]).toBeCloseTo((0.04 * (1 - 0.02 * 0.2)) / 0.98, 12);
  expect(own[1]).toBeCloseTo(0.02 * 0.07, 12);
});

test('a doubtful “not there” counts for as much as it is sure', () => {
  const { own } = weighSets([aphid], [absent('sticky', 0.5)]);
  expect(own[0]).toBeCloseTo(0.02 * (1 - 0.5 * 0.93), 12);
});

test('what was seen is weighed by gates, worked by hand', () => {
  const { groups, logGates } = weighSets([mite, aphid, rust], [seen('dots')]);
  const place = (id: string) => groups.findIndex(({ members }) => members.some((i) => [mite, aphid, rust][i]!.condition.id === id));
  expect(Math.exp(logGates(place('mite')))).toBeCloseTo(1 - 0.98 * 0.07, 12);
  expect(Math.exp(logGates(place('rust')))).toBeCloseTo(0.02, 12);
  expect(Math.exp(logGates(place('mite'), place('aphid')))).toBeCloseTo(1 - 0.98 * 0.07 * 0.9, 12);
});

test('a doubtful “there” leaks more', () => {
  const { logGates } = weighSets([rust], [seen('dots', 0.5)]);
  const misread = 0.06 / 0.94;
  expect(Math.exp(logGates(0))).toBeCloseTo(1 - 0.98 * (1 - misread), 12);
});

test('candidates that bear alike on what was seen are one group; silent ones are told', () => {
  const { groups } = weighSets([mite, aphid, rust], [seen('dust')]);
  expect(groups.map(({ members, silent }) => [members.length, silent])).toEqual(
    expect.arrayContaining([
      [2, true],
      [1, false],
    ]),
  );
});

test('sums over three candidates are those of the seven sets, one by one', () => {
  const observed = [seen('dots'), absent('webs')];
  const candidates = [mite, aphid, rust];
  const weights = weighSets(candidates, observed);
  const { masses, other } = sumSets(weights, Math.log(0.001));
  const q: Record<string, Record<string, number>> = { mite: { dots: 0.93, webs: 0.69 }, aphid: { dots: 0.1 }, rust: {} };
  const sets = [['mite'], ['aphid'], ['rust'], ['mite', 'aphid'], ['mite', 'rust'], ['aphid', 'rust'], ['mite', 'aphid', 'rust']];
  const odds: Record<string, number> = { mite: 0.04, aphid: 0.02, rust: 0.01 };
  const weight = (set: string[]) => {
    const unseen = (id: string, leak: number) => set.reduce((product, one) => product * (1 - (q[one]![id] ?? 0)), 1 - leak);
    const together = 0.35 ** (set.length - 1);
    return set.reduce((product, one) => product * odds[one]!, together) * (1 - unseen('dots', 0.02)) * unseen('webs', 0.004);
  };
  const total = sets.reduce((sum, set) => sum + weight(set), 0.001);
  candidates.forEach(({ condition: { id } }, i) => {
    const own = sets.filter((set) => set.includes(id)).reduce((sum, set) => sum + weight(set), 0);
    expect(masses.of[i]).toBeCloseTo(own / total, 9);
  });
  expect(other).toBeCloseTo(0.001 / total, 9);
});
