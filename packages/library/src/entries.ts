import { z } from 'zod';
import {
  age,
  conditionKind,
  continent,
  dispute,
  entryId,
  evidence,
  frequency,
  harm,
  hiding,
  leafShape,
  onset,
  part,
  pattern,
  reach,
  risk,
  role,
  rung,
  setting,
  stageKind,
  stance,
  text,
} from './vocabulary.js';

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

/** One interval in percent or days: low, high. */
const range = z.tuple([z.number(), z.number()]).refine(([low, high]) => low <= high, 'low first');

/** A level at which it pays to act, counted so that a sample can decide; lower on young plants. */
const level = z.strictObject({
  measure: z.enum([
    'any',
    'plants-percent',
    'count-per-plant',
    'count-per-leaf',
    'count-per-m2',
    'count-per-minute',
    'leaf-percent',
    'trap-per-week',
  ]),
  act: z.number().positive(),
  young: z.number().positive().optional(),
  trap: z.enum(['sticky-card', 'pheromone', 'slug', 'snap', 'fly']).optional().describe('which trap, for catches in a week'),
});

export const condition = z.strictObject({
  id: entryId,
  name: text,
  names: z.array(text).default([]),
  latin: text.optional(),
  eppo: z
    .string()
    .regex(/^[A-Z0-9]{5,6}$/)
    .optional(),
  kind: conditionKind,
  role,
  common: z.enum(['common', 'occasional', 'rare']),
  summary: text,
  hosts: z.strictObject({
    often: z.array(entryId).default([]),
    sometimes: z.array(entryId).default([]),
    seldom: z.array(entryId).default([]),
    never: z.array(entryId).default([]).describe('not on these, though their family or kind is listed'),
  }),
  settings: z.array(setting).min(1),
  months: z.array(z.int().min(1).max(12)).min(1).describe('northern hemisphere; indoors the season does not matter'),
  temperatureC: range.optional().describe('mean temperatures in which it thrives'),
  onset,
  patterns: z.array(pattern).min(1),
  after: z.array(entryId).default([]).describe('events of the languages in whose wake, or weather and care under which, it comes'),
  signs: z.record(entryId, frequency),
  stages: z
    .array(
      z.strictObject({
        id: entryId,
        kind: stageKind,
        does: text,
        months: z.array(z.int().min(1).max(12)).min(1).optional().describe('in which it is about, northern hemisphere'),
        hidden: hiding.optional(),
        mark: entryId.optional().describe('the drawing of the animal at this stage'),
      }),
    )
    .min(1),
  checks: z.array(entryId).min(1),
  lookalikes: z.array(z.strictObject({ condition: entryId, tell: text })),
  fewOptions: text.optional().describe('why little can be done, where that is so'),
  reportable: z.enum(['nearly-everywhere', 'in-places', 'no']).default('no').describe('to the plant-health authority'),
  range: z.array(continent).default([]).describe('where it lives; everywhere when empty'),
  threshold: z.strictObject({ act: text, basis: text }),
  levels: z.array(level).default([]),
  follows: z.array(entryId).default([]).describe('conditions in whose wake it comes'),
  carries: z.array(entryId).default([]).describe('conditions that it carries from plant to plant'),
  treat: z.array(
    z.strictObject({
      intervention: entryId,
      stages: z.array(entryId).min(1).describe('kinds of stage, or stages of this condition'),
      efficacy: range.describe('our estimate, percent'),
      evidence,
      note: text.optional(),
      steps: z.array(text).min(1).optional().describe("in place of the card's own steps"),
      hosts: z.array(entryId).min(1).optional().describe('hosts or families that this is for; any when left out'),
      months: z.array(z.int().min(1).max(12)).min(1).optional(),
      age: z.array(age).min(1).optional(),
    }),
  ),
  prevention: z.array(text).min(1),
  persistence: text,
  restYears: z.number().positive().max(40).optional().describe('how long its ground stays closed to the families that take it'),
  spread: text,
  recovery: z.strictObject({ sign: text, lookAgainDays: z.int().min(1).max(60) }),
  disputes: z.array(dispute).default([]),
  cautions: z.array(text).default([]),
});

const amount = z.strictObject({ amount: z.number().positive(), unit: z.string() });

/** How strong the product is that a rate is meant for: of another strength, so much less or more is taken. */
const strength = z.strictObject({ amount: z.number().positive(), unit: z.enum(['g/l', 'percent', 'IU/mg', 'ITU/mg']) });
const limits = z.strictObject({ min: z.number(), max: z.number() });
const months = z.array(z.int().min(1).max(12)).min(1).describe('northern hemisphere');
const plantState = z.enum(['dormant', 'in-leaf']);

