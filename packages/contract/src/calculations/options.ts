import { z } from 'zod';
import { labelCard } from '../shelf.js';
import { day, entry, hiding, schools, setting, shortText, stance } from '../words.js';
import { alert, doubts, name } from './shared.js';

const { productId: _, readOn: __, protect: ___, photos: ____, note: _____, ...cardShape } = labelCard.shape;
/** A product that is at hand, with its label where one was copied or read. */
const shelfProduct = z.strictObject({
  id: z.string().min(1).max(80),
  name: shortText,
  intervention: name,
  card: z.strictObject(cardShape).nullable(),
});

export const optionsRequest = z.strictObject({
  host: name,
  conditions: z.array(name).min(1).max(5),
  stage: entry.optional(),
  setting,
  inFlower: z.boolean().optional(),
  flowersInDays: z.number().min(0).max(400).optional().describe('days until it flowers next'),
  bare: z.boolean().optional().describe('without leaves now'),
  age: z.enum(['seedling', 'young', 'grown']).optional(),
  plants: z.number().min(1).max(1e6).optional(),
  worth: z.enum(['cheap', 'usual', 'dear']).optional().describe('what one plant is worth to its grower'),
  animalsNear: z.boolean().optional().describe('pets or hens come near'),
  waterNear: z.boolean().optional().describe('a pond, ditch or fish tank is near'),
  month: z.int().min(1).max(12).optional(),
  hemisphere: z.enum(['north', 'south']).optional(),
  findings: z
    .array(z.strictObject({ sign: entry, state: z.enum(['seen', 'absent']) }))
    .max(60)
    .optional()
    .describe('what was seen: it tells the stage, where nobody says it'),
  notListed: z.array(name).max(50).optional().describe('reportable suspects of which the authority said that they are not listed here'),
  edible: z.boolean().optional(),
  daysToHarvest: z.number().min(0).max(1000).optional(),
  daysToFrost: z.number().min(0).max(400).optional(),
  daysToEnd: z.number().min(0).max(1000).optional().describe('days until the crop is cleared anyway'),
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
  tests: z
    .array(
      z.strictObject({
        ingredient: name,
        outcome: z.enum(['waiting', 'clean', 'marked']),
        daysAgo: z.number().min(0).max(400),
        lookInDays: z.number().min(-400).max(400),
      }),
    )
    .max(100)
    .optional()
    .describe('what was tried on a few leaves'),
  seasonDays: z
    .number()
    .min(0)
    .max(366)
    .optional()
    .describe("how many days ago the season began: what was used before does not count for a season's maximum; all counts when left out"),
  on: day.optional().describe('the day that is asked about: what has expired by then is out'),
  shelf: z.array(shelfProduct).max(300).optional().describe('products at hand: each is judged by its own label'),
  hasLicence: z.boolean().optional().describe('whoever applies it has a licence for professional products'),
  stance,
  schools: schools.optional().describe('views taken where growers disagree'),
  region: name.optional(),
});

const dispute = z.object({
  id: z.string(),
  question: z.string(),
  schools: z.array(z.object({ view: z.string(), reason: z.string() })),
  default: z.string(),
  why: z.string(),
});

const reason = z.object({ code: z.string(), weight: z.enum(['ruled-out', 'care', 'for']), text: z.string() });

export const optionsAnswer = z.object({
  ...doubts,
  host: z.object({ id: z.string(), name: z.string() }),
  options: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      rung: z.string(),
      verdict: z.enum(['fits', 'care', 'ruled-out']),
      reasons: z.array(reason),
      covers: z.array(z.string()),
      notes: z.array(z.string()),
      evidence: z.enum(['strong', 'moderate', 'weak', 'folk']),
      expected: z.object({ efficacy: z.tuple([z.number(), z.number()]), minutes: z.number(), cost: z.number() }),
      loss: z.number(),
      steps: z.array(z.string()),
      cautions: z.array(z.string()),
      contactMinutes: z.number().nullable(),
      products: z
        .array(
          z.object({
            id: z.string(),
            name: z.string(),
            source: z.enum(['typical', 'copied', 'register']),
            verdict: z.enum(['fits', 'care', 'ruled-out']),
            reasons: z.array(reason),
          }),
        )
        .describe('what of it is at hand, the one that is best here first; the verdict above is that of the first'),
    }),
  ),
  plan: z.array(
    z.object({ use: z.string(), name: z.string(), step: z.string(), covers: z.array(z.string()), inTurnWith: z.array(z.string()) }),
  ),
  advice: z.string().describe('one plain sentence: what to do here today, and why'),
  stages: z
    .array(z.object({ condition: z.string(), stage: z.string(), probability: z.number() }))
    .describe('which stage was assumed, and how sure'),
  questions: z.array(z.object({ fact: z.string(), text: z.string() })).describe('what would change a verdict if it were known'),
  disputes: z.array(dispute),
  alerts: z.array(alert),
});

export type OptionsRequest = z.infer<typeof optionsRequest>;
export type OptionsAnswer = z.infer<typeof optionsAnswer>;
