import type { LabelCard, Product, StockMove } from '@field-nurse/contract';

// What stands on the shelf of the small test garden.

export const sulphurPack: Product = {
  id: 'sulphur-pack',
  version: 1,
  name: 'Marshlight Sulphur 80',
  intervention: 'sulphur',
  strength: { amount: 80, unit: 'percent' },
  form: 'powder',
  measuredIn: 'g',
  packAmount: 1000,
  densityGPerMl: null,
  registration: 'TM-0877',
  barcode: '',
  soldTo: 'amateur',
  batch: 'MS 1',
  boughtOn: '2026-04-12',
  openedOn: null,
  bestBefore: '2027-04-30',
  price: 18.5,
  keptIn: 'Tool shed',
  lowAt: 200,
  note: '',
  endedOn: null,
};

export const sulphurCard: LabelCard = {
  id: 'sulphur-card',
  version: 1,
  productId: 'sulphur-pack',
  source: 'copied',
  readOn: '2026-04-12',
  validUntil: null,
  soldTo: 'amateur',
  reEntryHours: 12,
  rainFastHours: 4,
  temperatureC: { min: 5, max: 28 },
  maxWindKmh: 15,
  bufferM: null,
  bees: 'none',
  daysBeforeFlower: 0,
  apartFrom: [{ intervention: 'horticultural-oil', days: 14, why: 'it burns' }],
  protect: ['gloves', 'mask'],
  lines: [
    {
      host: 'alliaceae',
      target: 'leek-rust',
      rate: { low: 20, high: 30, unit: 'g', per: { amount: 10, unit: 'l' } },
      waterLPerM2: 0.06,
      preHarvestDays: 3,
      repeatDays: [7, 14],
      seasonMax: 6,
      settings: ['outdoor', 'greenhouse'],
      stages: 'from four leaves on',
    },
    {
      host: 'rose',
      target: null,
      rate: { low: 1, high: 2, unit: 'percent', per: null },
      waterLPerM2: null,
      preHarvestDays: null,
      repeatDays: null,
      seasonMax: null,
      settings: ['outdoor'],
      stages: '',
    },
  ],
  photos: [],
  note: '',
};

export const sulphurBought: StockMove = {
  id: 'sulphur-bought',
  version: 1,
  productId: 'sulphur-pack',
  movedAt: '2026-04-12T09:00:00.000Z',
  kind: 'bought',
  amount: 1000,
  note: 'Market day',
};

export const shelfOfGarden = { products: [sulphurPack], labelCards: [sulphurCard], stockMoves: [sulphurBought] };
