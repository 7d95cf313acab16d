import { z } from 'zod';

/** Metres on the ground plan: x to the right, y downward. */
export const metres = z.number().min(-10_000).max(10_000);
const length = z.number().min(0.05).max(10_000);

export const rectangle = z.strictObject({
  kind: z.literal('rectangle'),
  /** the middle */
  x: metres,
  y: metres,
  width: length,
  depth: length,
  /** degrees clockwise */
  turn: z.number().min(-180).max(180),
});
export const circle = z.strictObject({ kind: z.literal('circle'), x: metres, y: metres, radius: length });
export const outline = z.strictObject({
  kind: z.literal('outline'),
  points: z
    .array(z.tuple([metres, metres]))
    .min(3)
    .max(200),
});

/** How something lies on the ground plan. */
export const shape = z.discriminatedUnion('kind', [rectangle, circle, outline]);

export type Shape = z.infer<typeof shape>;
