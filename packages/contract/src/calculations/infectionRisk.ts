import { z } from 'zod';
import { hourMs, hourTime } from './hourTime.js';

const celsius = z.number().min(-60).max(70);
const hours = z.number().min(0).max(2000);

export const infectionRiskRequest = z
  .strictObject({
    disease: z.string().trim().min(1).max(120).optional().describe('one that the library has a model for, by id or name'),
    model: z
      .strictObject({
        tMin: celsius,
        tOpt: celsius,
        tMax: celsius,
        wMin: hours,
        wMax: hours.optional(),
        dryHoursForgiven: z.int().min(0).max(240).optional(),
      })
      .optional(),
    hours: z
      .array(
        z.strictObject({
          time: hourTime,
          temperatureC: celsius,
          rh: z.number().min(0).max(100).nullable().optional(),
          rainMm: z.number().min(0).max(300).nullable().optional(),
          wet: z.boolean().nullable().optional(),
        }),
      )
      .max(9000)
      .refine((list) => list.every(({ time }, i) => i === 0 || hourMs(time) > hourMs(list[i - 1]!.time)), {
        error: 'times must ascend, each hour once',
      }),
  })
  .refine(({ disease, model }) => (disease === undefined) !== (model === undefined), { error: 'a disease or a model, one of the two' });

export const infectionRiskAnswer = z.object({
  periods: z.array(
    z.object({
      start: z.string(),
      end: z.string().describe('begin of the last wet hour'),
      wetHours: z.number(),
      meanC: z.number(),
      needed: z.number().nullable().describe('null where it can’t happen at that temperature'),
      infected: z.boolean(),
      severity: z.number(),
    }),
  ),
  daily: z.array(z.object({ date: z.string(), wetHours: z.number(), infected: z.boolean(), severity: z.number() })),
});
