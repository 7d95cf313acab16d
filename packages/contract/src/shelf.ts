import { z } from 'zod';
import { day, entry, id, instant, longText, setting, shortText } from './words.js';

const optionalText = z.string().trim().max(120);
const amount = z.number().min(1e-6).max(1e9);
const soldTo = z.enum(['amateur', 'professional', 'unknown']);
const harm = z.enum(['none', 'slight', 'serious']);
const range = z
  .strictObject({ min: z.number().min(-40).max(60), max: z.number().min(-40).max(60) })
  .refine(({ min, max }) => min <= max, { path: ['max'], error: 'not below the lowest' });

/** A pack in the shed. Amounts are in what it is measured in. */
export const product = z.strictObject({
  /** as it stands on the pack */
  name: shortText,
  /** the active ingredient, by its entry in the library */
  intervention: entry,
  /** of the ingredient in the product */
  strength: z.strictObject({ amount, unit: z.enum(['g/l', 'percent', 'IU/mg', 'ITU/mg']) }).nullable(),
  form: z.enum(['liquid', 'powder', 'granules', 'bait', 'paste', 'living', 'other']),
  measuredIn: z.enum(['ml', 'g', 'pieces']),
  packAmount: amount.nullable(),
  /** turns a volume of it into a mass; none is guessed */
  densityGPerMl: z.number().min(0.05).max(25).nullable(),
  registration: optionalText,
  barcode: z
    .string()
    .regex(/^\d{0,14}$/, { error: 'digits only, 14 at most' })
    .default(''),
  soldTo,
  batch: optionalText,
  boughtOn: day.nullable(),
  openedOn: day.nullable(),
  bestBefore: day.nullable(),
  /** of a pack */
  price: z.number().min(0).max(1_000_000).nullable(),
  /** where it stands */
  keptIn: optionalText,
  /** running low below this */
  lowAt: z.number().min(0).max(1e9).nullable(),
  note: longText,
  endedOn: day.nullable(),
});

/** How much a label allows; a percentage goes by the water, and stands without a "per". */
export const cardRate = z
  .strictObject({
    low: amount,
    high: amount,
    unit: z.enum(['ml', 'l', 'tsp-us', 'tbsp-us', 'floz-us', 'cup-us', 'g', 'kg', 'oz', 'lb', 'percent']),
    per: z.strictObject({ amount, unit: z.enum(['ml', 'l', 'qt-us', 'gal-us', 'gal-imp', 'm2', 'ft2', 'ha', 'acre', 'plant']) }).nullable(),
  })
  .refine(({ low, high }) => low <= high, { path: ['high'], error: 'not below the lowest rate' })
  .refine(({ unit, per }) => (unit === 'percent') === (per === null), { path: ['per'], error: 'a percentage alone has no "per"' });

/** One line of a label: what it allows on a plant or family, against a trouble. */
export const cardLine = z.strictObject({
  /** plant or family; any that no other line names when null */
  host: entry.nullable(),
  /** trouble; any when null */
  target: entry.nullable(),
  rate: cardRate.nullable(),
  /** litres for a square metre */
  waterLPerM2: z.number().positive().max(100).nullable(),
  /** not for plants that are eaten when null */
  preHarvestDays: z.int().min(0).max(400).nullable(),
  repeatDays: z
    .array(z.int().min(0).max(400))
    .length(2)
    .refine(([least, most]) => least! <= most!, { error: 'the least first, the most last' })
    .nullable(),
  seasonMax: z.int().min(1).max(100).nullable(),
  settings: z.array(setting).min(1).max(4),
  /** as the label says it: from four leaves on, before the fruit colours */
  stages: z.string().trim().max(200),
});

/** The label of a product: as the gardener copied it from the pack, or as the register has it. */
export const labelCard = z.strictObject({
  productId: id,
  source: z.enum(['copied', 'register']),
  readOn: day,
  validUntil: day.nullable(),
  soldTo,
  reEntryHours: z.int().min(0).max(2000),
  rainFastHours: z.number().min(0).max(240).nullable(),
  temperatureC: range.nullable(),
  maxWindKmh: z.number().min(0).max(100).nullable(),
  bufferM: z.number().min(0).max(500).nullable(),
  bees: harm,
  daysBeforeFlower: z.int().min(0).max(200),
  apartFrom: z.array(z.strictObject({ intervention: entry, days: z.int().min(1).max(400), why: z.string().trim().max(200) })).max(20),
  protect: z.array(z.enum(['gloves', 'eyes', 'mask', 'sleeves', 'air', 'no-flame'])).max(6),
  lines: z.array(cardLine).min(1).max(60),
  photos: z.array(id).max(6),
  note: longText,
});

/** What came onto the shelf or left it, beside what was applied. `counted` says how much stood there. */
export const stockMove = z.strictObject({
  productId: id,
  movedAt: instant,
  kind: z.enum(['bought', 'counted', 'spilled', 'given-away', 'disposed']),
  amount: z.number().min(0).max(1e9),
  note: longText,
});

const { productId: _, photos: __, note: ___, ...registeredCard } = labelCard.shape;

/** A product as the register of labels has it, in the garden's words. */
export const registerEntry = z.strictObject({
  number: shortText,
  name: shortText,
  barcode: product.shape.barcode,
  /** none where the library does not know the ingredient */
  intervention: entry.nullable(),
  strength: product.shape.strength,
  form: product.shape.form,
  measuredIn: product.shape.measuredIn,
  amendedOn: day,
  card: z.strictObject(registeredCard),
  /** crops, troubles and ingredients of the label that the library does not know, as the register writes them */
  unread: z.array(z.string()),
});

export type RegisterEntry = z.infer<typeof registerEntry>;
export type CardLine = z.infer<typeof cardLine>;
export type CardRate = z.infer<typeof cardRate>;
