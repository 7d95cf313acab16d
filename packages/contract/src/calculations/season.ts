import { z } from 'zod';
import { day, id, setting } from '../words.js';
import { name } from './shared.js';

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

const ownScenario = z
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

const chance = {
  runs: z.int().min(1).max(2000),
  seed: z.int().min(0).max(4_294_967_295).default(1),
};

const ownSeason = z.strictObject({
  scenario: ownScenario,
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
  ...chance,
});

const dayInSeason = z.int().min(0).max(mostDays);

/** A trouble of the library on a planting, in a garden's weather. */
const libraryScenario = z.strictObject({
  condition: name,
  host: name,
  setting,
  start: day.describe('the first day'),
  days: z.int().min(1).max(mostDays),
  garden: id.optional().describe('whose recorded days are met, and drawn from where they end: signed in, or with its token'),
  weather: z
    .array(z.strictObject({ day, meanC: celsius, rainMm: z.number().min(0).max(1000), wetHours: z.number().min(0).max(24) }))
    .max(5000)
    .optional()
    .describe('days of your own in place of a garden’s; without either a temperate year is drawn'),
  hemisphere: z.enum(['north', 'south']).default('north'),
  region: name.default('neutral'),
  plants: z.int().min(1).max(100_000).default(1),
  seen: z
    .number()
    .min(0)
    .max(1e6)
    .default(0)
    .describe('there at the start: animals that feed, on a plant; of a disease, share of leaf with spots'),
  ageDays: z.number().min(0).max(2000).optional().describe('days since it was set; grown where it is left out'),
  harvestDay: dayInSeason.optional(),
  flowers: z.strictObject({ from: dayInSeason, until: dayInSeason }).optional(),
  plantValue: money.optional(),
  hourPrice: money.optional(),
});

const lateDays = z.int().min(0).max(60).optional().describe('everything is done so many days later');
const uses = z.array(name).min(1).max(6).describe('what is used, in turn; of the library');

const libraryStrategy = z.union([
  z.strictObject({
    name: z.string().trim().min(1).max(120).optional(),
    school: z.enum(['nothing', 'hands', 'organic', 'softest', 'protect']),
    lateDays,
  }),
  z.strictObject({
    name: z.string().trim().min(1).max(120),
    rounds: z
      .array(z.strictObject({ day: dayInSeason, use: name }))
      .min(1)
      .max(200),
    lateDays,
  }),
  z.strictObject({
    name: z.string().trim().min(1).max(120),
    use: uses,
    everyDays: z.int().min(1).max(mostDays).describe('by the calendar, from the first day on'),
    lateDays,
  }),
  z.strictObject({
    name: z.string().trim().min(1).max(120),
    use: uses,
    actAt: z.number().min(0).max(1e6).describe('where a look each week finds so many'),
    lateDays,
  }),
]);

const librarySeason = z.strictObject({
  scenario: libraryScenario,
  strategies: z.array(libraryStrategy).min(1).max(12),
  ...chance,
});

/** A model of one's own, or a trouble of the library. */
export const seasonRequest = z.union([ownSeason, librarySeason]);

const bandDay = z.object({ day: z.int(), p10: z.number(), p50: z.number(), p90: z.number() });

export const seasonResult = z.object({
  strategies: z.array(
    z.object({
      name: z.string(),
      bands: z
        .record(z.string(), z.array(bandDay))
        .describe('of each stage: how many at each day’s end, in a tenth, half and nine tenths of the runs'),
      best: z.number().min(0).max(1).describe('share of the runs in which it costs least in all'),
      sprays: z.number().describe('mean of all runs'),
      cost: z.number().describe('treatments, work and damage, mean of all runs'),
      hours: z.number(),
      kept: z
        .object({ p10: z.number(), p50: z.number(), p90: z.number() })
        .optional()
        .describe('share of the harvest; of library troubles'),
      treatments: z.number().optional(),
      looks: z.number().optional(),
      money: z.number().optional().describe('to buy, for all plants'),
      bees: z.number().optional().describe('treatments that harm bees on days in flower, by how much'),
      helpers: z.number().optional().describe('treatments that harm helpers, by how much'),
      resistant: z.number().optional().describe('share of alleles that resist, at the end'),
      regret: z.number().optional().describe('what it costs more than the best of each run, in the mean'),
      doneOn: z.array(z.number()).optional().describe('for each day, share of the runs in which something is done'),
    }),
  ),
  decides: z
    .array(z.object({ what: z.string(), pull: z.number() }))
    .optional()
    .describe('what is not known, by how far it decides between the two that cost least: above 0 more of it speaks for the first'),
});

export const seasonStarted = z.object({ job: z.string().describe('where it is asked after') });

export const seasonState = z.object({
  state: z.enum(['waiting', 'running', 'done', 'failed', 'cancelled']),
  progress: z.number().min(0).max(1),
  result: seasonResult.optional(),
  error: z.string().optional(),
});

export type SeasonRequest = z.output<typeof seasonRequest>;
export type OwnSeason = z.output<typeof ownSeason>;
export type LibrarySeason = z.output<typeof librarySeason>;
export type SeasonResult = z.infer<typeof seasonResult>;
export type SeasonState = z.infer<typeof seasonState>;
