import { z } from 'zod';
import { day } from '../words.js';

const chance = z.number().min(0).max(1);
const plants = z.int().min(1).max(1_000_000);

const found = z
  .union([
    z.boolean(),
    z
      .int()
      .min(0)
      .transform((count) => count > 0),
  ])
  .describe('true, or how many were found');

export const freedomRequest = z.strictObject({
  prior: chance.describe('chance that it is there before the first look'),
  looks: z
    .array(
      z.union([
        z.strictObject({ date: day, found, sensitivity: chance.describe('chance to see it, were it there') }),
        z
          .strictObject({
            date: day,
            found,
            inspected: z.int().min(0).max(1_000_000),
            of: plants,
            unitSensitivity: chance.describe('chance to see it on a plant that has it'),
            designPrevalence: chance.describe('share of plants that would have it, were it there'),
          })
          .refine(({ inspected, of }) => inspected <= of, { error: 'no more can be inspected than there are' }),
      ]),
    )
    .max(1000)
    .refine((looks) => looks.every(({ date }, i) => i === 0 || date >= looks[i - 1]!.date), { error: 'dates must not descend' }),
  introductionPerWeek: chance.optional().describe('chance that it comes in anew in a week; none where it is left out'),
  believe: z.number().min(0.5).max(0.9999).optional().describe('how sure to be; 0.95 where it is left out'),
});

export const freedomAnswer = z.object({
  probability: z.number().describe('that it is gone, after the last look'),
  believeFrom: z.string().nullable(),
  cleanLooksNeeded: z.int().nullable().describe('more looks like the last one, without waiting; null where no number of them is enough'),
  history: z.array(z.object({ date: z.string(), probability: z.number() })),
});

export type FreedomRequest = z.infer<typeof freedomRequest>;
export type FreedomAnswer = z.infer<typeof freedomAnswer>;
