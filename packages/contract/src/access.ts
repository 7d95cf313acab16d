import { z } from 'zod';
import { gardenSettings, storedRecords, subject } from './records.js';
import type { Subject } from './records.js';
import { email, id, instant, newPassword, role, shortText, typedPassword } from './words.js';

export const signInRequest = z.strictObject({ email, password: typedPassword });
export const signUpRequest = z.strictObject({ name: shortText, email, password: newPassword });

export const person = z.object({ id, name: z.string(), email: z.string() });
export const gardenSummary = z.object({
  id,
  role,
  ...gardenSettings.shape,
  fixedNow: instant.nullable().describe('a fixed clock, for the demo garden'),
});

/** Who is signed in, and which gardens they may enter; `person` is null before sign-in. */
export const sessionAnswer = z.object({ person: person.nullable(), gardens: z.array(gardenSummary) });

export const createGardenRequest = z.strictObject({ id, settings: gardenSettings });

/** A change that can be undone: who, what, when. */
export const change = z.object({
  id,
  subject,
  recordId: id,
  kind: z.enum(['added', 'changed', 'undone']),
  by: z.string().nullable().describe('nobody where the account is deleted'),
  at: instant,
});

/** The garden with every record, by subject. */
export const gardenContents = z.object({ garden: gardenSummary, ...recordLists() });

function recordLists() {
  const lists = Object.entries(storedRecords).map(([name, schema]) => [name, z.array(schema as z.ZodType)]);
  return Object.fromEntries(lists) as { [S in Subject]: z.ZodArray<(typeof storedRecords)[S]> };
}

export const errorAnswer = z.object({
  error: z.object({
    code: z.string(),
    message: z.string().optional(),
    issues: z
      .array(z.object({ path: z.array(z.union([z.string(), z.number()])), code: z.string(), message: z.string() }).loose())
      .optional(),
    retryAfter: z.number().optional().describe('seconds'),
  }),
});

export type Person = z.infer<typeof person>;
export type GardenSummary = z.infer<typeof gardenSummary>;
export type Session = z.infer<typeof sessionAnswer>;
export type GardenContents = z.infer<typeof gardenContents>;
export type Change = z.infer<typeof change>;
export type ErrorAnswer = z.infer<typeof errorAnswer>;
