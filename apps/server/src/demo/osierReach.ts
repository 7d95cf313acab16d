import type { GardenSettings, Written } from '@field-nurse/contract';

/** The demo garden's clock stands on this instant. */
export const demoNow = '2026-07-18T09:30:00.000Z';

export const demoPassword = 'willow-and-water';

export const demoPeople = [
  { name: 'Wren Sallow', email: 'wren@osier-reach.example' },
  { name: 'Tam Reedmace', email: 'tam@osier-reach.example' },
  { name: 'Isa Marrow', email: 'isa@osier-reach.example' },
] as const;

export const demoSettings: GardenSettings = {
  name: 'Osier Reach',
  latitude: 51.9,
  longitude: -1.1,
  timeZone: 'Europe/London',
  units: 'metric',
  stance: 'organic',
  region: 'tidal-march',
  notListed: [],
  schools: [],
  seasonStart: null,
  weatherStation: 'osier-weir',
};

type PlaceKey = keyof typeof demoPlaces;
export type PlantingKey = keyof typeof demoPlantings;

const place = (
  name: string,
  kind: Written<'places'>['kind'],
  setting: Written<'places'>['setting'],
  /** its middle, and its size in metres */
  [x, y, width, depth]: readonly [number, number, number, number],
  note = '',
): Written<'places'> => ({
  name,
  kind,
  setting,
  areaM2: Math.round(width * depth * 100) / 100,
  shape: { kind: 'rectangle', x, y, width, depth, turn: 0 },
  light: setting === 'outdoor' ? 'sun' : null,
  note,
  endedOn: null,
});

export const demoPlaces = {
  long: place('Long bed', 'bed', 'outdoor', [10, 3.5, 18, 2], 'Well drained. Leeks after peas.'),
  tide: place('Tide bed', 'bed', 'outdoor', [4.5, 6.75, 7, 2], 'White rot in 2025: no onions, leeks or garlic here until 2040.'),
  potato: place('Potato ground', 'bed', 'outdoor', [15.5, 9, 12, 5], 'Low corner stays damp until noon.'),
  tunnel: place('Tunnel', 'tunnel', 'greenhouse', [28, 6, 12, 4]),
  beans: place('Bean row', 'bed', 'outdoor', [10, 13.6, 12, 1], 'Along the south wall.'),
  berries: place('Strawberry bed', 'raised-bed', 'outdoor', [4.5, 10, 5, 2]),
  wall: place('Fruit wall', 'wall', 'outdoor', [11, 0.9, 20, 1], 'Cordons on wires.'),
  cutting: place('Cutting garden', 'bed', 'outdoor', [27.5, 12, 10, 4]),
  cabbages: place('Brassica bed', 'bed', 'outdoor', [28, 1.6, 12, 2.5], 'Under mesh from planting.'),
  leanTo: place('Lean-to', 'room', 'indoor', [38.5, 6.4, 4.4, 6.4]),
  bench: place('Lean-to bench', 'bench', 'indoor', [38.5, 5, 2, 3]),
  shelf: place('Shelf by the door', 'bench', 'indoor', [37.2, 7.1, 1.2, 0.8], 'For what comes in from elsewhere.'),
  shed: place('Seed shed', 'store', 'indoor', [19.4, 13.5, 3.4, 2.2], 'Seed, potatoes and onions in store.'),
  sill: place('Lean-to sill', 'windowsill', 'indoor', [38.5, 8.4, 3, 0.6]),
};

interface PlantingSketch {
  readonly at: PlaceKey;
  readonly host: string;
  readonly cultivar: string;
  readonly plants: number;
  readonly rows?: number;
  readonly planted: string;
  readonly eaten: boolean;
  readonly harvest?: string;
  /** in flower since */
  readonly flower?: string;
  readonly ended?: string;
  readonly note?: string;
}

const sketch = (
  at: string,
  host: string,
  cultivar: string,
  plants: number,
  planted: string,
  eaten: boolean,
  rest: Partial<PlantingSketch> = {},
): PlantingSketch => ({ at: at as PlaceKey, host, cultivar, plants, planted, eaten, ...rest });

