import { z } from 'zod';
import { day, id, instant, longText } from './words.js';

/** Plants that are taken out because of a case, step by step: who did what when, for whoever asks later. */
export const removal = z.strictObject({
  caseId: id,
  plantingId: id,
  startedOn: day,
  plants: z.int().min(1).max(1_000_000),
  /** whom it was told where it must be reported, and what they said */
  reported: z.string().trim().max(500),
  done: z
    .array(z.strictObject({ step: z.string().trim().min(1).max(40), at: instant, by: z.string().trim().max(120) }))
    .max(30)
    .refine((all) => new Set(all.map(({ step }) => step)).size === all.length, { error: 'each step once' }),
  photos: z.array(id).max(10),
  endedOn: day.nullable(),
  note: longText,
});
