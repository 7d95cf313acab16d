import type { PlannedApplication, TreatmentPlan } from '@field-nurse/contract';
import { jobsOf } from './jobs';
import { roundsDoneBy } from './round-done';

const plan: TreatmentPlan = {
  id: 'plan',
  version: 1,
  plantingId: 'beans',
  caseId: 'aphid',
  against: ['black-bean-aphid'],
  interventions: ['insecticidal-soap'],
  startsOn: '2026-07-18',
  rounds: 2,
  betweenDays: 5,
  endedOn: null,
  note: '',
};
const round: PlannedApplication = {
  id: 'first',
  version: 3,
  planId: 'plan',
  ordinal: 1,
  intervention: 'insecticidal-soap',
  productId: null,
  plannedFor: '2026-07-19',
  slot: 'evening',
  held: false,
  person: 'Wren',
  state: 'planned',
  startedAt: null,
  applicationId: null,
  note: '',
};
const logged = {
  id: 'entry',
  intervention: 'insecticidal-soap',
  productId: null,
  appliedBy: 'Tam',
  day: '2026-07-18',
  slot: 'morning' as const,
  targets: [{ plantingId: 'beans', caseId: 'aphid' }],
};
const doneBy = (of: object, planned: readonly PlannedApplication[] = [round], plans: readonly TreatmentPlan[] = [plan]) =>
  roundsDoneBy({ ...logged, ...of }, plans, planned, () => 'new');

test('what was logged has done the next open round of its plan, whether that had a place or not', () => {
  expect(doneBy({})).toEqual([
    {
      id: 'first',
      version: 3,
      value: expect.objectContaining({
        state: 'done',
        applicationId: 'entry',
        plannedFor: '2026-07-18',
        slot: 'morning',
        person: 'Tam',
      }) as unknown,
    },
  ]);
  const done = { ...round, state: 'done' as const, applicationId: 'before' };
  expect(doneBy({}, [done])).toMatchObject([{ id: 'new', version: 0, value: { ordinal: 2, state: 'done' } }]);
  expect(doneBy({}, [done, { ...done, id: 'second', ordinal: 2 }])).toEqual([]);
});

test.each<[string, object]>([
  ['something else', { intervention: 'sulphur' }],
  ['another planting', { targets: [{ plantingId: 'peas', caseId: null }] }],
  ['another case', { targets: [{ plantingId: 'beans', caseId: 'rust' }] }],
  ['a day before the plan', { day: '2026-07-17' }],
])('%s has done nothing of it', (_, of) => expect(doneBy(of)).toEqual([]));

test('rounds of the same thing, from the same pack, in one half-day are one job; what is done is none', () => {
  const other = { ...plan, id: 'other', plantingId: 'peas' };
  const second = { ...round, id: 'a-second', planId: 'other' };
  const [job, ...rest] = jobsOf([plan, other], [round, second, { ...round, id: 'done', ordinal: 2, state: 'done' }]);
  expect(rest).toEqual([]);
  expect(job).toMatchObject({ id: 'a-second', day: '2026-07-19', isUnderWay: false });
  expect(job!.rounds.map(({ plan: { plantingId } }) => plantingId)).toEqual(['peas', 'beans']);
  expect(jobsOf([plan, other], [round, { ...second, slot: 'morning' }]).map(({ slot }) => slot)).toEqual(['morning', 'evening']);
  expect(jobsOf([other], [round])).toEqual([]);
});
