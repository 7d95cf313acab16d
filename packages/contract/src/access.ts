import { z } from 'zod';
import { gardenSettings, storedRecords, subject } from './records.js';
import type { Subject } from './records.js';
import { day, email, entry, id, instant, newPassword, role, shortText, typedPassword } from './words.js';

export const signInRequest = z.strictObject({ email, password: typedPassword });
export const signUpRequest = z.strictObject({ name: shortText, email, password: newPassword });

export const person = z.object({ id, name: z.string(), email: z.string().nullable().describe('none: a visitor of the demo garden') });
export const gardenSummary = z.object({
  id,
  role,
  ...gardenSettings.shape,
  fixedNow: instant.nullable().describe('a fixed clock, for the demo garden'),
});

/** Who is signed in, and which gardens they may enter; `person` is null before sign-in. */
export const sessionAnswer = z.object({
  person: person.nullable(),
  gardens: z.array(gardenSummary),
  demo: z.boolean().describe('there is a demo garden to look round'),
});

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

/** A record as one change left it: nothing where it was taken out. */
export const pastVersion = z.object({
  version: z.int().min(1),
  at: instant,
  by: z.string().nullable().describe('nobody where the account is deleted'),
  isUndo: z.boolean(),
  record: z.record(z.string(), z.unknown()).nullable(),
});

/** A case of an earlier season, in a line: what first sights, rests and the reckoning go by. */
export const pastCase = z.object({
  id,
  plantingId: id,
  placeId: id,
  host: entry,
  openedOn: day,
  closedOn: day.nullable(),
  /** what it was taken for last */
  conditions: z.array(entry),
});

/** The records of one season, by subject; places and what is no season's come with the running one. */
export const seasonContents = z.object({ ...recordLists(), pastCases: z.array(pastCase) });

/** The running season with what is open and what today needs of earlier ones. */
export const gardenContents = z.object({
  garden: gardenSummary,
  /** the newest change that is in it: a device asks from here on for what came since */
  sequence: z.int().min(0),
  season: z.object({ from: day, to: day }),
  /** first day of the first season that there is */
  firstSeason: day,
  ...seasonContents.shape,
});

/** What changed since a change that a device knows, each record once; `record` is null where it was taken out. */
export const newerRecords = z.object({
  garden: gardenSummary,
  sequence: z.int().min(0),
  /** so much changed that the season is to be fetched anew */
  whole: z.boolean(),
  records: z.array(z.object({ subject, id, record: z.union([...Object.values(storedRecords)]).nullable() })),
});

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
export type NewerRecords = z.infer<typeof newerRecords>;
export type GardenContents = z.infer<typeof gardenContents>;
export type PastCase = z.infer<typeof pastCase>;
export type PastVersion = z.infer<typeof pastVersion>;
export type SeasonContents = z.infer<typeof seasonContents>;
export type Change = z.infer<typeof change>;
export type ErrorAnswer = z.infer<typeof errorAnswer>;