export const demoPlantings = {
  leeks: sketch('long', 'leek', 'Winter Spar', 220, '2026-05-09', true, { rows: 4, harvest: '2026-10-15' }),
  leeksUntreated: sketch('long', 'leek', 'Winter Spar, untreated row', 24, '2026-05-09', true, {
    harvest: '2026-10-15',
    note: 'Trial row: nothing is sprayed here.',
  }),
  onions: sketch('long', 'onion', 'Amber Globe', 160, '2026-03-28', true, { rows: 4, harvest: '2026-08-10' }),
  garlic: sketch('tide', 'garlic', 'Rosewall', 140, '2024-10-20', true, { ended: '2025-06-24' }),
  chard: sketch('tide', 'chard', 'Lantern', 40, '2026-04-20', true, { harvest: '2026-07-19' }),
  potatoes: sketch('potato', 'potato', 'Reeve’s Maincrop', 90, '2026-04-12', true, { rows: 5, harvest: '2026-09-05' }),
  potatoesUntreated: sketch('potato', 'potato', 'Reeve’s Maincrop, untreated row', 15, '2026-04-12', true, {
    harvest: '2026-09-05',
    note: 'Trial row: nothing is sprayed here.',
  }),
  cucumbers: sketch('tunnel', 'cucumber', 'Long Green Wade', 18, '2026-05-16', true, {
    rows: 2,
    harvest: '2026-07-19',
    flower: '2026-06-25',
  }),
  tomatoes: sketch('tunnel', 'tomato', 'Ferry Red', 36, '2026-05-10', true, { rows: 2, harvest: '2026-07-20', flower: '2026-06-20' }),
  basil: sketch('tunnel', 'basil', 'Broadleaf', 30, '2026-05-30', true, { harvest: '2026-07-19' }),
  beans: sketch('beans', 'climbing-bean', 'Stilt', 48, '2026-05-22', true, { harvest: '2026-07-24', flower: '2026-07-02' }),
  broadBeans: sketch('beans', 'broad-bean', 'Early Ferryman', 60, '2025-11-08', true, { harvest: '2026-06-10', ended: '2026-07-04' }),
  strawberries: sketch('berries', 'strawberry', 'Mudlark', 64, '2025-04-03', true, { rows: 3, harvest: '2026-07-18' }),
  apples: sketch('wall', 'apple', 'Reach Russet cordons', 9, '2019-02-10', true, { harvest: '2026-09-12' }),
  roses: sketch('cutting', 'rose', 'Rambler on the gate', 4, '2020-11-15', false, { flower: '2026-06-01' }),
  dahlias: sketch('cutting', 'dahlia', 'Mixed for cutting', 42, '2026-05-20', false, { flower: '2026-07-01' }),
  sweetPeas: sketch('cutting', 'sweet-pea', 'Saltmarsh Mix', 50, '2026-03-15', false, { flower: '2026-06-05' }),
  cabbages: sketch('cabbages', 'cabbage', 'January Anvil', 56, '2026-06-06', true, { rows: 3, harvest: '2026-11-20' }),
  kale: sketch('cabbages', 'kale', 'Black Plume', 40, '2026-06-10', true, { rows: 3, harvest: '2026-08-20' }),
  cabbages2025: sketch('cabbages', 'cabbage', 'January Anvil', 50, '2025-06-07', true, { ended: '2025-12-02' }),
  courgettes2025: sketch('long', 'courgette', 'Bushy Green', 12, '2025-05-20', true, { ended: '2025-09-28' }),
  monstera: sketch('sill', 'monstera', '', 1, '2023-06-01', false),
  hoya: sketch('sill', 'hoya', '', 1, '2021-04-01', false),
  trays: sketch('bench', 'seed-tray', 'Autumn lettuce and brassicas', 14, '2026-06-20', true, { harvest: '2026-08-30' }),
  fuchsias: sketch('shelf', 'fuchsia', 'Market day, from the plant fair', 6, '2026-07-04', false, { flower: '2026-07-04' }),
  pelargoniums: sketch('bench', 'pelargonium', 'Scented, for sale', 30, '2026-02-20', false, { flower: '2026-05-15' }),
};
