import type { Harvest, Stop } from '@field-nurse/contract';
import { reference } from '../testing/reference';
import { applied, assessment, plantingRecord, sickness, today } from '../testing/test-garden';
import { plantingNow } from '../gardens/plantings-now';
import type { ChartFacts, ChartRecords } from './chart-rows';
import { chartRows, chartSpan, eventfulMonths } from './chart-rows';
import { dayOfRowWord } from './chart-words';
import { chartSvg } from './chart-svg';
import { paintBeside, paintCalendar, paintRow, paintSky } from './paint-chart';
import { SvgPainter } from './painter';
import type { Palette } from './painter';
import { timeScale } from './time-scale';

const leeks = plantingNow(
  {
    ...plantingRecord,
    plantedOn: '2026-04-10',
    events: [
      { kind: 'flowering', on: '2026-06-01', until: '2026-06-20' },
      { kind: 'harvest', on: '2026-09-01', until: null },
    ],
  },
  today,
);
const picked: Harvest = {
  id: 'h',
  version: 1,
  plantingId: leeks.id,
  pickedOn: '2026-07-10',
  kg: 4,
  pieces: null,
  wasteKg: null,
  by: '',
  note: '',
};
const records: ChartRecords = {
  plantings: [leeks, { ...leeks, id: 'old', placeId: 'barn', plantedOn: '1998-03-01', events: [] }],
  cases: [sickness],
  assessments: [{ ...assessment, assessedOn: '2026-07-09', severity: 4, count: 3 }, assessment],
  applications: [applied],
  stops: [],
  harvests: [picked],
};
const facts: ChartFacts = {
  today,
  timeZone: 'Europe/London',
  placeName: (id) => (id === 'barn' ? 'Barn' : 'Long bed'),
  intervention: (id) => reference.interventions.find((one) => one.id === id),
  rainOn: () => 0,
  infectedOn: () => ['2026-04-01', '2026-05-20', '2026-06-02'],
  restsOf: () => [],
};
const rows = (change: Partial<ChartFacts> = {}) => chartRows(records, { ...facts, ...change });
const own = (change: Partial<ChartFacts> = {}) => rows(change).find(({ planting }) => planting.id === leeks.id)!;

test('wet days count while it stands', () => {
  expect(own().infected).toEqual(['2026-05-20', '2026-06-02']);
});

test('ground that rests from it is told from when both were there', () => {
  const resting = (from: string, until: string) => own({ restsOf: (place) => (place === 'barn' ? [] : [{ from, until }]) }).rests;
  expect(resting('2026-06-20', '2040-06-20')).toEqual([{ from: '2026-06-20', to: '2040-06-20' }]);
  expect(resting('2020-06-20', '2040-06-20')).toEqual([{ from: leeks.plantedOn, to: '2040-06-20' }]);
  expect(resting('2020-06-20', '2021-06-20')).toEqual([]);
  const library = { hostName: () => 'Leek', conditionName: () => '', interventionName: () => '' };
  const told = (day: string) =>
    dayOfRowWord(library, day, today, own({ restsOf: () => [{ from: '2026-06-20', until: '2040-06-20' }] }), []);
  expect(told('2026-06-21')).toContain('; its ground rests from it');
  expect(told('2026-06-19')).not.toContain('rests');
});

test('by place; each row holds what is its own, in order of days', () => {
  expect(rows().map(({ place }) => place)).toEqual(['Barn', 'Long bed']);
  const row = own();
  expect(row.cases[0]!.points.map(({ day, severity }) => [day, severity])).toEqual([
    ['2026-07-03', 10],
    ['2026-07-09', 4],
  ]);
  expect(row).toMatchObject({
    grows: { from: '2026-04-10', to: today },
    flowers: [{ from: '2026-06-01', to: '2026-06-20' }],
    harvests: [{ from: '2026-09-01', to: '2026-09-01' }],
    picked: [{ day: '2026-07-10', kg: 4 }],
    waits: [{ from: '2026-07-02', to: '2026-07-03' }],
  });
  expect(rows()[0]!.treatments).toEqual([]);
});

test('what is left of a spray thins with days, sooner in rain, and ends with today', () => {
  const [dry, wet] = [own().treatments[0]!, own({ rainOn: () => 8 }).treatments[0]!];
  expect(dry).toMatchObject({ day: '2026-07-02', intervention: 'sulphur' });
  expect(dry.left[0]).toBe(1);
  expect(wet.left.length).toBeLessThan(dry.left.length);
  expect(own({ today: '2026-07-04' }).treatments[0]!.left).toHaveLength(3);
  expect(own({ intervention: () => undefined }).treatments[0]!.left).toEqual([]);
});

test('the span holds what is shown and a fortnight more, ten years back at most; months with anything in them are eventful', () => {
  expect(chartSpan(rows(), today)).toEqual({ from: '2016-01-01', to: '2026-09-15' });
  expect(chartSpan([own()], today).from).toBe('2026-04-01');
  expect([...eventfulMonths([own()], today)].sort()).toEqual(
    ['2026-04', '2026-06', '2026-07'].filter((month) => month !== '2026-06' || sickness.openedOn.startsWith(month)),
  );
});

