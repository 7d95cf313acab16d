import { z } from 'zod';
import { companion } from './entries/companion.js';
import { condition } from './entries/condition.js';
import type { level } from './entries/condition.js';
import { intervention } from './entries/intervention.js';
import { seasonModel } from './entries/seasonModel.js';
import { dispute, entryId, leafShape, onset, part, stageKind, stance, text } from './vocabulary.js';

export { companion, condition, intervention, seasonModel };

/** A plant (or ground) that troubles are found on. */
export const host = z.strictObject({
  id: entryId,
  name: text,
  latin: text.optional(),
  family: entryId,
  kind: z.enum(['vegetable', 'herb', 'fruit', 'ornamental', 'houseplant', 'ground']),
  names: z.array(text).default([]),
  maybe: z.array(text).default([]).describe('names that usually mean another plant, and may mean this one'),
  like: entryId.optional().describe('a plant whose troubles it has unless something else is said of it'),
  crop: z.enum(['fruit', 'root', 'bulb', 'pod']).optional().describe('what of it is gathered and goes by its name'),
  eaten: z.boolean(),
  sometimesEaten: z.boolean().default(false).describe('some people eat it: whether this planting is eaten is asked'),
  deciduous: z.boolean().default(false).describe('woody, and bare in winter'),
  bearsShade: z.boolean().default(false).describe('does well in half a day of sun'),
  tender: z.boolean().default(false).describe('the first frost ends it'),
  leaf: leafShape,
  habit: z.enum(['tuft', 'bush', 'climber', 'blades', 'tree', 'tray', 'heap']).describe('how the whole plant stands'),
});

/** Something that a grower can see, feel, smell or find, on a named part of the plant. */
export const sign = z.strictObject({
  id: entryId,
  name: text,
  part,
  words: z.array(text).min(2),
  common: z.enum(['everywhere', 'now-and-then', 'telling']).default('now-and-then'),
  stage: stageKind.optional().describe('the kind of stage that it shows is there'),
  only: z.array(entryId).min(1).optional().describe('hosts, families, kinds or habits that can show it; any when left out'),
  look: text,
  drawing: z.strictObject({
    organ: z.enum(['leaf', 'stem', 'base', 'root', 'bulb', 'fruit', 'flower', 'creature', 'ground', 'seedling', 'plant']),
    mark: entryId,
  }),
});

export const check = z.strictObject({
  id: entryId,
  name: text,
  minutes: z.number().positive(),
  tools: z.array(text).default([]),
  harm: z.enum(['none', 'slight', 'plant']),
  steps: z.array(text).min(1),
  reveals: z.array(entryId).min(1),
  caution: text.optional(),
});

/** One thing to look at on the prevention walk, in places of some kinds and months. */
export const task = z.strictObject({
  id: entryId,
  round: z.enum(['prevention', 'around']).default('prevention').describe('the walk that it belongs to'),
  name: text,
  ask: text,
  why: text,
  prevents: z.array(entryId).min(1),
  kinds: z.array(entryId).min(1).describe('kinds of place that it is for'),
  months: z.array(z.int().min(1).max(12)).min(1).describe('northern hemisphere'),
  everyDays: z.int().min(1).max(730),
  measures: z.strictObject({ what: z.enum(['mulch-cm', 'flies-per-minute']), low: z.number(), high: z.number() }).optional(),
  care: z.array(text).min(1).optional().describe('how it is put right without harm'),
});

export const region = z.strictObject({
  id: entryId,
  name: text,
  authority: text,
  notifiable: z.array(entryId),
  notListed: z.array(entryId).default([]).describe('must be reported in many places, and not here'),
  soldHere: z.array(entryId).default([]).describe('may be bought and used in a garden here'),
  forbidden: z.array(z.strictObject({ intervention: entryId, why: text })),
  restricted: z.array(z.strictObject({ intervention: entryId, why: text })),
  burning: text,
  disposal: text,
});

/** How a language is written and what growers call things in it; English lay words stand with the entries. */
export const language = z.strictObject({
  id: z.string().regex(/^[a-z]{2}$/, 'two letters of ISO 639-1'),
  name: text,
  stemmer: text,
  fillers: text.max(4000),
  ordinary: z.string().trim().min(1).max(20_000),
  clauseBreaks: z.array(text),
  joiners: z.array(text),
  clauseStarts: z.array(text),
  negations: z.array(text).min(1),
  softeners: z.array(text).default([]),
  idioms: z.array(text).default([]),
  looks: z.array(text).default([]),
  later: z.array(text).default([]),
  guesses: z.array(text).default([]),
  askers: z.array(text).default([]),
  wellness: z.array(text).default([]),
  copulas: z.array(text).default([]),
  minus: text,
  parts: z.record(entryId, z.array(text).min(1)).default({}),
  crops: z.record(entryId, text).default({}),
  within: z.array(text).default([]),
  events: z.record(entryId, z.array(text).min(1)).default({}),
  same: z.record(text, z.array(text).min(1)),
  onset: z.record(onset, z.array(text)),
  signs: z.record(entryId, z.array(text)).optional(),
  hosts: z.record(entryId, z.array(text)).optional(),
});

export const library = z.strictObject({
  version: z.string(),
  hosts: z.array(host),
  signs: z.array(sign),
  conditions: z.array(condition),
  interventions: z.array(intervention),
  checks: z.array(check),
  tasks: z.array(task),
  seasonModels: z.array(seasonModel),
  companions: z.array(companion),
  regions: z.array(region),
  languages: z.array(language).min(1),
});

export type Host = z.infer<typeof host>;
export type Sign = z.infer<typeof sign>;
export type Condition = z.infer<typeof condition>;
export type Intervention = z.infer<typeof intervention>;
export type Check = z.infer<typeof check>;
export type Level = z.infer<typeof level>;
export type Task = z.infer<typeof task>;
export type Companion = z.infer<typeof companion>;
export type SeasonModel = z.infer<typeof seasonModel>;
export type Region = z.infer<typeof region>;
export type Language = z.infer<typeof language>;
export type Library = z.infer<typeof library>;
export type Stance = z.infer<typeof stance>;
export type Dispute = z.infer<typeof dispute>;
