import type { GardenToday } from './agenda';
import { agendaFor } from './agenda';
import { applied, assessment, decision, garden, now, planting, sickness, today } from './testGarden';

const agenda = (change: Partial<GardenToday>) => agendaFor({ ...garden, ...change });

test('a quiet garden asks for nothing', () => {
  const quiet = agenda({ plantings: [], cases: [], decisions: [], applications: [], assessments: [] });
  expect(Object.values(quiet).flat()).toEqual([]);
});

describe('assessments', () => {
  test('are due by the newest assessment or decision, whichever came later', () => {
    expect(agenda({ assessments: [] }).assessments).toEqual([{ case: 'rust', planting: 'leeks', on: '2026-07-11' }]);
    expect(agenda({ assessments: [{ ...assessment, nextAssessmentOn: '2026-07-19' }] }).assessments).toMatchObject([{ on: '2026-07-19' }]);
    expect(agenda({ assessments: [assessment] }).assessments).toEqual([]);
    expect(
      agenda({ assessments: [assessment], decisions: [{ ...decision, decidedOn: '2026-07-04', nextAssessmentOn: '2026-07-18' }] })
        .assessments,
    ).toMatchObject([{ on: '2026-07-18' }]);
  });

  test('further than three days ahead are not shown yet, and closed cases want none', () => {
    expect(agenda({ assessments: [{ ...assessment, nextAssessmentOn: '2026-07-21' }] }).assessments).toHaveLength(1);
    expect(agenda({ assessments: [{ ...assessment, nextAssessmentOn: '2026-07-22' }] }).assessments).toHaveLength(0);
    expect(agenda({ assessments: [], cases: [{ ...sickness, closedOn: '2026-07-17' }] }).assessments).toHaveLength(0);
  });
});

describe('waits', () => {
  const shut = { ...applied, reEntryAt: '2026-07-18T10:00:00.000Z', notPickedBefore: '2026-07-20' };

  test('keep out until the last of several applications allows', () => {
    const later = { ...shut, reEntryAt: '2026-07-19T08:00:00.000Z' };
    expect(agenda({ applications: [shut, later] }).keepOut).toEqual([{ planting: 'leeks', until: '2026-07-19T08:00:00.000Z' }]);
    expect(agenda({ applications: [{ ...shut, reEntryAt: now }] }).keepOut).toEqual([]);
  });

  test('not to be picked before its day, unless it is not eaten', () => {
    expect(agenda({ applications: [shut] }).notToPick).toEqual([{ planting: 'leeks', from: '2026-07-20', harvest: '2026-07-22' }]);
    expect(agenda({ applications: [{ ...shut, notPickedBefore: today }] }).notToPick).toEqual([]);
    expect(agenda({ applications: [shut], plantings: [{ ...planting, eaten: false }] }).notToPick).toEqual([]);
  });

  test('a harvest this week is safe when its wait is over by then', () => {
    expect(agenda({ applications: [shut] }).harvests).toEqual([{ planting: 'leeks', on: '2026-07-22', safe: true }]);
    expect(agenda({ applications: [{ ...shut, notPickedBefore: '2026-07-23' }] }).harvests).toMatchObject([{ safe: false }]);
    expect(agenda({ plantings: [{ ...planting, harvest: { from: '2026-07-26' } }] }).harvests).toEqual([]);
    expect(agenda({ plantings: [{ ...planting, harvest: { from: '2026-07-17' } }] }).harvests).toEqual([]);
  });

  test('an ended planting asks for nothing', () => {
    const ended = agenda({ plantings: [{ ...planting, endedOn: '2026-07-10' }], applications: [shut] });
    expect([ended.keepOut, ended.notToPick, ended.harvests]).toEqual([[], [], []]);
  });
});

describe('what waits for the gardener', () => {
  test('a case without a diagnosis, then one without a decision', () => {
    expect(agenda({ cases: [{ ...sickness, diagnoses: [] }] }).toDecide).toMatchObject([{ step: 'diagnose' }]);
    expect(agenda({ decisions: [] }).toDecide).toMatchObject([{ step: 'decide' }]);
    expect(agenda({}).toDecide).toEqual([]);
  });

  test('a repeat, once its interval is over and it does not get better by itself', () => {
    expect(agenda({}).toRepeat).toEqual([{ case: 'rust', planting: 'leeks', intervention: 'sulphur', from: '2026-07-09' }]);
    expect(agenda({ applications: [{ ...applied, repeatFrom: '2026-07-19' }] }).toRepeat).toEqual([]);
    const better = { ...assessment, assessedOn: '2026-07-10', severity: 2, newGrowth: 'clean' as const };
    expect(agenda({ assessments: [assessment, better] }).toRepeat).toEqual([]);
  });
});

describe('samples for a plant clinic', () => {
  const of = (step: GardenToday['samples'][number]['step'], since: string, cases = [sickness]) =>
    agenda({ samples: [{ sample: { id: 's', caseId: 'rust' }, step, since }], cases }).samples;

  test('want to be packed until they are sent', () => {
    expect(of('to-pack', '2026-07-01')).toEqual([{ case: 'rust', sample: 's', step: 'to-pack', on: '2026-07-01' }]);
    expect(of('under-way', '2026-07-02')).toEqual([]);
  });

  test('are news for a week once their result is there, and none when the case is closed', () => {
    expect(of('reported', '2026-07-12')).toMatchObject([{ step: 'reported', on: '2026-07-12' }]);
    expect(of('reported', '2026-07-11')).toEqual([]);
    expect(of('to-pack', '2026-07-01', [{ ...sickness, closedOn: '2026-07-17' }])).toEqual([]);
  });
});
