import type { Application, Harvest, PastSight, Product } from '@field-nurse/contract';
import type { Intervention } from '@field-nurse/library';
import type { Planting } from '../gardens/plantings-now';
import { reportDocument } from './report-document';
import { changeWords, helpedWords, reportText, troubleWord } from './report-words';
import type { ReportRecords } from './season-report';
import { seasonReport } from './season-report';

const planting = (id: string, host: string, placeId: string, plantedOn: string, endedOn: string | null) =>
  ({ id, host, placeId, plantedOn, endedOn, cultivar: '' }) as Planting;
const sight = (more: Partial<PastSight>): PastSight => ({
  case: 'c1',
  planting: 'leeks',
  place: 'bed',
  host: 'leek',
  cultivar: '',
  plants: 40,
  conditions: ['leek-rust'],
  openedOn: '2025-07-01',
  closedOn: null,
  outcome: null,
  peak: 40,
  meanSeverity: 12,
  lastSeverity: 5,
  done: [{ intervention: 'sulphur', on: '2025-07-12', plants: 40 }],
  ...more,
});
const tank = (more: Partial<Application>) =>
  ({
    intervention: 'sulphur',
    productId: 'pack',
    appliedAt: '2025-07-12T08:00:00Z',
    targets: [
      { plantingId: 'leeks', plants: 30 },
      { plantingId: 'roses', plants: 10 },
    ],
    productMl: null,
    productG: 50,
    productPieces: null,
    brokenLines: [{ plantingId: 'leeks', line: 'wind', text: 'It was too windy.' }],
    ...more,
  }) as Application;
const records: ReportRecords = {
  plantings: [
    planting('leeks', 'leek', 'long-bed', '2025-04-01', '2025-11-01'),
    planting('roses', 'rose', 'gate', '2020-01-01', null),
    planting('next', 'leek', 'long-bed', '2026-04-01', null),
  ],
  sights: [
    sight({}),
    sight({ case: 'c2', planting: 'roses', conditions: [], done: [], peak: null, lastSeverity: null }),
    sight({ case: 'old', openedOn: '2024-06-01' }),
  ],
  applications: [tank({}), tank({ appliedAt: '2025-07-20T08:00:00Z', productId: null }), tank({ appliedAt: '2024-07-20T08:00:00Z' })],
  harvests: [
    { plantingId: 'leeks', pickedOn: '2025-09-01', kg: 20, pieces: null, wasteKg: 5 },
    { plantingId: 'leeks', pickedOn: '2024-09-01', kg: 9, pieces: null, wasteKg: 5 },
  ] as Harvest[],
  lessons: [],
  looks: [{ plantingId: 'leeks', day: '2025-07-01', found: true }],
};
const known = {
  interventions: new Map([['sulphur', { minutesPerPlant: 2, costPerPlant: 0.1 } as Intervention]]),
  products: new Map([['pack', { price: 20, packAmount: 500 } as Product]]),
  timeZone: 'Europe/London',
  today: '2026-07-18',
};
const season = { from: '2025-01-01', to: '2025-12-31' };
const names = { condition: () => 'Leek rust', intervention: () => 'Sulphur', planting: (id: string) => id };
const ofLeeks = seasonReport(records, season, ({ host }) => host === 'leek', known);

test('only what stood, was seen and was done in that season counts', () => {
  expect(ofLeeks.plantings.map(({ id }) => id)).toEqual(['leeks']);
  expect(ofLeeks.troubles.map((line) => line.case)).toEqual(['c1']);
  expect(ofLeeks).toMatchObject({ looks: 1, finds: 1, harvest: { kg: 20, wasteKg: 5 } });
  expect(seasonReport(records, season, () => true, known).troubles).toHaveLength(2);
});

test('a tank for two plantings is shared by plants, and paid for by the pack where its price is known', () => {
  const [work] = ofLeeks.work;
  // 50 g of a pack of 500 g for 20 are 2, of which 30 of 40 plants bear 1.50; the other tank has no pack: 30 plants at 0.10.
  expect(work).toMatchObject({ times: 2, plants: 60, hours: 2, isPaid: false });
  expect(work!.cost).toBeCloseTo(1.5 + 3, 10);
});

test('what it says: what happened, what helped, and what to change', () => {
  expect(troubleWord(ofLeeks.troubles[0]!, names)).toBe('Leek rust on leeks, seen 1 Jul, at worst 40 %; still open at 5 %.');
  expect(helpedWords(ofLeeks, names)).toEqual(['Leek rust on leeks went back with sulphur: 40 % at worst, 5 % at the last look.']);
  expect(changeWords(ofLeeks, names)).toEqual([
    'Leek rust on leeks waited 11 days before anything was done.',
    'Not kept: It was too windy.',
    '25 % of what was picked could not be used.',
  ]);
});

test('what did not go back is said so, and what nobody looked at again as well', () => {
  const stuck = seasonReport(
    { ...records, sights: [sight({ lastSeverity: 38 }), sight({ case: 'c3', peak: null, lastSeverity: null })] },
    season,
    () => true,
    known,
  );
  expect(helpedWords(stuck, names)).toEqual(['Leek rust on leeks hardly moved with sulphur: 40 % at worst, 38 % at the last look.']);
  expect(changeWords(stuck, names).some((line) => line.startsWith('Nobody looked again at leek rust'))).toBe(true);
});

test('what was left alone stands beside what was treated', () => {
  const both = seasonReport(
    { ...records, sights: [sight({}), sight({ case: 'c4', planting: 'roses', done: [], lastSeverity: 60 })] },
    season,
    () => true,
    known,
  );
  expect(helpedWords(both, names)[0]).toContain('Left alone, on roses, it stood at 60 %.');
});

test('the whole of it, as it is read and as it is printed', () => {
  const text = reportText(ofLeeks, names, { title: 'Leek, season 2025', madeOn: 'Osier Reach' });
  expect(Object.fromEntries(text.sums)).toMatchObject({
    plantings: '1',
    money: '4.50',
    picked: '20 kg',
    'looks on rounds': '1, 1 with finds',
  });
  expect(text.parts.find(({ head }) => head === 'What was done')?.lines).toEqual(['Sulphur: 2 times, 60 plants in all, 2.0 hours, 4.50.']);
  const empty = reportText(
    seasonReport(records, season, () => false, known),
    names,
    { title: 'x', madeOn: 'y' },
  );
  expect(empty.parts.every(({ lines }) => lines.length === 0)).toBe(true);
  expect(JSON.stringify(reportDocument(text))).toContain('Leek rust on leeks, seen 1 Jul');
  expect(JSON.stringify(reportDocument(empty))).toContain('Nothing was applied.');
});
