import fc from 'fast-check';
import type { CheckFacts, Finding } from './knowledge';
import { nextChecks } from './nextChecks';
import { posterior } from './posterior';
import { testKnowledge } from './testKnowledge';

const circumstances = { host: testKnowledge.hosts[0]!, month: 7, setting: 'outdoor' } as const;
const signs = new Map(testKnowledge.signs.map((sign) => [sign.id, sign]));
const looks = (findings: readonly Finding[], checks: readonly CheckFacts[] = testKnowledge.checks, knowledge = testKnowledge) =>
  nextChecks(checks, posterior(knowledge, circumstances, findings), findings, signs).looks;
const check = (id: string, minutes: number, reveals: readonly string[], harm: CheckFacts['harm'] = 'none'): CheckFacts => ({
  id,
  name: id,
  minutes,
  harm,
  reveals,
});

test('what was looked at is not offered again', () => {
  const offered = looks([
    { sign: 'dots', state: 'seen' },
    { sign: 'sticky', state: 'absent' },
  ]);
  expect(offered.flatMap(({ reveals }) => reveals)).not.toContain('dots');
  expect(offered.map(({ check: id }) => id)).not.toContain('touch');
});

test('the same answer for fewer minutes comes first, and harm to the plant counts as minutes', () => {
  const same = [check('slow', 10, ['sticky']), check('quick', 2, ['sticky']), check('harmful', 2, ['sticky'], 'plant')];
  expect(looks([{ sign: 'dots', state: 'seen' }], same).map(({ check: id }) => id)).toEqual(['quick', 'slow', 'harmful']);
});

test('a look that would only change the name is worth nothing: both causes are treated alike', () => {
  const alike = { ...testKnowledge, conditions: testKnowledge.conditions.map((one) => ({ ...one, treat: [{ intervention: 'soap' }] })) };
  const findings: Finding[] = [{ sign: 'dots', state: 'seen' }];
  const apart = looks(findings)[0]!.bits;
  expect(apart).toBeGreaterThan(0.05);
  for (const { bits } of looks(findings, testKnowledge.checks, alike)) expect(bits).toBeLessThan(apart / 2);
});

test('a look never tells more than there is to know, and never less than nothing', () => {
  const anyFindings = fc.uniqueArray(
    fc.record({ sign: fc.constantFrom('webs', 'dust'), state: fc.constantFrom('seen' as const, 'absent' as const) }),
    {
      selector: ({ sign }) => sign,
    },
  );
  fc.assert(
    fc.property(anyFindings, (findings) => {
      for (const { bits, minutes, reveals } of looks(findings)) {
        expect(bits).toBeGreaterThan(0);
        expect(bits).toBeLessThanOrEqual(Math.log2(16));
        expect(minutes).toBeGreaterThan(0);
        expect(reveals.length).toBeGreaterThan(0);
      }
    }),
  );
});

test('once all has been seen there is nothing left to look at', () => {
  const all: Finding[] = testKnowledge.signs.map(({ id }) => ({ sign: id, state: 'absent' }));
  expect(looks(all)).toEqual([]);
});

test('the gain of a look is what it adds to the chance of the best plan, and never more than is missing', () => {
  const findings: Finding[] = [{ sign: 'dots', state: 'seen' }];
  const advice = nextChecks(testKnowledge.checks, posterior(testKnowledge, circumstances, findings), findings, signs);
  expect(advice.lead).toBeGreaterThan(0);
  expect(advice.lead).toBeLessThanOrEqual(1);
  for (const { gain } of advice.looks) {
    expect(gain).toBeGreaterThanOrEqual(0);
    expect(gain).toBeLessThanOrEqual(1 - advice.lead + 1e-12);
  }
});
