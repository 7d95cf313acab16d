import { z } from 'zod';

/** id of a host, a condition or an ingredient, or any of its names */
export const name = z.string().trim().min(1).max(120);
export const alert = z.object({ code: z.string(), text: z.string() });
