/** What is registered for one crop, as the register writes it. */
export interface RegisteredCrop {
  /** plant or family; none: every plant */
  readonly crop: string | null;
  readonly target: string | null;
  readonly dose: {
    readonly low: number;
    readonly high: number;
    readonly unit: string;
    readonly per: { readonly amount: number; readonly unit: string } | null;
  };
  readonly water_l_per_m2: number | null;
  /** none: not for plants that are eaten */
  readonly waiting_days: number | null;
  readonly interval_days: readonly [number, number] | null;
  readonly max_per_season: number | null;
  readonly grown: readonly string[];
  readonly stages: string;
}

/** What holds from a day on, until it is amended again. */
export interface Amendment {
  readonly from: string;
  readonly valid_until: string;
  readonly sold_to: 'amateur' | 'professional';
  readonly re_entry_hours: number;
  readonly rain_fast_hours: number | null;
  readonly temperature_c: { readonly min: number; readonly max: number } | null;
  readonly max_wind_kmh: number | null;
  readonly buffer_m: number | null;
  readonly bees: 'none' | 'slight' | 'serious';
  readonly days_before_flower: number;
  readonly not_within: readonly { readonly active: string; readonly days: number; readonly why: string }[];
  readonly wear: readonly string[];
  readonly crops: readonly RegisteredCrop[];
}

export interface RegisteredProduct {
  readonly number: string;
  readonly product: string;
  readonly barcode: string;
  readonly active: string;
  readonly strength: { readonly amount: number; readonly unit: string };
  readonly form: string;
  readonly measured_in: 'ml' | 'g';
  readonly amendments: readonly Amendment[];
}

const crop = (of: Partial<RegisteredCrop> & Pick<RegisteredCrop, 'crop' | 'dose'>): RegisteredCrop => ({
  target: null,
  water_l_per_m2: 0.06,
  waiting_days: 0,
  interval_days: [7, 14],
  max_per_season: null,
  grown: ['outdoor', 'greenhouse'],
  stages: '',
  ...of,
});
const inTenLitres = (low: number, high: number, unit: string) => ({ low, high, unit, per: { amount: 10, unit: 'l' } });
const amendment = (of: Partial<Amendment> & Pick<Amendment, 'from' | 'crops'>): Amendment => ({
  valid_until: '2029-12-31',
  sold_to: 'amateur',
  re_entry_hours: 4,
  rain_fast_hours: 2,
  temperature_c: { min: 5, max: 28 },
  max_wind_kmh: 15,
  buffer_m: null,
  bees: 'none',
  days_before_flower: 0,
  not_within: [],
  wear: ['gloves'],
  ...of,
});

const sulphurCrops = (days: number, most: number) => [
  crop({ crop: 'alliaceae', target: 'leek-rust', dose: inTenLitres(20, 30, 'g'), waiting_days: days, max_per_season: most }),
  crop({
    crop: 'cucumber',
    target: 'spider-mite',
    dose: inTenLitres(15, 20, 'g'),
    waiting_days: days,
    max_per_season: 3,
    grown: ['greenhouse'],
  }),
  crop({ crop: 'rose', dose: inTenLitres(20, 40, 'g'), waiting_days: null, max_per_season: most, grown: ['outdoor'] }),
];

