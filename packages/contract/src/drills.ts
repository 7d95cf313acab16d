import { z } from 'zod';
import { instant, percent, shortText } from './words.js';

const item = z.string().trim().min(1).max(120);
const seconds = z.number().min(0).max(3600);
const asked = { item, seconds };
const count = z.int().min(0).max(100_000);
const bits = z.number().min(0).max(100);

/** One question of a drill, what was true, and what was said. */
export const drillAnswer = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['leaf', 'stand']), ...asked, truth: percent, guess: percent }),
  z.strictObject({ kind: z.literal('count'), ...asked, truth: count, guess: count }),
  z.strictObject({ kind: z.enum(['stage', 'fresh']), ...asked, truth: shortText, guess: shortText }),
  z.strictObject({
    kind: z.literal('look-alikes'),
    ...asked,
    truth: shortText,
    guess: shortText,
    looks: z.int().min(0).max(50),
    /** what the looks were expected to tell, and what the best ones would have been */
    bits,
    bestBits: bits,
  }),
]);

/** A sitting of drills: some minutes of one person. */
export const drill = z.strictObject({
  heldAt: instant,
  by: shortText,
  answers: z.array(drillAnswer).min(1).max(200),
});

export type DrillAnswer = z.infer<typeof drillAnswer>;
