import { z } from 'zod';
import {
  age,
  conditionKind,
  continent,
  dispute,
  entryId,
  evidence,
  frequency,
  hiding,
  onset,
  pattern,
  range,
  role,
  setting,
  stageKind,
  text,
} from '../vocabulary.js';

/** A level at which it pays to act, counted so that a sample can decide; lower on young plants. */
export const level = z.strictObject({
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

/** What warmth makes of it: sums of degree days (°C·day) at which a stage comes, or a generation is through. */
export const heat = z
  .strictObject({
    lowerC: z.number().min(-5).max(25),
    upperC: z.number().min(15).max(45).optional(),
    from: z
      .enum(['new-year', 'spring', 'first-sight'])
      .optional()
      .describe('from when stages are counted: 1 January or 1 March in the north, half a year later in the south, or the first sight'),
    stages: z.array(z.strictObject({ name: text, at: z.number().positive() })).default([]),
    generation: z.number().positive().optional(),
    basis: text,
  })
  .refine(({ from, stages }) => (from === undefined) === (stages.length === 0), { error: 'stages are counted from somewhere' })
  .refine(({ stages, generation }) => stages.length > 0 || generation !== undefined, { error: 'stages or a generation' });

/** Wetness and warmth that let it into a leaf: the wet-period model of core. */
export const infection = z.strictObject({
  tMin: z.number(),
  tOpt: z.number(),
  tMax: z.number(),
  wMin: z.number().positive(),
  wMax: z.number().positive().optional(),
  dryHoursForgiven: z.int().min(0).max(24).optional(),
  basis: text,
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
  heat: heat.optional(),
  infection: infection.optional(),
  recovery: z.strictObject({ sign: text, lookAgainDays: z.int().min(1).max(60) }),
  disputes: z.array(dispute).default([]),
  cautions: z.array(text).default([]),
});
