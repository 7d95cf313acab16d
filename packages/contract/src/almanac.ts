import { z } from 'zod';
import { weatherDay } from './weather.js';
import { day, entry, id } from './words.js';

/** A case of any year, summed up. */
export const pastSight = z.object({
  case: id,
  planting: id,
  place: id,
  host: entry,
  cultivar: z.string(),
  plants: z.int(),
  conditions: z.array(entry),
  openedOn: day,
  closedOn: day.nullable(),
  outcome: z.string().nullable(),
  /** the worst look at it; and the mean of all over time, the area under their curve by its days: none with a single look */
  peak: z.number().nullable(),
  meanSeverity: z.number().nullable(),
  lastSeverity: z.number().nullable(),
  /** what was done for it, and to how many plants */
  done: z.array(z.object({ intervention: entry, on: day, plants: z.int() })),
});

export const almanacAnswer = z.object({
  /** days of weather, from the first of which anything is known */
  days: z.array(weatherDay),
  sights: z.array(pastSight),
});

export type PastSight = z.infer<typeof pastSight>;
export type AlmanacAnswer = z.infer<typeof almanacAnswer>;
