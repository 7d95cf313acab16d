import type { AlmanacAnswer, PastSight } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import { reference } from '../testing/reference';
import { dueRows, heatDays, helpedRows, pressureRows } from './almanac-rows';

const sight = (change: Partial<PastSight>): PastSight => ({
  case: 'c',
  planting: 'p',
  place: 'bed',
  host: 'leek',
  cultivar: '',
  plants: 20,
  conditions: ['leek-rust'],
  openedOn: '2025-06-10',
  closedOn: '2025-07-10',
  outcome: 'recovered',
  peak: 25,
  meanSeverity: 12,
  lastSeverity: 5,
  done: [],
  ...change,
});
const day = (on: string, celsius: number | null): AlmanacAnswer['days'][number] => ({
  day: on,
  minC: celsius,
  maxC: celsius,
  rainMm: 0,
  wetHours: 0,
  maxWindKmh: 5,
  missing: celsius === null ? 24 : 0,
});
const run = (from: string, count: number, celsius: number) => Array.from({ length: count }, (_, i) => day(addDays(from, i), celsius));
const conditions = new Map(reference.conditions.map((one) => [one.id, one]));
const season = { today: '2026-05-01', seasonStart: '01-01' };

test('by heat: a warmer year brings it sooner, and what keeps it off begins three weeks before', () => {
  const days = [...run('2025-01-01', 365, 10), ...run('2026-01-01', 121, 15)];
  const [row] = dueRows({ days, sights: [sight({})] }, [], conditions, season);
  // 161 days at 5 °C days each are 805; 121 at 10 have it on the 81st.
  expect(row).toMatchObject({ condition: 'leek-rust', host: 'leek', due: { by: 'heat', expectedOn: '2026-03-22' } });
  expect(row!.beginOn).toBe(addDays(row!.due!.earliest, -21));
});

test('of each year the first sight counts; this year’s is told apart; without weather it goes by the calendar', () => {
  const sights = [
    sight({}),
    sight({ openedOn: '2025-05-20' }),
    sight({ openedOn: '2024-06-01' }),
    sight({ openedOn: '2026-04-28', closedOn: null }),
  ];
  const [row, ...others] = dueRows({ days: [], sights }, [], conditions, season);
  expect(others).toEqual([]);
  expect(row).toMatchObject({ hereSince: '2026-04-28', due: { by: 'calendar' } });
  expect(row!.seen.map(({ on }) => on)).toEqual(['2024-06-01', '2025-05-20', '2026-04-28']);
});

test('what came for the first time this year is not due; what has no cause is left out', () => {
  const sights = [sight({ openedOn: '2026-04-28', closedOn: null }), sight({ conditions: [] })];
  expect(dueRows({ days: [], sights }, [], conditions, season)).toMatchObject([{ due: undefined, hereSince: '2026-04-28' }]);
});

test('days after the last that was measured are those of the forecast', () => {
  const days = [day('2026-05-01', 10), day('2026-05-02', null)];
  expect(heatDays(days, [day('2026-05-01', 30), day('2026-05-02', 12), day('2026-05-03', null)])).toEqual([
    { date: '2026-05-01', dd: 5 },
    { date: '2026-05-02', dd: 7 },
    { date: '2026-05-03', dd: null },
  ]);
});

test('pressure: half of a plant for a month is one; the kind that was pressed most comes first', () => {
  const rows = pressureRows(
    [
      sight({ peak: 50, openedOn: '2025-06-01', closedOn: '2025-06-30' }),
      sight({ host: 'rose', peak: null, openedOn: '2026-04-25', closedOn: null }),
    ],
    '2026-05-01',
  );
  expect(rows.map(({ host }) => host)).toEqual(['leek', 'rose']);
  expect(rows[0]!.months[5]).toBeCloseTo(1);
  expect(rows[0]!.months[6]).toBe(0);
  // Six days of April and one of May at a fifth.
  expect(rows[1]!.months.slice(3, 5)).toEqual([expect.closeTo((6 * 0.2) / 30), expect.closeTo(0.2 / 30)]);
});

test('what was done: cases once each, plants as often as they were treated', () => {
  const interventions = new Map(reference.interventions.map((one) => [one.id, one]));
  const sulphur = interventions.get('sulphur')!;
  const done = [
    { intervention: 'sulphur', on: '2025-06-12', plants: 20 },
    { intervention: 'sulphur', on: '2025-06-22', plants: 20 },
  ];
  const rows = helpedRows(
    [sight({ done }), sight({ closedOn: null, outcome: null, peak: 40, done: done.slice(0, 1) }), sight({})],
    interventions,
  );
  expect(rows).toMatchObject([
    {
      condition: 'leek-rust',
      intervention: 'sulphur',
      cases: 2,
      closed: 1,
      recovered: 1,
      peak: 40,
      last: 5,
      hours: expect.closeTo((60 * sulphur.minutesPerPlant) / 60) as number,
      cost: expect.closeTo(60 * sulphur.costPerPlant) as number,
    },
  ]);
});
