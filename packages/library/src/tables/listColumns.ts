import type { Column } from '@field-nurse/core/tables';

/** What a cell is read as. */
export type CellKind = 'day' | 'time' | 'number' | 'amount' | 'plant' | 'place' | 'treatment' | 'trouble' | 'trap' | 'text';

/** A column of a list that can be brought in. */
export interface ListColumn extends Column {
  /** as a gardener reads it */
  readonly title: string;
  readonly says: string;
  readonly reads: CellKind;
  /** without it a row says nothing */
  readonly needed?: true;
}

const day = (also: readonly string[], says: string): ListColumn => ({
  name: 'day',
  title: 'Day',
  also: ['date', 'when', ...also],
  says,
  reads: 'day',
  needed: true,
});
const where: readonly ListColumn[] = [
  {
    name: 'plant',
    title: 'Plant',
    also: ['crop', 'host', 'planting', 'culture', 'species', 'vegetable'],
    says: 'what it was on, by any of its names',
    reads: 'plant',
    needed: true,
  },
  {
    name: 'place',
    title: 'Place',
    also: ['bed', 'location', 'field', 'plot', 'block', 'area', 'site', 'where', 'house', 'tunnel', 'room'],
    says: 'where it stood; a place that is not there yet is made',
    reads: 'place',
  },
  { name: 'cultivar', title: 'Cultivar', also: ['variety', 'sort'], says: 'its variety', reads: 'text' },
];
const by: ListColumn = {
  name: 'by',
  title: 'By',
  also: ['operator', 'applicator', 'who', 'person', 'applied by', 'worker', 'name'],
  says: 'who did it',
  reads: 'text',
};
const note: ListColumn = {
  name: 'note',
  title: 'Note',
  also: ['notes', 'comment', 'comments', 'remarks', 'remark'],
  says: 'anything else',
  reads: 'text',
};

