import { z } from 'zod';
import { entry, hiding, setting, stance } from '../words.js';
import { alert, doubts, name } from './shared.js';

export const optionsRequest = z.strictObject({
  host: name,
  conditions: z.array(name).min(1).max(5),
  stage: entry.optional(),
  setting,
  inFlower: z.boolean().optional(),
  edible: z.boolean().optional(),
  daysToHarvest: z.number().min(0).max(1000).optional(),
  daysToFrost: z.number().min(0).max(400).optional(),
  temperatureC: z.number().min(-40).max(60).optional(),
  forecast: z
    .strictObject({
      rainInHours: z.number().min(0).max(240).optional(),
      windKmh: z.number().min(0).max(200).optional(),
      maxC: z.number().min(-40).max(60).optional(),
    })
    .optional(),
  helpersSeen: z.boolean().optional(),
  hidden: hiding.optional(),
  recent: z
    .array(z.strictObject({ ingredient: name, daysAgo: z.number().min(0).max(400) }))
    .max(100)
    .optional(),
  seasonDays: z
    .number()
    .min(0)
    .max(366)
    .optional()
    .describe("how many days ago the season began: what was used before does not count for a season's maximum; all counts when left out"),
  stance,
  region: name.optional(),
});

const dispute = z.object({
  id: z.string(),
  question: z.string(),
  schools: z.array(z.object({ view: z.string(), reason: z.string() })),
  default: z.string(),
  why: z.string(),
});

export const optionsAnswer = z.object({
  ...doubts,
  host: z.object({ id: z.string(), name: z.string() }),
  options: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      rung: z.string(),
      verdict: z.enum(['fits', 'care', 'ruled-out']),
      reasons: z.array(z.object({ code: z.string(), weight: z.enum(['ruled-out', 'care', 'for']), text: z.string() })),
      covers: z.array(z.string()),
      notes: z.array(z.string()),
      evidence: z.enum(['strong', 'moderate', 'weak', 'folk']),
      expected: z.object({ efficacy: z.tuple([z.number(), z.number()]), minutes: z.number(), cost: z.number() }),
      loss: z.number(),
    }),
  ),
  plan: z.array(z.object({ use: z.string(), name: z.string(), step: z.string(), covers: z.array(z.string()) })),
  disputes: z.array(dispute),
  alerts: z.array(alert),
});

export type OptionsRequest = z.infer<typeof optionsRequest>;
export type OptionsAnswer = z.infer<typeof optionsAnswer>;
