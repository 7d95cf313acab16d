import { firstChoice, ladderOf } from './ladder';
import type { JudgedIntervention } from './ladder';

describe('the ladder', () => {
  const intervention = (id: string, rung: string, verdict: JudgedIntervention['verdict'], loss = 1): JudgedIntervention => ({
    id,
    name: id,
    rung,
    verdict,
    reasons: [],
    covers: [],
    notes: [],
    steps: [],
    cautions: [],
    contactMinutes: null,
    products: [],
    evidence: 'strong',
    expected: { efficacy: [0, 1], minutes: 1, cost: 1 },
    loss,
  });

  test('climbs from leaving alone to taking out, and leaves empty rungs out', () => {
    const rungs = ladderOf([
      intervention('dig', 'removal', 'fits'),
      intervention('soap', 'soft', 'care'),
      intervention('watch', 'none', 'fits'),
    ]);
    expect(rungs.map(({ id }) => id)).toEqual(['none', 'soft', 'removal']);
  });

  test('keeps what is ruled out on its rung', () => {
    const [soft] = ladderOf([intervention('soap', 'soft', 'fits'), intervention('oil', 'soft', 'ruled-out')]);
    expect([soft!.open.map(({ id }) => id), soft!.ruledOut.map(({ id }) => id)]).toEqual([['soap'], ['oil']]);
  });

  test('the first choice is never one that is ruled out', () => {
    expect(
      firstChoice([
        intervention('oil', 'soft', 'ruled-out', 0.1),
        intervention('soap', 'soft', 'care', 2),
        intervention('watch', 'none', 'fits', 3),
      ])!.id,
    ).toBe('soap');
    expect(firstChoice([intervention('oil', 'soft', 'ruled-out')])).toBeUndefined();
  });
});