export const intervention = z.strictObject({
  id: entryId,
  name: text,
  names: z.array(text).default([]),
  like: entryId.optional().describe('it is offered wherever this one is'),
  rung,
  summary: text,
  steps: z.array(text).min(1),
  reach,
  organic: z.boolean().default(true),
  sold: z.enum(['amateur', 'varies', 'professional']).optional().describe('to whom; nothing for what is not bought as a product'),
  restricted: z.boolean().default(false).describe('a licensed applicator decides and applies'),
  dont: z.boolean().default(false).describe('what people try and should not'),
  nextSeason: z.boolean().default(false).describe('helps next time, and changes nothing today'),
  bees: harm.default('none'),
  daysBeforeFlower: z.int().min(0).default(0).describe('not within so many days before the planting flowers'),
  helpers: harm.default('none'),
  animals: risk.default('none').describe('pets, hens and other animals'),
  water: risk.default('none').describe('ponds, ditches, fish'),
  modeOfAction: z.strictObject({ scheme: z.enum(['IRAC', 'FRAC']), group: z.string() }).optional(),
  countsAs: entryId.optional().describe("what a season's maximum is counted for together with this"),
  temperatureC: limits.optional().describe('of the air'),
  soilC: limits.optional().describe('of the soil'),
  months: months.optional(),
  when: plantState.optional(),
  settings: z.array(setting).min(1),
  onEaten: z.boolean().default(true),
  onlyHosts: z.array(entryId).default([]).describe('hosts or families that it is for; any when empty'),
  preHarvestDays: z.int().min(0).default(0).describe('the longest common figure'),
  preHarvestOn: z.array(z.strictObject({ host: entryId, days: z.int().min(0) })).default([]),
  reEntryHours: z.int().min(0).default(0),
  repeatDays: range.optional(),
  seasonMax: z.int().min(1).optional(),
  rainFastHours: z.number().min(0).optional(),
  residualDays: z.number().min(0).default(0),
  contactMinutes: z.number().positive().optional().describe('how long it must act before it is rinsed or dried'),
  minutesPerPlant: z.number().min(0),
  costPerPlant: z.number().min(0).describe('rough, in the money of the garden'),
  harmsHosts: z
    .array(z.strictObject({ host: entryId, harm: z.enum(['slight', 'serious']), why: text, when: plantState.optional() }))
    .default([]),
  apartFrom: z.array(z.strictObject({ intervention: entryId, days: z.int().min(1), why: text })).default([]),
  release: z.enum(['animals', 'microbes']).optional().describe('living things that are set out'),
  kills: z
    .array(z.strictObject({ what: z.enum(['animals', 'microbes']), days: z.int().min(1) }))
    .default([])
    .describe('what was set out dies of it, and for how many days after'),
  effect: z.enum(['smothers', 'washes', 'dries']).optional().describe('what acts alike is done in turn, and not at once'),
  undoes: z.array(entryId).default([]),
  protect: z.array(z.enum(['gloves', 'eyes', 'mask', 'sleeves', 'air', 'no-flame'])).default([]),
  stageTiming: z.array(stageKind).default([]),
  harvestWithinDays: z.int().min(1).optional(),
  needsHelpers: z.boolean().default(false),
  order: z.enum(['water', 'clean', 'cut', 'shield', 'release', 'spray', 'feed', 'remove', 'wait']),
  releaseDose: z.strictObject({ low: z.number().positive(), high: z.number().positive(), per: z.enum(['m2', 'plant']) }).optional(),
  rate: z
    .strictObject({
      product: text,
      strength,
      ...amount.shape,
      per: amount,
      labelMax: amount,
      coverage: z
        .strictObject({ ...amount.shape, per: z.enum(['plant', 'm2']) })
        .optional()
        .describe("what a plant takes; a spray over the leaves goes by the plant's habit when it is left out"),
      basis: text,
    })
    .optional(),
  disputes: z.array(dispute).default([]),
  atHeight: z.boolean().default(false).describe('work that reaches into the crown of a tree or a tall climber'),
  cautions: z.array(text).default([]),
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
  name: text,
  ask: text,
  why: text,
  prevents: z.array(entryId).min(1),
  kinds: z.array(entryId).min(1).describe('kinds of place that it is for'),
  months: z.array(z.int().min(1).max(12)).min(1).describe('northern hemisphere'),
  everyDays: z.int().min(1).max(730),
  measures: z.strictObject({ what: z.enum(['mulch-cm']), low: z.number(), high: z.number() }).optional(),
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
  guesses: z.array(text).default([]),
  askers: z.array(text).default([]),
  wellness: z.array(text).default([]),
  copulas: z.array(text).default([]),
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
export type Region = z.infer<typeof region>;
export type Language = z.infer<typeof language>;
export type Library = z.infer<typeof library>;
export type Stance = z.infer<typeof stance>;
export type Dispute = z.infer<typeof dispute>;
