import { treatmentQuestion } from './index';
import type { CaseOnDay } from './index';

const leeks: CaseOnDay<string, 'wax', 'organic', never> = {
  on: '2026-07-18',
  conditions: ['leek-rust'],
  case: { stage: null, hidden: null, helpersSeen: false, stance: null, schools: [], findings: [{ sign: 'rust-pustules', state: 'seen' }] },
  planting: { host: 'leek', setting: 'outdoor', eaten: true, inFlower: false, nextFlowerOn: null, nextHarvestOn: '2026-07-22', plants: 40 },
  tests: [{ intervention: 'sulphur', outcome: 'clean', sprayedOn: '2026-07-16', lookOn: '2026-07-18' }],
  applied: [{ intervention: 'sulphur', appliedOn: '2026-07-02' }],
  garden: {
    stance: 'organic',
    region: 'neutral',
    seasonStart: '01-01',
    latitude: 52,
    schools: [{ question: 'rinse', view: 'Rinse' }],
    notListed: ['box-blight'],
  },
  weather: null,
  shelf: [],
};

test('is that of the planting and the garden on the day', () => {
  expect(treatmentQuestion(leeks)).toEqual({
    host: 'leek',
    conditions: ['leek-rust'],
    setting: 'outdoor',
    inFlower: false,
    edible: true,
    daysToHarvest: 4,
    helpersSeen: false,
    findings: [{ sign: 'rust-pustules', state: 'seen' }],
    month: 7,
    hemisphere: 'north',
    plants: 40,
    notListed: ['box-blight'],
    schools: [{ question: 'rinse', view: 'Rinse' }],
    recent: [{ ingredient: 'sulphur', daysAgo: 16 }],
    tests: [{ ingredient: 'sulphur', outcome: 'clean', daysAgo: 2, lookInDays: 0 }],
    seasonDays: 198,
    on: '2026-07-18',
    shelf: [],
    stance: 'organic',
    region: 'neutral',
    forecast: {},
  });
});

test('there is none before a working diagnosis', () => {
  expect(treatmentQuestion({ ...leeks, conditions: [] })).toBeUndefined();
});

test('what is not said is left out, a zero is not', () => {
  const weather = { temperatureC: 0, windKmh: 12, warmestC: 21, daysToFrost: 0, rainInHours: null };
  const said = treatmentQuestion({ ...leeks, weather })!;
  expect(said).toMatchObject({ temperatureC: 0, daysToFrost: 0, forecast: { windKmh: 12, maxC: 21 } });
  expect(said.forecast).not.toHaveProperty('rainInHours');
});

test('a harvest that is past is today; none is left out', () => {
  const harvest = (nextHarvestOn: string | null) => treatmentQuestion({ ...leeks, planting: { ...leeks.planting, nextHarvestOn } });
  expect(harvest('2026-07-10')!.daysToHarvest).toBe(0);
  expect(harvest(null)).not.toHaveProperty('daysToHarvest');
});

test('uses of the last season go along, and the season’s age says that they are; what is yet to come does not', () => {
  const applied = [
    { intervention: 'sulphur', appliedOn: '2025-12-20' },
    { intervention: 'sulphur', appliedOn: '2026-01-09' },
  ];
  const asked = treatmentQuestion({ ...leeks, on: '2026-01-05', applied })!;
  expect([asked.recent, asked.seasonDays]).toEqual([[{ ingredient: 'sulphur', daysAgo: 16 }], 4]);
  const south = { ...leeks.garden, seasonStart: '07-01' };
  expect(treatmentQuestion({ ...leeks, garden: south })!.seasonDays).toBe(17);
});

test('no more than the calculation takes, the newest first', () => {
  const applied = Array.from({ length: 140 }, (_, i) => ({
    intervention: 'water-jet',
    appliedOn: `2026-0${1 + (i % 6)}-${10 + (i % 18)}`,
  }));
  const { recent } = treatmentQuestion({ ...leeks, applied })!;
  expect(recent).toHaveLength(100);
  expect(recent.map(({ daysAgo }) => daysAgo)).toEqual(recent.map(({ daysAgo }) => daysAgo).sort((a, b) => a - b));
});

test('what the case says of stage, hiding and helpers goes along', () => {
  expect(
    treatmentQuestion({ ...leeks, case: { ...leeks.case, stage: 'pustules', hidden: 'wax', helpersSeen: true, findings: [] } }),
  ).toMatchObject({
    stage: 'pustules',
    hidden: 'wax',
    helpersSeen: true,
  });
});

test('in the south the season is the other one, and a flowering that is planned counts its days', () => {
  const south = treatmentQuestion({
    ...leeks,
    garden: { ...leeks.garden, latitude: -34 },
    planting: { ...leeks.planting, nextFlowerOn: '2026-07-30' },
  })!;
  expect([south.hemisphere, south.flowersInDays]).toEqual(['south', 12]);
});

test('a stance and views of the case come before those of the garden', () => {
  const rinse = { question: 'rinse', view: 'Leave it' };
  const strip = { question: 'strip', view: 'Strip' };
  expect(treatmentQuestion({ ...leeks, case: { ...leeks.case, stance: 'organic', schools: [strip, rinse] } })).toMatchObject({
    stance: 'organic',
    schools: [rinse, strip],
  });
});
