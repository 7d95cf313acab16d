import { z } from 'zod';
import { gardenSettings, storedRecords, subject } from './records.js';
import type { Subject } from './records.js';
import { id, instant, role, shortText } from './words.js';

const email = z.email().max(254);
const password = z.string().min(10, { error: 'at least 10 characters' }).max(200);

export const signInRequest = z.strictObject({ email, password: z.string().min(1).max(200) });
export const signUpRequest = z.strictObject({ name: shortText, email, password });

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
export const memberRequest = z.strictObject({ email, role: role.exclude(['owner']) });
export const member = z.object({ name: z.string(), email: z.string(), role });

/** A change that can be undone: who, what, when. */
export const change = z.object({
  id,
  subject,
  recordId: id,
  kind: z.enum(['added', 'changed', 'undone']),
  by: z.string(),
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
  }),
});

export type Person = z.infer<typeof person>;
export type GardenSummary = z.infer<typeof gardenSummary>;
export type Session = z.infer<typeof sessionAnswer>;
export type GardenContents = z.infer<typeof gardenContents>;
export type Member = z.infer<typeof member>;
export type Change = z.infer<typeof change>;
export type ErrorAnswer = z.infer<typeof errorAnswer>;
