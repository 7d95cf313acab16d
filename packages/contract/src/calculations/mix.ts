import { z } from 'zod';
import { unitNames } from '../words.js';
import { alert } from './shared.js';

const unit = z.enum(unitNames);
const quantity = z.strictObject({ amount: z.number().min(1e-6).max(1e9), unit });

export const mixRequest = z.strictObject({
  rate: z.strictObject({ ...quantity.shape, per: quantity.optional() }),
  make: quantity.optional(),
  treat: z
    .strictObject({
      plants: z.number().positive().max(1_000_000).optional(),
      area: quantity.optional(),
      coverage: z.strictObject({ ...quantity.shape, per: z.enum(['plant', ...unitNames]) }).optional(),
    })
    .optional(),
  sprayer: quantity.optional(),
  spoons: z.enum(['us', 'metric']).optional(),
  labelMax: quantity.optional(),
});

const shownQuantity = z.object({ amount: z.number(), unit });
const spoonMeasure = z.object({ text: z.string(), errorPercent: z.number() }).nullable();

export const mixAnswer = z.object({
  product: shownQuantity,
  water: shownQuantity,
  fills: z.array(z.object({ water: shownQuantity, product: shownQuantity, inSpoons: spoonMeasure })),
  inSpoons: spoonMeasure,
  steps: z.array(alert),
  alerts: z.array(alert),
});

export type MixRequest = z.infer<typeof mixRequest>;
export type MixAnswer = z.infer<typeof mixAnswer>;
