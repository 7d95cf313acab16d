import type { Knowledge } from './knowledge';
import { testKnowledge } from './testKnowledge';
import { whereToLook } from './whereToLook';

const [host] = testKnowledge.hosts;
const plan = (change: Partial<Knowledge> = {}) => whereToLook({ ...testKnowledge, ...change }, { host: host!, month: 7 });

test('what is feared most comes first, and the risk is at least that of the first', () => {
  const { feared, risk } = plan();
  const chances = feared.map(({ chance }) => chance);
  expect(chances).toEqual([...chances].sort((a, b) => b - a));
  expect(risk).toBeGreaterThanOrEqual(chances[0]!);
  expect(risk).toBeLessThan(1);
});

test('parts are told by how much shows there, the first in full', () => {
  const { parts } = plan();
  expect(parts[0]!.share).toBe(1);
  expect(parts.every(({ share }) => share > 0 && share <= 1)).toBe(true);
});

test('no look that hurts the plant, none twice, none that would show nothing', () => {
  const { checks } = plan();
  const byId = new Map(testKnowledge.checks.map((check) => [check.id, check]));
  expect(new Set(checks.map(({ check }) => check)).size).toBe(checks.length);
  for (const { check, chance } of checks) {
    expect(byId.get(check)!.harm).toBe('none');
    expect(chance).toBeGreaterThan(0);
  }
});

test('a slower look that shows the same is not taken first', () => {
  const [first] = testKnowledge.checks.filter(({ harm }) => harm === 'none');
  const slow = { ...first!, id: 'slow', minutes: first!.minutes * 5 };
  const order = plan({ checks: [slow, first!] }).checks.map(({ check }) => check);
  expect(order[0]).toBe(first!.id);
});

test('where nothing is known nothing is feared', () => {
  expect(plan({ conditions: [] })).toEqual({ feared: [], checks: [], parts: [], risk: 0 });
});

test('a part that only a look with harm would show is not lit', () => {
  const signs = testKnowledge.signs.map((sign) => (sign.id === 'sticky' ? { ...sign, part: 'root' } : sign));
  const lit = (harm: 'none' | 'plant') =>
    plan({ signs, checks: testKnowledge.checks.map((check) => (check.id === 'touch' ? { ...check, harm } : check)) }).parts.map(
      ({ part }) => part,
    );
  expect(lit('none')).toContain('root');
  expect(lit('plant')).not.toContain('root');
});

test('a look says what it would most likely show, each trouble by a sign that it has, three at most', () => {
  const signsOf = new Map(testKnowledge.conditions.map(({ id, signs }) => [id, signs]));
  const reveals = new Map(testKnowledge.checks.map((check) => [check.id, check.reveals]));
  const { checks } = plan();
  expect(checks[0]!.shows.length).toBeGreaterThan(0);
  for (const { check, shows } of checks) {
    expect(new Set(shows.map(({ condition }) => condition)).size).toBe(shows.length);
    expect(shows.length).toBeLessThanOrEqual(3);
    for (const { condition, sign } of shows) {
      expect(Object.keys(signsOf.get(condition)!)).toContain(sign);
      expect(reveals.get(check)).toContain(sign);
    }
  }
});
