import { z } from 'zod';
import { unitNames } from '../words.js';
import { alert } from './shared.js';

const unit = z.enum(unitNames);
const amount = z.number().min(1e-6).max(1e9);
const quantity = z.strictObject({ amount, unit });
const unitOrPlant = z.enum(['plant', ...unitNames]);

export const mixRequest = z.strictObject({
  rate: z.strictObject({
    ...quantity.shape,
    /** a volume is of water, unless it is of the compost in the pots; a length alone is a depth */
    per: z.strictObject({ amount, unit: unitOrPlant, of: z.enum(['water', 'compost']).optional() }).optional(),
  }),
  make: quantity.optional(),
  treat: z
    .strictObject({
      plants: z.number().positive().max(1_000_000).optional(),
      area: quantity.optional(),
      length: quantity.optional(),
      weight: quantity.optional(),
      /** compost that the pot of one plant holds */
      pot: quantity.optional(),
      coverage: z.strictObject({ ...quantity.shape, per: unitOrPlant }).optional(),
    })
    .optional(),
  sprayer: quantity.optional(),
  /** what is in the sprayer already */
  standing: z.strictObject({ ...quantity.shape, of: z.enum(['water', 'mix']) }).optional(),
  spoons: z.enum(['us', 'metric']).optional(),
  /** of the product, g/ml */
  density: z.number().min(0.05).max(25).optional(),
  labelMax: quantity.optional(),
  way: z.enum(['spray', 'drench', 'dip', 'paint', 'slurry', 'dust', 'spread', 'bait', 'inject', 'mulch']).optional(),
});

const shownQuantity = z.object({ amount: z.number(), unit });
const spoonMeasure = z.object({ text: z.string(), errorPercent: z.number() }).nullable();

export const mixAnswer = z.object({
  product: shownQuantity,
  water: shownQuantity,
  fills: z.array(z.object({ water: shownQuantity, pour: shownQuantity, product: shownQuantity, inSpoons: spoonMeasure })),
  inSpoons: spoonMeasure,
  leftOver: shownQuantity.nullable(),
  steps: z.array(alert),
  alerts: z.array(alert),
});

export type MixRequest = z.infer<typeof mixRequest>;
export type MixAnswer = z.infer<typeof mixAnswer>;
