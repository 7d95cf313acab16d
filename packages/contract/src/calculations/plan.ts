import { z } from 'zod';
import { day } from '../words.js';

const name = z.string().trim().min(1).max(120);
const loss = z.number().min(0).max(1e9);
const half = z.enum(['morning', 'evening']);
const hours = z.number().min(0).max(2000);
const chance = z.number().min(0).max(1);
const celsius = z.number().min(-60).max(70);

const stretch = z.strictObject({ from: day, until: day });

const planProduct = z
  .strictObject({
    id: name,
    group: name.optional(),
    efficacy: z.number().min(0).max(1),
    cost: loss,
    minutes: z.number().min(0).max(10_000),
    amount: loss.optional(),
    preHarvestDays: z.number().min(0).max(1000).optional(),
    reEntryHours: hours.optional(),
    rainFastHours: hours.optional(),
    minC: celsius.optional(),
    maxC: celsius.optional(),
    maxWindKmh: z.number().min(0).max(300).optional(),
    bees: z.enum(['none', 'slight', 'serious']).optional(),
    pack: name.optional().describe('what its amount is taken from; its id, where it is left out'),
    season: name.optional().describe("what a season's maximum is counted for; its id, where it is left out"),
    apart: z
      .array(z.strictObject({ from: name, days: z.int().min(1).max(400) }))
      .max(40)
      .optional()
      .describe('days to keep between it and the product of that id, which may be its own; in either order'),
    barred: z.array(stretch).max(60).optional().describe('stretches in which its label forbids it, both days included'),
  })
  .describe('a way to do a round; a job without a product is a product with an id of its own');

const planRound = z.strictObject({
  id: name,
  case: name,
  place: name.optional(),
  earliest: day.optional(),
  latest: day.optional(),
  after: z
    .strictObject({
      round: name,
      minDays: z.int().min(0).max(400),
      maxDays: z.int().min(0).max(400).optional(),
    })
    .optional(),
  dailyLoss: loss,
  value: loss,
  dropLoss: loss.optional().describe('what it loses where it is left out; by default dailyLoss × days + value'),
  flowers: stretch.optional(),
  harvests: z.array(day).max(60).optional(),
  products: z.array(planProduct).min(1).max(12),
  only: half.optional().describe('half of the day that it has to be in'),
  person: name.optional().describe('who has to do it'),
  expected: z
    .strictObject({ date: day, slot: half, moveLoss: loss, person: name.optional() })
    .optional()
    .describe('where people expect it: to do it elsewhere costs so much more; and who was told to do it'),
});

const amounts = z.record(name, loss);

const isOnce = (values: readonly string[]) => new Set(values).size === values.length;

export const planRequest = z.strictObject({
  start: day,
  startSlot: half.optional().describe('half of the first day with which it begins; the morning, where it is left out'),
  days: z.int().min(1).max(60),
  rounds: z
    .array(planRound)
    .max(80)
    .refine((rounds) => isOnce(rounds.map(({ id }) => id)), { error: 'each id once' }),
  rules: z.strictObject({
    minutePrice: loss.optional(),
    minutesPerDay: z.number().min(0).max(100_000).optional(),
    people: z
      .array(
        z.strictObject({
          id: name,
          minutesPerDay: z.number().min(0).max(1440),
          minutesOn: z.record(day, z.number().min(0).max(1440)).optional().describe('on days that are unlike the others'),
        }),
      )
      .min(1)
      .max(8)
      .optional()
      .describe('who works; each round is done by one person alone'),
    rotate: z.boolean().optional(),
    seasonMax: z.record(name, z.int().min(0).max(1000)).optional(),
    stock: amounts.optional(),
    done: z
      .array(z.strictObject({ case: name, product: name, group: name.optional(), date: day }))
      .max(500)
      .optional(),
    rainChance: chance.optional().describe('of rain in a half-day of which no weather is told'),
  }),
  weather: z
    .array(
      z.strictObject({
        date: day,
        slot: half,
        temperatureC: celsius,
        windKmh: z.number().min(0).max(300),
        rainMm: z.number().min(0).max(1000),
        rainChance: chance
          .optional()
          .describe('that it rains then; without it the forecast is taken at its word: rain that is less likely than not bars nothing'),
      }),
    )
    .max(200)
    .refine((weather) => isOnce(weather.map(({ date, slot }) => `${date} ${slot}`)), { error: 'each half-day once' }),
  movesFor: z.array(name).max(80).optional().describe('rounds of which the moves are wanted; all of them'),
});

const line = z.enum([
  'earliest',
  'latest',
  'half-day',
  'label',
  'temperature',
  'wind',
  'rain',
  'bees',
  'harvest',
  'after',
  'apart',
  'same-slot',
  'rotation',
  'season-max',
  'stock',
  'minutes',
  're-entry',
]);
const why = z.array(z.object({ code: z.enum([...line.options, 'costs-more', 'no-time']), text: z.string() }));

export const planAnswer = z.object({
  schedule: z.array(
    z.object({ round: z.string(), date: day, slot: half, product: z.string(), person: z.string().optional(), loss: z.number(), why }),
  ),
  notPlaced: z.array(z.object({ round: z.string(), why })),
  objective: z.number(),
  bound: z.number().describe('nothing loses less than this'),
  optimal: z.boolean(),
  moves: z
    .array(
      z.object({
        round: z.string(),
        date: day,
        slot: half,
        extraLoss: z.number().optional().describe('what the whole plan would lose more, all else moved as is best'),
        product: z.string().optional(),
        lines: z.array(line).optional().describe('lines that it would break'),
        unknown: z.literal(true).optional().describe('there was no time to reckon it: ask for fewer rounds'),
      }),
    )
    .describe('for each placed round each other half-day'),
  conflicts: z.array(z.object({ round: z.string(), rounds: z.array(z.string()), lines: z.array(line), text: z.string() })),
});

export type PlanRequest = z.infer<typeof planRequest>;
export type PlanResult = z.infer<typeof planAnswer>;
