import { z } from 'zod';

const stageId = z.string().trim().min(1).max(60);
const count = z.number().min(0).max(1e9);
const money = z.number().min(0).max(1e9);
const celsius = z.number().min(-60).max(60);
const [mostDays, mostStages] = [400, 12];

const pest = z.strictObject({
  stages: z
    .array(
      z.strictObject({
        id: stageId,
        lowerC: celsius.describe('below this it stands still'),
        degreeDays: z
          .number()
          .min(0.1)
          .max(1e9)
          .describe('heat above lowerC that the stage takes; of the last stage, the adult, its life span'),
        substages: z.int().min(1).max(100).describe('steps of the distributed delay: the more, the less the length of the stage scatters'),
        mortalityPerDay: z.number().min(0).max(20),
      }),
    )
    .min(1)
    .max(mostStages)
    .describe('follow each other; eggs enter the first, the last is the adult'),
  eggsPerAdultDay: z.number().min(0).max(1000),
  femaleShare: z.number().min(0).max(1),
  initial: z.record(stageId, count).describe('how many of each stage at the start of day 0, all of them at its beginning'),
});

const scenario = z
  .strictObject({
    days: z.int().min(1).max(mostDays),
    temperatureC: z.array(celsius).min(1).max(mostDays).describe('a mean for each day'),
    noise: z
      .number()
      .min(0)
      .max(1)
      .default(0)
      .describe('how much runs differ: at 1 warmth departs by 4 °C for days, deaths, eggs and arrivals by half; at 0 all runs are one'),
    immigrationPerDay: z
      .strictObject({ stage: stageId, count })
      .optional()
      .describe('evenly over each day, into the beginning of the stage'),
    pest,
    damage: z
      .strictObject({ perDay: z.record(stageId, money), most: money.optional() })
      .optional()
      .describe('money lost for each one of a stage on each day, up to the value of the crop'),
    hourPrice: money.optional(),
  })
  .refine(({ days, temperatureC }) => temperatureC.length === days, { path: ['temperatureC'], error: 'a mean for each of the days' });

const treatment = z.strictObject({
  day: z.int().min(0).max(mostDays).describe('0 is the first; it works at the start of the day'),
  killByStage: z.record(stageId, z.number().min(0).max(1)).describe('share that is killed at once'),
  halfLifeDays: z
    .number()
    .min(0.05)
    .max(1000)
    .optional()
    .describe('what stays on the leaf goes on killing, at a hazard of −ln(1 − share) per day that halves in so many days'),
});

export const seasonRequest = z.strictObject({
  scenario,
  strategies: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1).max(120),
        treatments: z.array(treatment).max(200),
        costPerTreatment: money.optional(),
        hoursPerTreatment: z.number().min(0).max(1000).optional(),
      }),
    )
    .min(1)
    .max(12),
  runs: z.int().min(1).max(2000),
  seed: z.int().min(0).max(4_294_967_295).default(1),
});

const bandDay = z.object({ day: z.int(), p10: z.number(), p50: z.number(), p90: z.number() });

export const seasonResult = z.object({
  strategies: z.array(
    z.object({
      name: z.string(),
      bands: z
        .record(z.string(), z.array(bandDay))
        .describe('of each stage: how many at each day’s end, in a tenth, half and nine tenths of the runs'),
      best: z.number().min(0).max(1).describe('share of the runs in which it costs least in all'),
      sprays: z.int(),
      cost: z.number().describe('treatments, work and damage, mean of all runs'),
      hours: z.number(),
    }),
  ),
});

export const seasonStarted = z.object({ job: z.string().describe('where it is asked after') });

export const seasonState = z.object({
  state: z.enum(['waiting', 'running', 'done', 'failed', 'cancelled']),
  progress: z.number().min(0).max(1),
  result: seasonResult.optional(),
  error: z.string().optional(),
});

export type SeasonRequest = z.output<typeof seasonRequest>;
export type SeasonResult = z.infer<typeof seasonResult>;
export type SeasonState = z.infer<typeof seasonState>;
