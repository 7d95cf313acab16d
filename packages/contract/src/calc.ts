import { z } from 'zod';
import { day, entry, hiding, onset, pattern, percent, setting, stance } from './words.js';

const name = z.string().trim().min(1).max(120);
const alert = z.object({ code: z.string(), text: z.string() });
const unitNames = [
  'ml',
  'l',
  'tsp-us',
  'tbsp-us',
  'floz-us',
  'cup-us',
  'pt-us',
  'qt-us',
  'gal-us',
  'tsp-metric',
  'tbsp-metric',
  'cup-metric',
  'floz-imp',
  'pt-imp',
  'gal-imp',
  'g',
  'kg',
  'oz',
  'lb',
  'percent',
  'percent-wv',
  'parts',
  'ppm',
  'm2',
  'ft2',
  'ha',
  'acre',
  'm',
  'ft',
] as const;
const unit = z.enum(unitNames);
const quantity = z.strictObject({ amount: z.number().min(1e-6).max(1e9), unit });

/** More signs than this on one plant tell no more, and take long to weigh. */
export const mostFindings = 60;

export const differentialRequest = z.strictObject({
  host: name.describe('id of a host or any of its names'),
  text: z.string().max(10_000).optional(),
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
  host: z.object({ id: z.string(), name: z.string() }),
  read: z.array(z.object({ sign: z.string(), state: z.enum(['seen', 'absent']), phrase: z.string(), sure: z.number() })),
  unread: z.array(z.string()),
  ranked: z.array(rankedCause),
  asked: z.array(rankedCause),
  relations: z.array(z.object({ code: z.enum(['follows', 'carries']), condition: z.string(), other: z.string() })),
  together: z.array(z.object({ conditions: z.array(z.string()), probability: z.number() })),
  otherProbability: z.number(),
  nextLooks: z.array(
    z.object({ check: z.string(), reveals: z.array(z.string()), minutes: z.number(), bits: z.number(), gain: z.number() }),
  ),
  settled: z.boolean(),
  alerts: z.array(alert),
});

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

export const mixRequest = z.strictObject({
  rate: z.strictObject({ ...quantity.shape, per: quantity.optional() }),
  make: quantity.optional(),
  treat: z
    .strictObject({
      plants: z.number().positive().max(1_000_000).optional(),
      area: quantity.optional(),
      coverage: z.strictObject({ ...quantity.shape, per: z.enum(['plant', ...unitNames]) }).optional(),
    })
    .optional(),
  sprayer: quantity.optional(),
  spoons: z.enum(['us', 'metric']).optional(),
  labelMax: quantity.optional(),
});

const shownQuantity = z.object({ amount: z.number(), unit });
const spoonMeasure = z.object({ text: z.string(), errorPercent: z.number() }).nullable();

export const mixAnswer = z.object({
  product: shownQuantity,
  water: shownQuantity,
  fills: z.array(z.object({ water: shownQuantity, product: shownQuantity, inSpoons: spoonMeasure })),
  inSpoons: spoonMeasure,
  steps: z.array(alert),
  alerts: z.array(alert),
});

export const progressRequest = z.strictObject({
  points: z
    .array(z.strictObject({ date: day, severity: percent }))
    .min(1)
    .max(1000)
    .refine((points) => points.every((point, i) => i === 0 || point.date > points[i - 1]!.date), {
      error: 'dates must ascend, each day once',
    }),
  model: z.enum(['logistic', 'gompertz']).optional(),
});

export const progressAnswer = z.object({
  audpc: z.number(),
  audps: z.number().nullable(),
  relative: z.number().nullable(),
  fit: z.object({ model: z.enum(['logistic', 'gompertz']), rate: z.number(), initial: z.number(), rSquared: z.number() }).nullable(),
});

/** A chance of error: one in a thousand to nearly one in two. */
const errorRate = z.number().min(0.001).max(0.499);
const share = z.number().min(0.0001).max(0.9999);
const meanCount = z.number().positive().max(2000);
const looked = z.int().min(1).max(1000).optional().describe('how many there are; the sample ends with the last');
const marks = z
  .array(z.literal([0, 1]))
  .max(1000)
  .describe('1 or 0 per plant, in the order of looking');
const counts = z.array(z.number().min(0).max(100_000)).max(1000).describe('one count per plant, in the order of looking');
/** What every test takes, whether it asks for it or not. */
const anyTest = {
  alpha: errorRate.optional().describe('chance to act although it is little enough'),
  beta: errorRate.optional().describe('chance to leave although it is too much'),
  k: z.number().min(0.01).max(10_000).optional().describe('clumping of the counts'),
  a: z.number().min(-1).max(100).optional().describe('intercept of mean crowding on the mean'),
  b: z.number().min(0.01).max(20).optional().describe('slope of mean crowding on the mean'),
  sensitivity: z.number().min(0.01).max(1).optional().describe('chance to see it on a plant that has it'),
  plants: looked,
};

export const sampleRequest = z.discriminatedUnion('test', [
  z.strictObject({
    test: z.literal('binomial'),
    p0: share.optional().describe('share of plants that is little enough; 0.1 when left out'),
    p1: share.optional().describe('share of plants that is too much; 0.3 when left out'),
    ...anyTest,
    seen: marks,
  }),
  z.strictObject({
    test: z.literal('negative-binomial'),
    p0: meanCount.describe('mean count that is little enough'),
    p1: meanCount.describe('mean count that is too much'),
    ...anyTest,
    seen: counts,
  }),
  z.strictObject({
    test: z.literal('iwao'),
    p0: meanCount.optional(),
    p1: meanCount.describe('critical mean count'),
    ...anyTest,
    seen: counts,
  }),
  z.strictObject({
    test: z.literal('freedom'),
    p0: share.optional(),
    p1: share.optional().describe('share of plants that would have it; 0.05 when left out'),
    ...anyTest,
    seen: marks,
  }),
]);

const linePoints = z.array(z.object({ n: z.number(), total: z.number() }));

export const sampleAnswer = z.object({
  decision: z.enum(['act', 'leave', 'continue']),
  n: z.number(),
  total: z.number(),
  lines: z.object({ act: linePoints, leave: linePoints }),
  curves: z.object({ points: z.array(z.object({ at: z.number(), leave: z.number(), expected: z.number() })) }),
});

export type SampleRequest = z.infer<typeof sampleRequest>;
export type SampleAnswer = z.infer<typeof sampleAnswer>;
export type DifferentialRequest = z.infer<typeof differentialRequest>;
export type DifferentialAnswer = z.infer<typeof differentialAnswer>;
export type OptionsRequest = z.infer<typeof optionsRequest>;
export type OptionsAnswer = z.infer<typeof optionsAnswer>;
export type MixRequest = z.infer<typeof mixRequest>;
export type MixAnswer = z.infer<typeof mixAnswer>;
export type ProgressRequest = z.infer<typeof progressRequest>;
export type ProgressAnswer = z.infer<typeof progressAnswer>;