/** Lists that people keep already, and their columns: what is read out of each, and what it may be called. */
export const listColumns = {
  treatments: [
    day(['applied', 'applied on', 'application date', 'spray date', 'treated on'], 'when it was done; the time may stand behind it'),
    { name: 'time', title: 'Time', also: ['start time', 'hour', 'clock'], says: 'of that day; noon where nobody says', reads: 'time' },
    ...where,
    {
      name: 'plants',
      title: 'How many',
      also: ['number of plants', 'plant count', 'no of plants'],
      says: 'plants that were treated',
      reads: 'number',
    },
    {
      name: 'treatment',
      title: 'Treatment',
      also: [
        'product',
        'material',
        'spray',
        'active ingredient',
        'active',
        'ingredient',
        'substance',
        'what',
        'pesticide',
        'intervention',
        'control',
      ],
      says: 'what was done, or the active ingredient that was used',
      reads: 'treatment',
      needed: true,
    },
    {
      name: 'amount',
      title: 'Amount',
      also: ['product in tank', 'quantity', 'product used', 'amount used', 'dose', 'total product', 'qty'],
      says: 'of the product, in all; with a unit in the cell or the head',
      reads: 'amount',
    },
    { name: 'unit', title: 'Unit', also: ['units', 'uom'], says: 'of the amount, where it has a column of its own', reads: 'text' },
    {
      name: 'collected',
      title: 'Collected',
      also: ['picked off', 'squashed', 'caught', 'hand picked', 'killed'],
      says: 'how many were picked off or squashed',
      reads: 'number',
    },
    {
      name: 'water',
      title: 'Water',
      also: ['water in tank', 'spray volume', 'volume', 'water used', 'litres of water'],
      says: 'in the tank; litres where nothing is said',
      reads: 'amount',
    },
    { name: 'part', title: 'Part', also: ['covered part', 'plant part'], says: 'which part of the plant', reads: 'text' },
    { name: 'kit', title: 'Kit', also: ['equipment', 'sprayer', 'machine'], says: 'what it was done with', reads: 'text' },
    {
      name: 'why',
      title: 'Reason',
      also: ['reason', 'target', 'pest', 'disease', 'problem', 'against', 'purpose', 'for'],
      says: 'what against',
      reads: 'text',
    },
    by,
    { name: 'temperature', title: 'Temperature', also: ['temp', 'temperature c', 'air temperature'], says: '°C', reads: 'number' },
    { name: 'wind', title: 'Wind', also: ['wind speed', 'wind kmh', 'windspeed'], says: 'km/h', reads: 'number' },
    { name: 'sky', title: 'Sky', also: ['weather', 'conditions'], says: 'sunny, dull, …', reads: 'text' },
    note,
  ],
  finds: [
    day(['found', 'found on', 'seen', 'observed', 'scouted', 'opened'], 'when it was seen'),
    ...where,
    {
      name: 'what',
      title: 'What was seen',
      also: [
        'find',
        'found',
        'pest',
        'disease',
        'problem',
        'trouble',
        'symptom',
        'symptoms',
        'observation',
        'diagnosis',
        'cause',
        'words',
        'description',
      ],
      says: 'the trouble by name, or what it looked like',
      reads: 'trouble',
      needed: true,
    },
    {
      name: 'severity',
      title: 'Severity',
      also: ['percent', 'severity percent', 'damage', 'infestation', 'incidence', '%'],
      says: 'per cent of the plant',
      reads: 'number',
    },
    { name: 'count', title: 'Count', also: ['number', 'counted', 'how many'], says: 'how many were counted', reads: 'number' },
    note,
  ],
  harvests: [
    day(['picked', 'picked on', 'harvested', 'harvest date'], 'when it was picked'),
    ...where,
    {
      name: 'kg',
      title: 'Weight',
      also: ['weight', 'yield', 'harvest', 'amount', 'quantity'],
      says: 'kilograms where no unit is said',
      reads: 'amount',
    },
    { name: 'pieces', title: 'Pieces', also: ['count', 'heads', 'bunches', 'number', 'items'], says: 'how many', reads: 'number' },
    {
      name: 'waste',
      title: 'Waste',
      also: ['waste kg', 'loss', 'rejected', 'unmarketable'],
      says: 'what could not be used',
      reads: 'amount',
    },
    by,
    note,
  ],
  catches: [
    day(['read', 'checked', 'checked on', 'read on'], 'when the trap was read'),
    {
      name: 'trap',
      title: 'Trap',
      also: ['trap name', 'trap id', 'station'],
      says: 'a trap of this garden, by its name',
      reads: 'trap',
      needed: true,
    },
    {
      name: 'what',
      title: 'What',
      also: ['species', 'insect', 'pest', 'caught', 'kind'],
      says: 'what was in it',
      reads: 'text',
      needed: true,
    },
    {
      name: 'count',
      title: 'Count',
      also: ['number', 'catch', 'total', 'how many', 'qty'],
      says: 'how many',
      reads: 'number',
      needed: true,
    },
    note,
  ],
  products: [
    {
      name: 'name',
      title: 'Name',
      also: ['product', 'product name', 'pack', 'label'],
      says: 'as it stands on the pack',
      reads: 'text',
      needed: true,
    },
    {
      name: 'treatment',
      title: 'Active ingredient',
      also: ['active ingredient', 'active', 'ingredient', 'substance', 'intervention'],
      says: 'what is in it',
      reads: 'treatment',
      needed: true,
    },
    {
      name: 'pack',
      title: 'Pack',
      also: ['pack amount', 'pack size', 'size', 'amount', 'quantity', 'contents'],
      says: 'how much is in it, with its unit',
      reads: 'amount',
      needed: true,
    },
    { name: 'registration', title: 'Registration', also: ['registration number', 'reg no', 'approval'], says: 'its number', reads: 'text' },
    { name: 'batch', title: 'Batch', also: ['lot', 'batch number', 'lot number'], says: 'its number', reads: 'text' },
    { name: 'bought', title: 'Bought', also: ['bought on', 'purchased', 'purchase date', 'acquired'], says: 'the day', reads: 'day' },
    { name: 'opened', title: 'Opened', also: ['opened on'], says: 'the day', reads: 'day' },
    { name: 'bestBefore', title: 'Best before', also: ['expiry', 'expires', 'expiry date', 'use by'], says: 'the day', reads: 'day' },
    { name: 'price', title: 'Price', also: ['cost', 'paid'], says: 'of the pack', reads: 'number' },
    { name: 'keptIn', title: 'Kept in', also: ['location', 'store', 'storage', 'place', 'shelf'], says: 'where it stands', reads: 'text' },
    note,
  ],
} as const satisfies Readonly<Record<string, readonly ListColumn[]>>;

export type ListName = keyof typeof listColumns;

/** What each list is called. */
export const listTitles: Readonly<Record<ListName, string>> = {
  treatments: 'Treatments',
  finds: 'Finds',
  harvests: 'Harvests',
  catches: 'Trap catches',
  products: 'Products in the shed',
};

export const columnsOf = (list: ListName): readonly ListColumn[] => listColumns[list];
