import { z } from 'zod';
import { entryId, text } from '../vocabulary.js';

const share = z.number().min(0).max(1);
const count = z.number().min(0);
const celsius = z.number().min(-20).max(60);
const months = z.array(z.int().min(1).max(12)).min(1).describe('northern hemisphere');

const resistance = z.strictObject({
  start: share.describe('of the alleles, before the first treatment'),
  dominance: share,
  escapes: share.describe('of the kill, for those that carry two'),
});
const harm = z.strictObject({
  halfLossAt: z.number().positive().describe('feeding days on a grown plant that cost half of what can be lost'),
  mostLoss: share,
});
const shared = {
  conditions: z.array(entryId).min(1).describe('that it is for: the first was measured, others live alike'),
  counted: text.describe('what is counted on a plant'),
  resistance,
  harm,
  actAt: z.number().positive().describe('from so many on it pays to act'),
  basis: z.array(text).min(1).describe('where the numbers come from, and which are our estimate'),
};

const pest = z.strictObject({
  kind: z.literal('pest'),
  ...shared,
  stages: z
    .array(
      z.strictObject({
        id: entryId.describe('a stage of the condition'),
        lowerC: celsius,
        degreeDays: z.number().min(1).max(1e6).describe('of the adult: its life span'),
        substages: z.int().min(1).max(60),
        mortalityPerDay: z.number().min(0).max(5),
        feeds: share.describe('of the damage that the worst stage does'),
        sheltered: share.default(0).describe('where nothing that works by contact gets to'),
      }),
    )
    .min(1)
    .max(12),
  eggsPerAdultDay: z.number().min(0).max(1000).describe('at 20 °C'),
  femaleShare: share,
  upperC: celsius,
  arrivals: z
    .union([
      z.strictObject({ stage: entryId, perDay: count, months }),
      z.strictObject({ stage: entryId, count, atDegreeDays: count, spread: z.number().min(1), lowerC: celsius }),
    ])
    .optional(),
  crowdedAt: z.number().positive(),
  enemies: z
    .strictObject({
      name: text,
      mostPerDay: count,
      halfAt: z.number().positive(),
      lowerC: celsius,
      eats: z.record(entryId, share),
      youngPerPrey: count,
      lifeDays: z.number().positive(),
      arrivePerDay: count,
      initial: count,
      released: z.record(entryId, z.number().positive()).default({}).describe('interventions that set some out, and how many on a plant'),
    })
    .optional(),
});

const disease = z.strictObject({
  kind: z.literal('disease'),
  ...shared,
  tMin: celsius,
  tOpt: celsius,
  tMax: celsius,
  wetHours: z.number().positive().optional().describe('at the best warmth; none: it needs no wet leaf'),
  latentDays: z.number().positive(),
  substages: z.int().min(1).max(60),
  sporeDays: z.number().positive(),
  spreadPerDay: count,
  spotGrowthPerDay: count,
  newLeafPerDay: share,
  arrivals: z.strictObject({ perDay: share, months }),
});

/** Ground that a soil-borne trouble lives in, year by year. */
const ground = z.strictObject({
  kind: z.literal('ground'),
  conditions: shared.conditions,
  counted: text,
  basis: shared.basis,
  survivesYear: share.describe('of what is in the ground, at 10 °C in the mean of the year'),
  fasterPerDegree: z.number().min(0).max(1).describe('by how much more dies for each degree above that'),
  halfLossAt: z.number().positive().describe('of what was there when it was found: at so much half of a crop is lost'),
  cropAdds: count.describe('what a crop that is lost to it leaves in the ground, of the same'),
});

/** What a season of a trouble is reckoned from. */
export const seasonModel = z.discriminatedUnion('kind', [pest, disease, ground]);
