import type { Written } from '@field-nurse/contract';

// What stands in the shed of Osier Reach. All products are made up.

type Card = Omit<Written<'labelCards'>, 'productId'>;
type Line = Card['lines'][number];
type Move = Omit<Written<'stockMoves'>, 'productId'>;

interface ProductSketch {
  readonly product: Written<'products'>;
  readonly cards?: readonly Card[];
  readonly moves: readonly Move[];
}

const product = (of: Partial<Written<'products'>> & Pick<Written<'products'>, 'name' | 'intervention'>): Written<'products'> => ({
  strength: null,
  form: 'powder',
  measuredIn: 'g',
  packAmount: 1000,
  densityGPerMl: null,
  registration: '',
  barcode: '',
  soldTo: 'amateur',
  batch: '',
  boughtOn: null,
  openedOn: null,
  bestBefore: null,
  price: null,
  keptIn: 'Tool shed, top shelf',
  lowAt: null,
  note: '',
  endedOn: null,
  ...of,
});
const line = (of: Partial<Line> & Pick<Line, 'host' | 'rate'>): Line => ({
  target: null,
  waterLPerM2: 0.06,
  preHarvestDays: 0,
  repeatDays: [7, 14],
  seasonMax: null,
  settings: ['outdoor', 'greenhouse'],
  stages: '',
  ...of,
});
const card = (of: Partial<Card> & Pick<Card, 'source' | 'readOn' | 'lines'>): Card => ({
  validUntil: '2029-12-31',
  soldTo: 'amateur',
  reEntryHours: 4,
  rainFastHours: 2,
  temperatureC: { min: 5, max: 28 },
  maxWindKmh: 15,
  bufferM: null,
  bees: 'none',
  daysBeforeFlower: 0,
  apartFrom: [],
  protect: ['gloves'],
  photos: [],
  note: '',
  ...of,
});
const inTenLitres = (low: number, high: number, unit: 'g' | 'ml') => ({ low, high, unit, per: { amount: 10, unit: 'l' as const } });
const bought = (day: string, amount: number, note = ''): Move => ({ movedAt: `${day}T10:00:00.000Z`, kind: 'bought', amount, note });

const sulphurLines = (days: number): Line[] => [
  line({ host: 'alliaceae', target: 'leek-rust', rate: inTenLitres(20, 30, 'g'), preHarvestDays: days, seasonMax: 8 }),
  line({
    host: 'cucumber',
    target: 'spider-mite',
    rate: inTenLitres(15, 20, 'g'),
    preHarvestDays: days,
    seasonMax: 3,
    settings: ['greenhouse'],
  }),
  line({ host: 'rose', rate: inTenLitres(20, 40, 'g'), preHarvestDays: null, seasonMax: 8, settings: ['outdoor'] }),
];

