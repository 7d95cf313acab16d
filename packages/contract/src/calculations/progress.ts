import { z } from 'zod';
import { day, percent } from '../words.js';

export const progressRequest = z.strictObject({
  points: z
    .array(z.strictObject({ date: day, severity: percent }))
    .min(1)
    .max(1000)
    .refine((points) => points.every((point, i) => i === 0 || point.date > points[i - 1]!.date), {
      error: 'dates must ascend, each day once',
    }),
  model: z.enum(['logistic', 'gompertz']).optional(),
});

export const progressAnswer = z.object({
  audpc: z.number(),
  audps: z.number().nullable(),
  relative: z.number().nullable(),
  fit: z.object({ model: z.enum(['logistic', 'gompertz']), rate: z.number(), initial: z.number(), rSquared: z.number() }).nullable(),
});

export type ProgressRequest = z.infer<typeof progressRequest>;
export type ProgressAnswer = z.infer<typeof progressAnswer>;
