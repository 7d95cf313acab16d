import { z } from 'zod';
import { day, entry, id, instant, longText, shortText, verdict } from './words.js';

const temperatureC = z.number().min(-40).max(60);
const windKmh = z.number().min(0).max(200);

/** The weather as the gardener said it, or as the station did; what is not known is left out. */
export const saidWeather = z.strictObject({
  temperatureC: temperatureC.nullable(),
  warmestC: temperatureC.nullable(),
  windKmh: windKmh.nullable(),
  rainInHours: z.number().min(0).max(240).nullable(),
  daysToFrost: z.number().min(0).max(400).nullable(),
});

/** The intervention that was chosen for a case, or watching it. */
export const decision = z.strictObject({
  caseId: id,
  intervention: entry,
  decidedOn: day,
  nextAssessmentOn: day,
  /** as it was when it was decided */
  weather: saidWeather.nullable().default(null),
  /** the plan that it led to */
  planId: id.nullable().default(null),
  note: longText,
});

/** How the server judged it, and why; what is ruled out is refused. */
export const decisionVerdict = z.strictObject({
  verdict: verdict.exclude(['ruled-out']),
  reasons: z.array(z.strictObject({ code: z.string(), weight: z.enum(['care', 'for']), text: z.string() })),
});

/** A planting that a tank or a job went to. */
export const applicationTarget = z.strictObject({
  plantingId: id,
  caseId: id.nullable(),
  plants: z.int().min(1).max(100_000),
  areaM2: z.number().positive().max(1_000_000).nullable().default(null),
  coveredPart: z.string().trim().max(200),
});

const amount = z.number().min(0).max(1_000_000).nullable();

/** One tank or one job, on one or more plantings. */
export const application = z
  .strictObject({
    intervention: entry,
    /** the pack on the shelf that it came from */
    productId: id.nullable().default(null),
    appliedAt: instant,
    targets: z
      .array(applicationTarget)
      .min(1)
      .max(60)
      .refine((targets) => new Set(targets.map(({ plantingId }) => plantingId)).size === targets.length, { error: 'each planting once' }),
    /** product by volume, by mass, or by the piece: one of them at most */
    productMl: amount,
    productG: amount,
    productPieces: amount,
    /** how many were picked off, squashed or trapped by it */
    collected: z.int().min(0).max(1_000_000).nullable().default(null),
    waterL: z.number().min(0).max(100_000).nullable(),
    kit: z.string().trim().max(120).default(''),
    appliedBy: shortText,
    temperatureC: temperatureC.nullable(),
    windKmh: windKmh.nullable(),
    sky: z.string().trim().max(120),
    why: longText,
  })
  .refine(({ productMl, productG, productPieces }) => [productMl, productG, productPieces].filter((one) => one !== null).length <= 1, {
    path: ['productMl'],
    error: 'a volume, a mass or pieces, not several of them',
  });

/** The card that an application followed, as it was then. */
export const cardSnapshot = z.strictObject({
  name: z.string(),
  /** whose figures: typical ones, copied from the pack, from a register; `none` where there is no product */
  source: z.enum(['none', 'typical', 'copied', 'register']),
  preHarvestDays: z.number(),
  reEntryHours: z.number(),
  repeatDays: z.array(z.number()).nullable(),
  seasonMax: z.number().nullable(),
});

/** A line of the card that an application did not keep. */
export const brokenLine = z.strictObject({
  line: z.enum([
    'crop',
    'target',
    'validity',
    'licence',
    'settings',
    'eaten',
    'pre-harvest',
    'interval',
    'season-max',
    'rate',
    'temperature',
    'wind',
    'bees',
    'buffer',
    'host',
    'apart',
  ]),
  plantingId: id,
  text: z.string(),
});

/** What the server works out from an application, its card and what was true then. */
export const applicationLaw = z.strictObject({
  card: cardSnapshot,
  brokenLines: z.array(brokenLine),
  /** nobody without protection enters before */
  reEntryAt: instant,
  /** first day on which it may be done again; none where no interval is known */
  repeatFrom: day.nullable(),
  /** as the garden's weather had it in that hour */
  measured: z
    .strictObject({
      temperatureC: z.number().nullable(),
      humidityPercent: z.number().nullable(),
      windKmh: z.number().nullable(),
      rainMm: z.number().nullable(),
    })
    .nullable(),
  /** who logged it; nobody once the account is deleted */
  personId: id.nullable(),
});

/** First day on which the crop may be picked, by the card; none for plants that are not eaten. */
export const notPickedBefore = day.nullable();
