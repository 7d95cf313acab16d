import { z } from 'zod';

/** A chance of error: one in a thousand to nearly one in two. */
const errorRate = z.number().min(0.001).max(0.499);
const share = z.number().min(0.0001).max(0.9999);
const meanCount = z.number().positive().max(2000);
const looked = z.int().min(1).max(1000).optional().describe('how many there are; the sample ends with the last');
const marks = z
  .array(z.literal([0, 1]))
  .max(1000)
  .describe('1 or 0 per plant, in the order of looking');
const counts = z.array(z.number().min(0).max(100_000)).max(1000).describe('one count per plant, in the order of looking');
/** What every test takes, whether it asks for it or not. */
const anyTest = {
  alpha: errorRate.optional().describe('chance to act although it is little enough'),
  beta: errorRate.optional().describe('chance to leave although it is too much'),
  k: z.number().min(0.01).max(10_000).optional().describe('clumping of the counts'),
  a: z.number().min(-1).max(100).optional().describe('intercept of mean crowding on the mean'),
  b: z.number().min(0.01).max(20).optional().describe('slope of mean crowding on the mean'),
  sensitivity: z.number().min(0.01).max(1).optional().describe('chance to see it on a plant that has it'),
  plants: looked,
};

export const sampleRequest = z.discriminatedUnion('test', [
  z.strictObject({
    test: z.literal('binomial'),
    p0: share.optional().describe('share of plants that is little enough; 0.1 when left out'),
    p1: share.optional().describe('share of plants that is too much; 0.3 when left out'),
    ...anyTest,
    seen: marks,
  }),
  z.strictObject({
    test: z.literal('negative-binomial'),
    p0: meanCount.describe('mean count that is little enough'),
    p1: meanCount.describe('mean count that is too much'),
    ...anyTest,
    seen: counts,
  }),
  z.strictObject({
    test: z.literal('iwao'),
    p0: meanCount.optional(),
    p1: meanCount.describe('critical mean count'),
    ...anyTest,
    seen: counts,
  }),
  z.strictObject({
    test: z.literal('freedom'),
    p0: share.optional(),
    p1: share.optional().describe('share of plants that would have it; 0.05 when left out'),
    ...anyTest,
    seen: marks,
  }),
]);

const linePoints = z.array(z.object({ n: z.number(), total: z.number() }));

export const sampleAnswer = z.object({
  decision: z.enum(['act', 'leave', 'continue']),
  n: z.number(),
  total: z.number(),
  lines: z.object({ act: linePoints, leave: linePoints }),
  curves: z.object({ points: z.array(z.object({ at: z.number(), leave: z.number(), expected: z.number() })) }),
});

export type SampleRequest = z.infer<typeof sampleRequest>;
export type SampleAnswer = z.infer<typeof sampleAnswer>;
