import { z } from 'zod';
import { day, entry, id, longText, percent, shortText } from './words.js';

/** A part of a stand that is looked at by itself: what was done there, or nothing, so that it stands beside the others. */
export const casePart = z.strictObject({
  id,
  name: shortText,
  /** what is done there; none: it is left alone */
  intervention: entry.nullable(),
  plants: z.int().min(1).max(100_000).nullable(),
  /** the strips of the planting that it has, counted along it from 1; none: nobody said where it lies */
  strips: z
    .array(z.int().min(1).max(40))
    .max(40)
    .refine((strips) => new Set(strips).size === strips.length, { error: 'each strip once' }),
});

export const caseParts = z
  .array(casePart)
  .max(8)
  .refine((parts) => new Set(parts.flatMap(({ strips }) => strips)).size === parts.flatMap(({ strips }) => strips).length, {
    error: 'a strip belongs to one part',
  });

const count = z.int().min(0).max(1_000_000);

/** How a case was found on a day: the whole of it, a part, or one plant. */
export const assessment = z.strictObject({
  caseId: id,
  plantingId: id,
  assessedOn: day,
  /** of the case's parts; none: the whole */
  partId: id.nullable().default(null),
  /** the number of the plant along its rows; none: many, or all */
  plant: z.int().min(1).max(100_000).nullable().default(null),
  /** what the severity is the share of */
  scale: z.enum(['leaf', 'plant', 'stand']).default('plant'),
  severity: percent,
  /** all that was counted */
  count: count.nullable(),
  /** the same one by one: on each leaf, plant or shoot, in the order of looking */
  counts: z.array(count).max(200).default([]),
  countedOn: z.enum(['leaf', 'plant', 'shoot']).default('plant'),
  /** how many plants were looked at, and how many had it */
  plantsLooked: z.int().min(1).max(100_000).nullable().default(null),
  plantsMarked: z.int().min(0).max(100_000).nullable().default(null),
  newGrowth: z.enum(['clean', 'marked', 'none', 'unknown']),
  flowers: count.nullable().default(null),
  photos: z.array(id).max(10).default([]),
  nextAssessmentOn: day.nullable(),
  note: longText,
});

/** What was picked of a planting. */
export const harvest = z.strictObject({
  plantingId: id,
  pickedOn: day,
  kg: z.number().min(0).max(1_000_000).nullable(),
  pieces: count.nullable(),
  /** what of it could not be used */
  wasteKg: z.number().min(0).max(1_000_000).nullable(),
  by: shortText.or(z.literal('')),
  note: longText,
});

/** What the grower makes of it for another year: a lesson, and a task where it has a day. */
export const lesson = z.strictObject({
  writtenOn: day,
  text: z.string().trim().min(1).max(2000),
  /** what it is about, by the library's entries */
  condition: entry.nullable(),
  host: entry.nullable(),
  dueOn: day.nullable(),
  doneOn: day.nullable(),
});
