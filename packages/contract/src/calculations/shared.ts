import { z } from 'zod';

/** id of a host, a condition or an ingredient, or any of its names */
export const name = z.string().trim().min(1).max(120);
export const alert = z.object({ code: z.string(), text: z.string() });

const assumption = z.object({ path: z.array(z.union([z.string(), z.number()])), typed: z.string(), id: z.string(), name: z.string() });

/** Names in the question that could mean several entries: the one that was taken, and the others. */
export const doubts = {
  assumed: z.array(assumption).optional(),
  couldBe: z.array(assumption).optional(),
};
