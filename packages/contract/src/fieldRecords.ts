import { z } from 'zod';
import { metres } from './shapes.js';
import { day, entry, id, instant, longText, measure, percent, shortText, trapKind } from './words.js';

// What is written on a round and the walks beside it: traps and their catches, stops, measured leaves, prevention, levels.

/** Where a trap stands, from a day on. Metres on the ground plan. */
const trapSpot = z.strictObject({ from: day, name: shortText, x: metres.nullable(), y: metres.nullable() });

export const trap = z.strictObject({
  placeId: id,
  name: shortText,
  kind: trapKind,
  /** what it is for, by its entry in the library */
  target: entry.nullable(),
  spots: z
    .array(trapSpot)
    .min(1)
    .max(50)
    .refine((spots) => spots.every((spot, i) => i === 0 || spot.from > spots[i - 1]!.from), { error: 'a spot a day at most, in order' }),
  /** the grower's own level, caught in a week */
  weeklyLevel: z.number().positive().max(100_000).nullable(),
  /** set aside for a while: closed, or shut so that it catches nothing */
  pauses: z
    .array(
      z
        .strictObject({ from: day, until: day.nullable() })
        .refine(({ from, until }) => !until || until > from, { error: 'a rest ends after it begins' }),
    )
    .max(50)
    .default([]),
  note: longText,
  endedOn: day.nullable(),
});

/** One reading of a trap: what is in it by kind, and whether it was emptied or renewed. */
export const trapCatch = z.strictObject({
  trapId: id,
  checkedOn: day,
  caught: z.array(z.strictObject({ what: shortText, count: z.int().min(0).max(100_000) })).max(20),
  emptied: z.boolean(),
  note: longText,
});

export const scoutingRound = z.strictObject({
  startedAt: instant,
  endedAt: instant.nullable(),
  by: shortText,
  /** the walk: plantings in the order of the stops */
  walk: z.array(id).max(500),
});

/** What was seen at one stop of a round. */
export const stop = z.strictObject({
  roundId: id,
  plantingId: id,
  lookedAt: instant,
  found: z.boolean(),
  signs: z
    .array(entry)
    .max(40)
    .refine((signs) => new Set(signs).size === signs.length, { error: 'each sign once' }),
  /** what was sampled against its threshold, and one value per plant in the order of looking */
  target: entry.nullable(),
  measure: measure.nullable(),
  sample: z.array(z.number().min(0).max(100_000)).max(200),
  decision: z.enum(['act', 'leave', 'continue']).nullable(),
  /** percent of leaf, by eye and by the leaf gauge */
  severity: percent.nullable(),
  gauged: percent.nullable(),
  damage: z.enum(['old', 'new', 'both']).nullable(),
  helpers: z.int().min(0).max(100_000),
  droppings: z.boolean(),
  eggs: z.boolean(),
  caseId: id.nullable(),
  photos: z.array(id).max(10),
  note: longText,
});

/** Set by the server: the device's clock was ahead, and the server's own was taken. */
export const clockMended = z.boolean();

/** A leaf that was measured from a photo, beside what the eye had said. */
export const leafMeasurement = z.strictObject({
  plantingId: id.nullable(),
  measuredAt: instant,
  eyedPercent: percent.nullable(),
  eatenPercent: percent,
  discolouredPercent: percent,
  uncertainty: percent,
  spots: z.int().min(0).max(100_000),
  areaMm2: z.number().positive().max(10_000_000).nullable(),
  /** the leaf itself, for judging it again */
  photos: z.array(id).max(1).default([]),
  by: shortText,
  note: longText,
});

/** A thing of the prevention walk that was looked at in a place. */
export const preventionTask = z.strictObject({
  placeId: id,
  task: entry,
  doneOn: day,
  outcome: z.enum(['fine', 'done', 'wants-work']),
  /** what was measured, where the task measures something */
  amount: z.number().min(0).max(100_000).nullable(),
  note: longText,
});

/**
 * An entry of the garden's own: something that the reference library lacks, or holds otherwise than it is here. What the entry must look like
 * is the library's to say, and is checked by its schema.
 */
export const ownEntry = z.strictObject({
  kind: z.enum(['hosts', 'signs', 'checks', 'interventions', 'conditions', 'regions']),
  entry: z.looseObject({ id: entry, name: shortText }).refine((value) => JSON.stringify(value).length <= 30_000, 'at most 30,000 letters'),
  why: longText,
  endedOn: day.nullable(),
});

/** The grower's own level at which it pays to act; it goes before that of the library. */
export const ownThreshold = z.strictObject({
  condition: entry,
  measure,
  act: z.number().positive().max(100_000),
  why: longText,
  endedOn: day.nullable(),
});
