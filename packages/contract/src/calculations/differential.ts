import { z } from 'zod';
import { continent, entry, onset, pattern, setting } from '../words.js';
import { alert, doubts, name } from './shared.js';

/** More signs than this on one plant tell no more, and take long to weigh. */
export const mostFindings = 60;

export const differentialRequest = z.strictObject({
  host: name.describe('id of a host or any of its names'),
  text: z.string().max(10_000).optional(),
  context: z
    .string()
    .max(10_000)
    .optional()
    .describe('words whose signs stand among the findings: read for weather, care and what happened, which are no signs'),
  findings: z
    .array(
      z.strictObject({
        sign: entry,
        state: z.enum(['seen', 'absent']),
        part: z.string().max(40).optional(),
        sure: z.number().min(0.01).max(1).optional().describe('chance that this was meant, for what was read from words; 1 when left out'),
      }),
    )
    .max(mostFindings)
    .superRefine((findings, context) => {
      findings.forEach(({ sign, state }, i) => {
        if (findings.slice(0, i).some((one) => one.sign === sign && one.state !== state))
          context.addIssue({
            code: 'custom',
            path: [i, 'state'],
            message: 'This sign is said to be both there and not there.',
            params: { code: 'contradiction' },
          });
      });
    })
    .optional(),
  setting: setting.optional(),
  month: z.int().min(1).max(12).optional(),
  hemisphere: z.enum(['north', 'south']).optional(),
  onset: onset.optional(),
  pattern: pattern.optional(),
  region: name.optional(),
  continent: continent.optional().describe('where the garden is: what does not live there is the less likely'),
  temperatureC: z.number().min(-40).max(60).optional().describe('mean of the last days'),
  history: z
    .array(z.strictObject({ condition: name, host: name, count: z.int().min(1).max(1000) }))
    .max(500)
    .optional()
    .describe('cases of this garden that were confirmed before'),
  nearby: z
    .array(z.strictObject({ condition: name, near: z.enum(['place', 'garden']) }))
    .max(100)
    .optional()
    .describe('what is at work now on other plants'),
  tests: z
    .array(
      z.strictObject({
        condition: name,
        result: z.enum(['positive', 'negative']),
        sensitivity: z.number().min(0).max(1),
        specificity: z.number().min(0).max(1),
      }),
    )
    .max(20)
    .optional()
    .describe('what a plant clinic found, with the quality of its tests'),
  asked: z.array(name).max(20).optional().describe('conditions to answer for whatever their chance'),
});

const evidence = z.object({ sign: z.string(), state: z.enum(['seen', 'absent']), decibans: z.number() });

const rankedCause = z.object({
  condition: z.string(),
  name: z.string(),
  scientificName: z.string().nullable(),
  kind: z.string(),
  role: z.string(),
  probability: z.number(),
  for: z.array(evidence),
  against: z.array(evidence),
  circumstances: z.array(z.object({ code: z.string(), decibans: z.number() })),
});

export const differentialAnswer = z.object({
  ...doubts,
  host: z.object({
    id: z.string(),
    name: z.string(),
    qualifier: z.string().optional().describe('words about the plant that are no part of its name: a variety, a place'),
  }),
  read: z.array(
    z.object({
      sign: z.string(),
      state: z.enum(['seen', 'absent']),
      phrase: z.string(),
      sure: z.number(),
      later: z.boolean().optional().describe('told as what came after: behind “then”, “later” and their like'),
    }),
  ),
  events: z
    .array(z.object({ event: z.string(), phrase: z.string() }))
    .describe('what happened, weather and care, as they were read: no signs, but they make some causes likelier'),
  unread: z.array(z.string()),
  ranked: z.array(rankedCause),
  asked: z.array(rankedCause),
  relations: z.array(z.object({ code: z.enum(['follows', 'carries', 'later']), condition: z.string(), other: z.string() })),
  together: z.array(z.object({ conditions: z.array(z.string()), probability: z.number() })),
  otherProbability: z.number(),
  nextLooks: z.array(
    z.object({ check: z.string(), reveals: z.array(z.string()), minutes: z.number(), bits: z.number(), gain: z.number() }),
  ),
  settled: z.boolean(),
  alerts: z.array(alert),
});

export type DifferentialRequest = z.infer<typeof differentialRequest>;
export type DifferentialAnswer = z.infer<typeof differentialAnswer>;
