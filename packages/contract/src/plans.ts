import { z } from 'zod';
import { day, entry, id, instant, longText, shortText } from './words.js';

const minutes = z.int().min(0).max(1440);

/** What shall be done on a planting, and how often: the rounds of one decision, or of several in turn. */
export const treatmentPlan = z.strictObject({
  plantingId: id,
  /** none: it is done before there is a case */
  caseId: id.nullable(),
  /** troubles that it is against */
  against: z.array(entry).min(1).max(3),
  /** what may be used; of several, neighbouring rounds take another mode of action */
  interventions: z
    .array(entry)
    .min(1)
    .max(4)
    .refine((all) => new Set(all).size === all.length, { error: 'each once' }),
  /** no round is done before */
  startsOn: day,
  rounds: z.int().min(1).max(8),
  /** at least, between two rounds */
  betweenDays: z.int().min(0).max(120),
  /** nothing more of it is done from then on */
  endedOn: day.nullable(),
  note: longText,
});

/** One round of a plan in its half-day. */
export const plannedApplication = z.strictObject({
  planId: id,
  /** which round of its plan */
  ordinal: z.int().min(1).max(8),
  intervention: entry,
  /** the pack on the shelf that it is to come from */
  productId: id.nullable(),
  plannedFor: day,
  slot: z.enum(['morning', 'evening']),
  /** it was put there by hand: the planner leaves it where it is */
  held: z.boolean(),
  /** who is to do it, by name */
  person: z.string().trim().max(120),
  state: z.enum(['planned', 'under-way', 'done', 'not-needed']),
  /** when somebody began */
  startedAt: instant.nullable(),
  /** what was done, once it is */
  applicationId: id.nullable(),
  /** why it is not needed */
  note: longText,
});

/** How long somebody works in the garden for its health, day by day. */
export const workTime = z.strictObject({
  person: shortText,
  minutesPerDay: minutes,
  /** days that are unlike the others */
  exceptions: z
    .array(z.strictObject({ on: day, minutes }))
    .max(200)
    .refine((days) => new Set(days.map(({ on }) => on)).size === days.length, { error: 'each day once' }),
  endedOn: day.nullable(),
});
