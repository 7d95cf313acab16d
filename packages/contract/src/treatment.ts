import { z } from 'zod';
import { day, entry, id, longText, shortText } from './words.js';

const measured = (most: number) => z.number().positive().max(most).nullable();

/** What was measured with clean water: how much went out, and over what. */
export const calibration = z
  .strictObject({
    on: day,
    litres: z.number().positive().max(2000),
    /** how long it ran */
    seconds: measured(86_400),
    /** how far one walked, and how wide the spray fell */
    metres: measured(100_000),
    widthM: measured(50),
    /** plants that were sprayed as one would */
    plants: measured(100_000),
  })
  .refine(({ metres, widthM }) => (metres === null) === (widthM === null), {
    path: ['widthM'],
    error: 'how far and how wide belong together',
  })
  .refine(({ seconds, metres, plants }) => seconds !== null || metres !== null || plants !== null, {
    path: ['seconds'],
    error: 'say how long, how far and wide, or over how many plants',
  });

/** A sprayer or a can, with what was measured of it. */
export const sprayer = z.strictObject({
  name: shortText,
  holdsL: z.number().min(0.05).max(2000),
  /** litres in a minute of its nozzle when new, as printed or first measured */
  newFlowLPerMin: measured(100),
  calibrations: z.array(calibration).max(50),
  endedOn: day.nullable(),
});

/** A few leaves that were sprayed first, to see whether the plant bears it. */
export const testSpray = z
  .strictObject({
    plantingId: id,
    caseId: id.nullable(),
    intervention: entry,
    productId: id.nullable(),
    sprayedOn: day,
    lookOn: day,
    /** unmarked, or burnt and spotted; nobody looked yet */
    outcome: z.enum(['waiting', 'clean', 'marked']),
    note: longText,
  })
  .refine(({ sprayedOn, lookOn }) => lookOn > sprayedOn, { path: ['lookOn'], error: 'a day after it was sprayed' });
