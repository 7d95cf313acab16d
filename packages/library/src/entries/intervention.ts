import { z } from 'zod';
import { dispute, entryId, harm, range, reach, risk, rung, setting, stageKind, text } from '../vocabulary.js';

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
  drawing: text.optional().describe('name of the drawing that shows how it is done'),
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
  inWater: z.enum(['acid', 'alkaline']).optional().describe('what it makes of the water'),
  spoiledIn: z
    .array(z.enum(['acid', 'alkaline']))
    .default([])
    .describe('water in which it breaks down, or burns leaves'),
  disputes: z.array(dispute).default([]),
  atHeight: z.boolean().default(false).describe('work that reaches into the crown of a tree or a tall climber'),
  cautions: z.array(text).default([]),
});
