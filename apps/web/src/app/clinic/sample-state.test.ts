import type { ClinicReport } from '@field-nurse/contract';
import { sample } from '../testing/test-garden';
import { sampleState, testsFrom } from './sample-state';

const report: ClinicReport = {
  sample: 's',
  reference: 'RB-1',
  status: 'registered',
  since: null,
  results: [],
  askedAt: '2026-07-06T08:00:00.000Z',
  failedAt: null,
};
const quality = { condition: 'leek-rust', sensitivity: 0.9, specificity: 0.95 };
const sent = { ...sample, sentOn: '2026-07-07' };

test('a sample goes from the bench to the laboratory and back', () => {
  expect(sampleState(sample, report)).toMatchObject({ step: 'to-pack', since: '2026-07-06', reference: 'RB-1' });
  expect(sampleState(sent, undefined)).toMatchObject({ step: 'under-way', since: '2026-07-07', reference: null });
  expect(sampleState(sent, report)).toMatchObject({ step: 'under-way', since: '2026-07-07' });
  const there = { ...report, status: 'in-laboratory' as const, since: '2026-07-09' };
  expect(sampleState(sent, there)).toMatchObject({ step: 'in-laboratory', since: '2026-07-09', silent: false });
  expect(sampleState(sent, { ...there, failedAt: '2026-07-10T08:00:00.000Z' }).silent).toBe(true);
  expect(sampleState(sent, { ...report, status: 'lost', since: '2026-07-17' })).toMatchObject({ step: 'lost', results: [] });
});

test('what another clinic wrote stands by itself', () => {
  const typed = { ...sent, clinic: null, reportedOn: '2026-07-14', results: [{ ...quality, result: 'negative' as const }] };
  expect(sampleState(typed, undefined)).toMatchObject({ step: 'reported', since: '2026-07-14', results: typed.results });
});

test('results speak to the reasoner; what told nothing does not', () => {
  const results = [
    { ...quality, result: 'positive' as const },
    { ...quality, condition: 'leek-moth', result: 'inconclusive' as const },
  ];
  const state = sampleState(sent, { ...report, status: 'reported', since: '2026-07-15', results });
  expect(testsFrom([state])).toEqual([{ ...quality, result: 'positive' }]);
  expect(testsFrom([sampleState(sample, report)])).toEqual([]);
});
