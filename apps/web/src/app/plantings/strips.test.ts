import type { Stop } from '@field-nurse/contract';
import { applied, assessment, gardenNow, planting, sickness, today } from '../testing/test-garden';
import { dayScale, monthStarts, monthWord } from './day-scale';
import { seasonSpan, stripsWithin } from './strips';

const zone = 'Europe/London';
const span = { from: '2026-05-01', to: '2026-07-31' };
const strips = (change: object = {}) => stripsWithin(span, { ...gardenNow, ...change }, today, zone);

test('the season is whole months, from the first thing noted to the last that is set', () => {
  expect(seasonSpan('2026', gardenNow, today, zone)).toEqual(span);
  const autumn = { ...gardenNow, plantings: [{ ...planting, events: [{ kind: 'harvest' as const, on: '2026-11-20', until: null }] }] };
  expect(seasonSpan('2026', autumn, today, zone).to).toBe('2026-11-30');
});

test('a year without anything still has a season to show', () => {
  const empty = { plantings: [], cases: [], assessments: [], applications: [], stops: [] };
  expect(seasonSpan('2024', empty, today, zone)).toEqual({ from: '2024-03-01', to: '2024-10-31' });
});

test('February ends where it ends', () => {
  const winter = {
    ...gardenNow,
    plantings: [{ ...planting, plantedOn: '2028-02-03', events: [] }],
    assessments: [],
    applications: [],
  };
  expect(seasonSpan('2028', winter, '2028-02-10', zone)).toEqual({ from: '2028-02-01', to: '2028-02-29' });
});

test('a strip holds growth, assessments, treatments, waits and harvest', () => {
  const wait = { ...applied, notPickedBefore: '2026-07-05' };
  expect(strips({ applications: [wait] })).toEqual([
    {
      planting,
      grows: { from: '2026-05-01', to: today },
      cases: [{ id: 'rust', points: [{ day: '2026-07-03', severity: 10 }] }],
      opened: ['2026-07-01'],
      rounds: [],
      treatments: [{ day: '2026-07-02', intervention: 'sulphur' }],
      unsafe: [{ from: '2026-07-02', to: '2026-07-05' }],
      harvest: '2026-07-22',
    },
  ]);
});

test('looks at parts and single plants of a day are one point', () => {
  const parts = [10, 30].map((severity, i) => ({ ...assessment, id: `part ${i}`, partId: `part ${i}`, severity }));
  expect(strips({ assessments: parts })[0]!.cases).toEqual([{ id: 'rust', points: [{ day: '2026-07-03', severity: 20 }] }]);
  const plant = { ...assessment, id: 'plant', plant: 3, severity: 60 };
  expect(strips({ assessments: [assessment, plant] })[0]!.cases[0]!.points).toEqual([{ day: '2026-07-03', severity: 10 }]);
});

test('what lies outside of the span is left out or cut off', () => {
  expect(strips({ plantings: [{ ...planting, plantedOn: '2026-08-01' }] })).toEqual([]);
  expect(strips({ plantings: [{ ...planting, endedOn: '2026-04-30' }] })).toEqual([]);
  const [old] = strips({
    plantings: [{ ...planting, plantedOn: '2019-02-10', events: [{ kind: 'harvest' as const, on: '2026-09-01', until: null }] }],
    assessments: [{ ...assessment, assessedOn: '2025-07-01' }],
  });
  expect(old).toMatchObject({ grows: { from: '2026-05-01', to: today }, cases: [] });
  expect(old!.harvest).toBeUndefined();
});

test('records of other plantings stay with them', () => {
  const other = { ...planting, id: 'garlic' };
  const [, garlic] = strips({ plantings: [planting, other], cases: [sickness] });
  expect(garlic).toMatchObject({ cases: [], treatments: [], unsafe: [] });
});

test('days lie on the line where the calendar has them', () => {
  const x = dayScale({ from: '2026-07-01', to: '2026-07-31' }, 300);
  expect([x('2026-07-01'), x('2026-07-16'), x('2026-07-31')]).toEqual([0, 150, 300]);
});

test('months begin on their first days, by name where there is room', () => {
  expect(monthStarts(span)).toEqual(['2026-05-01', '2026-06-01', '2026-07-01']);
  expect([monthWord('2026-07-01', 800), monthWord('2026-07-01', 200)]).toEqual(['Jul', 'J']);
});

test('stops of rounds stand on the day of the garden’s calendar, with what was found', () => {
  const stop = { plantingId: planting.id, lookedAt: '2026-07-10T23:30:00.000Z', found: true } as Stop;
  const elsewhere = { ...stop, plantingId: 'other' };
  const early = { ...stop, lookedAt: '2026-03-10T08:00:00.000Z' };
  expect(strips({ stops: [stop, elsewhere, early] })[0]!.rounds).toEqual([{ day: '2026-07-11', found: true }]);
});