export const demoShelf = {
  sulphur: {
    product: product({
      name: 'Marshlight Sulphur 80',
      intervention: 'sulphur',
      strength: { amount: 80, unit: 'percent' },
      registration: 'TM-0877',
      batch: 'MS 4471',
      boughtOn: '2025-04-12',
      openedOn: '2025-07-02',
      bestBefore: '2027-04-30',
      price: 18.5,
      lowAt: 200,
    }),
    cards: [
      card({
        source: 'copied',
        readOn: '2025-04-12',
        reEntryHours: 12,
        rainFastHours: 4,
        protect: ['gloves', 'eyes', 'mask'],
        lines: sulphurLines(1),
        note: 'From the leaflet inside the bag.',
      }),
      card({
        source: 'register',
        readOn: '2026-04-02',
        reEntryHours: 12,
        rainFastHours: 4,
        protect: ['gloves', 'eyes', 'mask'],
        lines: sulphurLines(1),
      }),
    ],
    moves: [
      bought('2025-04-12', 1000, 'Market day'),
      { movedAt: '2026-05-30T09:00:00.000Z', kind: 'counted', amount: 640, note: 'Weighed' },
      { movedAt: '2026-06-08T16:00:00.000Z', kind: 'spilled', amount: 40, note: 'Bag slit at the corner, taped' },
    ],
  },
  copper: {
    product: product({
      name: 'Copperline Haulm',
      intervention: 'copper',
      strength: { amount: 50, unit: 'percent' },
      packAmount: 500,
      registration: 'TM-2210',
      batch: 'CH 0926',
      boughtOn: '2026-05-20',
      openedOn: '2026-07-13',
      bestBefore: '2029-05-31',
      price: 14.2,
    }),
    cards: [
      card({
        source: 'register',
        readOn: '2026-05-20',
        reEntryHours: 24,
        bufferM: 10,
        maxWindKmh: 12,
        apartFrom: [{ intervention: 'insecticidal-soap', days: 5, why: 'leaves burn' }],
        protect: ['gloves', 'eyes', 'mask'],
        lines: [
          line({
            host: 'potato',
            target: 'late-blight',
            rate: inTenLitres(25, 40, 'g'),
            preHarvestDays: 10,
            repeatDays: [7, 10],
            seasonMax: 4,
            settings: ['outdoor'],
            stages: 'until the haulm dies down',
          }),
          line({
            host: 'tomato',
            target: 'late-blight',
            rate: inTenLitres(20, 25, 'g'),
            preHarvestDays: 7,
            repeatDays: [10, 14],
            seasonMax: 3,
          }),
        ],
      }),
    ],
    moves: [bought('2026-05-20', 500)],
  },
  soap: {
    product: product({
      name: 'Sedgewash Soap',
      intervention: 'insecticidal-soap',
      strength: { amount: 50, unit: 'percent' },
      form: 'liquid',
      measuredIn: 'ml',
      registration: 'TM-1042',
      boughtOn: '2025-05-03',
      openedOn: '2025-05-10',
      price: 11,
      keptIn: 'Lean-to, under the bench',
      lowAt: 250,
    }),
    cards: [
      card({
        source: 'register',
        readOn: '2026-04-02',
        reEntryHours: 0,
        temperatureC: { min: 8, max: 26 },
        bees: 'slight',
        apartFrom: [{ intervention: 'copper', days: 5, why: 'leaves burn' }],
        lines: [
          line({
            host: null,
            rate: inTenLitres(100, 200, 'ml'),
            repeatDays: [5, 10],
            seasonMax: 8,
            settings: ['outdoor', 'greenhouse', 'indoor'],
          }),
        ],
      }),
    ],
    moves: [bought('2025-05-03', 1000), { movedAt: '2026-07-11T08:30:00.000Z', kind: 'counted', amount: 180, note: '' }],
  },
  oldCopper: {
    product: product({
      name: 'Copperline 50',
      intervention: 'copper-oxychloride',
      strength: { amount: 50, unit: 'percent' },
      packAmount: 250,
      registration: 'TM-0311',
      boughtOn: '2023-03-18',
      openedOn: '2023-06-20',
      bestBefore: '2026-03-01',
      note: 'To the collecting point with the next trip to town.',
    }),
    cards: [
      card({
        source: 'register',
        readOn: '2025-03-02',
        validUntil: '2026-03-31',
        reEntryHours: 24,
        bufferM: 10,
        protect: ['gloves', 'eyes', 'mask'],
        lines: [
          line({
            host: 'potato',
            target: 'late-blight',
            rate: inTenLitres(30, 50, 'g'),
            preHarvestDays: 14,
            repeatDays: [7, 10],
            seasonMax: 4,
          }),
        ],
      }),
    ],
    moves: [bought('2023-03-18', 250), { movedAt: '2026-05-30T09:05:00.000Z', kind: 'counted', amount: 90, note: 'Weighed' }],
  },
  caterpillars: {
    product: product({
      name: 'Withy Caterpillar Powder',
      intervention: 'bt-kurstaki',
      strength: { amount: 32_000, unit: 'IU/mg' },
      packAmount: 100,
      registration: 'TM-1506',
      boughtOn: '2026-06-10',
      bestBefore: '2027-06-30',
      price: 9.8,
      keptIn: 'Lean-to, under the bench',
      lowAt: 20,
    }),
    moves: [bought('2026-06-10', 100)],
  },
  pellets: {
    product: product({
      name: 'Lowmarsh Iron Pellets',
      intervention: 'ferric-phosphate',
      form: 'granules',
      packAmount: 800,
      boughtOn: '2026-03-28',
      openedOn: '2026-04-04',
      bestBefore: '2028-03-31',
      price: 7.4,
    }),
    moves: [bought('2026-03-28', 800), { movedAt: '2026-07-01T18:00:00.000Z', kind: 'counted', amount: 310, note: '' }],
  },
} as const satisfies Readonly<Record<string, ProductSketch>>;

/** What is taken for each ingredient that was applied in the season of the demo. */
export const demoPacks: Readonly<Record<string, keyof typeof demoShelf>> = { sulphur: 'sulphur', copper: 'copper' };