describe('the scale of time', () => {
  const span = { from: '2026-01-01', to: '2026-12-31' };
  const even = timeScale(span, new Set(Array.from({ length: 12 }, (_, i) => `2026-${String(i + 1).padStart(2, '0')}`)), 365);
  const uneven = timeScale(span, new Set(['2026-06', '2026-07']), 1000);

  test('every day is as wide as another where all months are eventful', () => {
    expect(even.x('2026-01-01')).toBe(0);
    expect(even.x('2026-03-01')).toBeCloseTo(59);
    expect(even.x('2027-02-01')).toBe(365);
  });
  test('months without anything are narrower; days are found again where they lie', () => {
    const [june, march] = ['2026-06-01', '2026-03-01'].map((from) => uneven.months.find((month) => month.from === from)!) as [
      (typeof uneven.months)[0],
      (typeof uneven.months)[0],
    ];
    expect(march.width / june.width).toBeCloseTo((0.3 * 31) / 30);
    for (const day of ['2026-01-01', '2026-02-28', '2026-06-15', '2026-12-31']) expect(uneven.dayAt(uneven.x(day) + 0.01)).toBe(day);
    expect(uneven.dayAt(-50)).toBe('2026-01-01');
    expect(uneven.dayAt(5000)).toBe('2026-12-31');
  });
});

describe('a chart that is kept', () => {
  const palette = Object.fromEntries(
    ['ink', 'faint', 'line', 'green', 'ochre', 'madder', 'water', 'paper'].map((ink) => [ink, `of-${ink}`]),
  ) as unknown as Palette;
  const scale = timeScale({ from: '2026-01-01', to: '2026-12-31' }, new Set(['2026-06', '2026-07']), 1000);
  const view = (k: number) => ({ x: (day: string) => scale.x(day) * k, left: 0, right: 1000, today, dayWidth: 4 * k });
  const drawn = (paint: (painter: SvgPainter) => void) => {
    const painter = new SvgPainter(palette);
    paint(painter);
    return painter.file(1000, 200);
  };

  test('has severity, what is left, waits and a case; out of sight nothing is drawn', () => {
    const svg = drawn((painter) => paintRow(painter, own(), 0, view(1)));
    for (const ink of ['of-ochre', 'of-water', 'of-madder', 'of-ink', 'of-green']) expect(svg).toContain(ink);
    const { length } = drawn((painter) => paintRow(painter, own(), 0, { ...view(1), left: 5000, right: 6000 }));
    expect(length).toBeLessThan(400);
  });
  test('counts are told when days are wide; another season is broken lines', () => {
    expect(drawn((painter) => paintRow(painter, own(), 0, view(1)))).not.toContain('<text');
    expect(drawn((painter) => paintRow(painter, own(), 0, { ...view(1), dayWidth: 12 }))).toContain('>3</text>');
    expect(drawn((painter) => paintBeside(painter, own(), 0, view(1), 0))).toContain('stroke-dasharray="4 3"');
  });
  test('months have their names where there is room, weeks their numbers when they are wide', () => {
    const months = drawn((painter) => paintCalendar(painter, scale.months, 100, view(1)));
    expect(months).toContain('>Jul</text>');
    const weeks = drawn((painter) => paintCalendar(painter, scale.months, 100, { ...view(20), dayWidth: 80 }));
    expect(weeks).toContain('Jan 2026');
    expect(weeks).toMatch(/>\d\d?<\/text>/);
  });
  test('the sky: rain, warmth, heat that begins anew with its season, stages; words are safe', () => {
    const day = (on: string, rainMm: number) => ({ day: on, minC: 8, maxC: 19, rainMm, wetHours: 6, maxWindKmh: 9, missing: 0 });
    const days = ['2026-07-01', '2026-07-02', '2026-07-03', '2026-07-04'].map((on, i) => day(on, i));
    const heat = new Map(days.map(({ day: on }, i) => [on, i < 2 ? 100 + i : i]));
    const svg = drawn((painter) => paintSky(painter, days, heat, [{ day: '2026-07-02', name: 'flies <first>' }], view(1)));
    expect(svg.match(/<polyline/g)!.length).toBe(3);
    expect(svg).toContain('flies &lt;first&gt;');
  });
});

test('looks on rounds stand on the garden’s day', () => {
  const stop = { plantingId: leeks.id, lookedAt: '2026-07-05T23:30:00Z', found: true } as Stop;
  expect(chartRows({ ...records, stops: [stop] }, facts).flatMap(({ looks }) => looks)).toEqual([{ day: '2026-07-06', found: true }]);
});

test('a kept picture has every planting with its name, and the garden’s', () => {
  const scale = timeScale(chartSpan(rows(), today), eventfulMonths(rows(), today), 600);
  const palette = {
    ink: '#000',
    faint: '#111',
    line: '#222',
    green: '#333',
    ochre: '#444',
    madder: '#555',
    water: '#666',
    paper: '#fff',
  } as Palette;
  const svg = chartSvg({
    rows: rows(),
    beside: { rows: new Map([['leek', rows()]]), years: 0 },
    days: [],
    heat: new Map(),
    stages: [],
    months: scale.months,
    view: { x: scale.x, left: 0, right: 600, today, dayWidth: 3 },
    height: 300,
    palette,
    garden: 'Test bed',
    library: { hostName: (id) => `Plant ${id}` },
  });
  expect(svg).toMatch(/^<svg/);
  expect(svg).toContain('Test bed');
  expect(svg.match(/Plant leek/g)).toHaveLength(2);
});
