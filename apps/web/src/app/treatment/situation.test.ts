import { application, planting, sickness, summary, today } from '../testing/test-garden';
import { firstChoice, ladderOf } from './ladder';
import type { JudgedIntervention } from './ladder';
import { situationOf } from './situation';

const weather = { temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null };
const here = { case: sickness, planting, garden: summary, applications: [application], today, weather };

describe('the situation', () => {
  test('is that of the planting and the garden today', () => {
    expect(situationOf(here)).toEqual({
      host: 'leek',
      conditions: ['leek-rust'],
      setting: 'outdoor',
      inFlower: false,
      edible: true,
      daysToHarvest: 4,
      helpersSeen: false,
      recent: [{ ingredient: 'sulphur', daysAgo: 16 }],
      stance: 'organic',
      region: 'neutral',
      forecast: {},
    });
  });

  test('there is none before a working diagnosis', () => {
    expect(situationOf({ ...here, case: { ...sickness, diagnoses: [] } })).toBeUndefined();
  });

  test('what is not said is left out, a zero is not', () => {
    const said = situationOf({ ...here, weather: { ...weather, temperatureC: 0, windKmh: 12, warmestC: 21, daysToFrost: 0 } })!;
    expect(said).toMatchObject({ temperatureC: 0, daysToFrost: 0, forecast: { windKmh: 12, maxC: 21 } });
    expect(said.forecast).not.toHaveProperty('rainInHours');
  });

  test('a harvest that is past is today', () => {
    expect(situationOf({ ...here, planting: { ...planting, nextHarvestOn: '2026-07-10' } })!.daysToHarvest).toBe(0);
    expect(situationOf({ ...here, planting: { ...planting, nextHarvestOn: null } })).not.toHaveProperty('daysToHarvest');
  });

  test('days ago are counted on the garden’s calendar', () => {
    // 23:30 UTC on the 17th is half past midnight on the 18th in London.
    const late = { ...application, appliedAt: '2026-07-17T23:30:00.000Z' };
    expect(situationOf({ ...here, applications: [late] })!.recent).toEqual([{ ingredient: 'sulphur', daysAgo: 0 }]);
  });

  test('last year’s applications do not count for this season', () => {
    const old = { ...application, appliedAt: '2025-08-01T18:00:00.000Z' };
    expect(situationOf({ ...here, applications: [old] })!.recent).toEqual([]);
    const overNewYear = situationOf({
      ...here,
      today: '2026-01-05',
      applications: [{ ...application, appliedAt: '2025-12-20T12:00:00.000Z' }],
    })!;
    expect(overNewYear.recent).toEqual([{ ingredient: 'sulphur', daysAgo: 16 }]);
  });

  test('what the case says of stage, hiding and helpers goes along', () => {
    expect(situationOf({ ...here, case: { ...sickness, stage: 'pustules', hidden: 'wax', helpersSeen: true } })).toMatchObject({
      stage: 'pustules',
      hidden: 'wax',
      helpersSeen: true,
    });
  });
});

describe('the ladder', () => {
  const intervention = (id: string, rung: string, verdict: JudgedIntervention['verdict'], loss = 1): JudgedIntervention => ({
    id,
    name: id,
    rung,
    verdict,
    reasons: [],
    covers: [],
    notes: [],
    evidence: 'strong',
    expected: { efficacy: [0, 1], minutes: 1, cost: 1 },
    loss,
  });

  test('climbs from leaving alone to taking out, and leaves empty rungs out', () => {
    const rungs = ladderOf([intervention('dig', 'removal', 'fits'), intervention('soap', 'soft', 'care'), intervention('watch', 'none', 'fits')]);
    expect(rungs.map(({ id }) => id)).toEqual(['none', 'soft', 'removal']);
  });

  test('keeps what is ruled out on its rung', () => {
    const [soft] = ladderOf([intervention('soap', 'soft', 'fits'), intervention('oil', 'soft', 'ruled-out')]);
    expect([soft!.open.map(({ id }) => id), soft!.ruledOut.map(({ id }) => id)]).toEqual([['soap'], ['oil']]);
  });

  test('the first choice is never one that is ruled out', () => {
    expect(
      firstChoice([intervention('oil', 'soft', 'ruled-out', 0.1), intervention('soap', 'soft', 'care', 2), intervention('watch', 'none', 'fits', 3)])!.id,
    ).toBe('soap');
    expect(firstChoice([intervention('oil', 'soft', 'ruled-out')])).toBeUndefined();
  });
});