/** Products of the register, all made up: some changed, one ended, one only for professionals. */
export const registered: readonly RegisteredProduct[] = [
  {
    number: 'TM-1042',
    product: 'Sedgewash Soap',
    barcode: '2900000010420',
    active: 'insecticidal-soap',
    strength: { amount: 50, unit: 'percent' },
    form: 'liquid',
    measured_in: 'ml',
    amendments: [
      amendment({
        from: '2022-03-01',
        re_entry_hours: 0,
        temperature_c: { min: 8, max: 26 },
        bees: 'slight',
        not_within: [{ active: 'copper', days: 5, why: 'leaves burn' }],
        crops: [
          crop({
            crop: null,
            dose: inTenLitres(100, 200, 'ml'),
            interval_days: [5, 10],
            max_per_season: 8,
            grown: ['outdoor', 'greenhouse', 'indoor'],
          }),
        ],
      }),
    ],
  },
  {
    number: 'TM-0877',
    product: 'Marshlight Sulphur 80',
    barcode: '2900000008779',
    active: 'sulphur',
    strength: { amount: 80, unit: 'percent' },
    form: 'powder',
    measured_in: 'g',
    amendments: [
      amendment({
        from: '2021-01-15',
        re_entry_hours: 12,
        rain_fast_hours: 4,
        wear: ['gloves', 'eyes', 'mask'],
        crops: sulphurCrops(1, 8),
      }),
      amendment({
        from: '2026-06-15',
        re_entry_hours: 24,
        rain_fast_hours: 4,
        buffer_m: 5,
        wear: ['gloves', 'eyes', 'mask'],
        crops: sulphurCrops(5, 5),
      }),
    ],
  },
  {
    number: 'TM-0311',
    product: 'Copperline 50',
    barcode: '2900000003118',
    active: 'copper-oxychloride',
    strength: { amount: 50, unit: 'percent' },
    form: 'powder',
    measured_in: 'g',
    amendments: [
      amendment({
        from: '2018-02-01',
        valid_until: '2026-03-31',
        re_entry_hours: 24,
        buffer_m: 10,
        wear: ['gloves', 'eyes', 'mask'],
        crops: [
          crop({
            crop: 'potato',
            target: 'late-blight',
            dose: inTenLitres(30, 50, 'g'),
            waiting_days: 14,
            interval_days: [7, 10],
            max_per_season: 4,
          }),
        ],
      }),
    ],
  },
  {
    number: 'TM-2210',
    product: 'Copperline Haulm',
    barcode: '2900000022102',
    active: 'copper',
    strength: { amount: 50, unit: 'percent' },
    form: 'powder',
    measured_in: 'g',
    amendments: [
      amendment({
        from: '2025-02-01',
        re_entry_hours: 24,
        buffer_m: 10,
        max_wind_kmh: 12,
        wear: ['gloves', 'eyes', 'mask'],
        not_within: [{ active: 'insecticidal-soap', days: 5, why: 'leaves burn' }],
        crops: [
          crop({
            crop: 'potato',
            target: 'late-blight',
            dose: inTenLitres(25, 40, 'g'),
            waiting_days: 10,
            interval_days: [7, 10],
            max_per_season: 4,
            grown: ['outdoor'],
            stages: 'until the haulm dies down',
          }),
          crop({
            crop: 'tomato',
            target: 'late-blight',
            dose: inTenLitres(20, 25, 'g'),
            waiting_days: 7,
            interval_days: [10, 14],
            max_per_season: 3,
          }),
        ],
      }),
    ],
  },
  {
    number: 'TM-3390',
    product: 'Tidebreak SC',
    barcode: '2900000033900',
    active: 'spinosad',
    strength: { amount: 480, unit: 'g/l' },
    form: 'liquid',
    measured_in: 'ml',
    amendments: [
      amendment({
        from: '2020-05-01',
        sold_to: 'professional',
        re_entry_hours: 6,
        rain_fast_hours: 6,
        buffer_m: 20,
        bees: 'serious',
        days_before_flower: 5,
        wear: ['gloves', 'eyes', 'sleeves'],
        crops: [
          crop({
            crop: 'leek',
            target: 'leek-moth',
            dose: { low: 150, high: 200, unit: 'ml', per: { amount: 1, unit: 'ha' } },
            waiting_days: 7,
            interval_days: [10, 14],
            max_per_season: 3,
            grown: ['outdoor'],
          }),
        ],
      }),
    ],
  },
  {
    number: 'TM-1506',
    product: 'Withy Caterpillar Powder',
    barcode: '2900000015067',
    active: 'bt-kurstaki',
    strength: { amount: 32_000, unit: 'IU/mg' },
    form: 'powder',
    measured_in: 'g',
    amendments: [
      amendment({
        from: '2023-04-01',
        re_entry_hours: 4,
        rain_fast_hours: 6,
        crops: [
          crop({ crop: 'leek', target: 'leek-moth', dose: inTenLitres(5, 10, 'g'), interval_days: [7, 10], max_per_season: 6 }),
          crop({ crop: 'brassicaceae', dose: inTenLitres(5, 10, 'g'), interval_days: [7, 10], max_per_season: 8 }),
        ],
      }),
    ],
  },
];
