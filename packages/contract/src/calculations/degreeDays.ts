import { z } from 'zod';
import { day } from '../words.js';
import { hourMs, hourTime } from './hourTime.js';

const celsius = z.number().min(-60).max(70);
const method = z.enum(['average', 'single-triangle', 'double-triangle', 'single-sine', 'double-sine', 'hourly']);

/** Methods by the names that are usual for the single ones. */
const methodAsTyped = z.preprocess(
  (typed) => ({ sine: 'single-sine', triangle: 'single-triangle', 'simple-average': 'average' })[String(typed)] ?? typed,
  method,
);

const ascend = <T>(list: readonly T[], key: (one: T) => number) => list.every((one, i) => i === 0 || key(one) > key(list[i - 1]!));

export const degreeDaysRequest = z.strictObject({
  method: methodAsTyped.describe('sine and triangle are the single ones; hourly goes by hours in place of days'),
  lower: celsius.describe('°C; below it nothing develops'),
  upper: celsius.optional().describe('°C; without it warmth has no end'),
  cutoff: z
    .enum(['horizontal', 'intermediate', 'vertical'])
    .optional()
    .describe('at the upper threshold; horizontal, where it is left out'),
  days: z
    .array(z.strictObject({ date: day, min: celsius.nullable(), max: celsius.nullable() }))
    .max(4000)
    .refine((days) => ascend(days, ({ date }) => Date.parse(date)), { error: 'dates must ascend, each day once' })
    .default([])
    .describe('extremes of each day; null where nobody measured them'),
  hours: z
    .array(z.strictObject({ time: hourTime, temperatureC: celsius }))
    .max(9000)
    .refine((hours) => ascend(hours, ({ time }) => hourMs(time)), { error: 'times must ascend, each hour once' })
    .optional()
    .describe('for the hourly method; a day is that of the time as it is written'),
  biofix: day.optional().describe('the first day that counts; the first of all, where it is left out'),
  stages: z
    .array(z.strictObject({ name: z.string().trim().min(1).max(120), at: z.number().min(0).max(100_000) }))
    .max(100)
    .optional(),
});

export const degreeDaysAnswer = z.object({
  daily: z.array(z.object({ date: z.string(), dd: z.number().nullable().describe('null where it is not known'), sum: z.number() })),
  reached: z.array(z.object({ name: z.string(), date: z.string().nullable().describe('null where no day comes that far') })),
  missing: z.int().describe('days from the biofix on of which nothing is known: the sum is at least so much'),
});
