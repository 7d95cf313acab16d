import { z } from 'zod';
import { day, entry, id, longText, shortText } from './words.js';

/** What happened to the ground of a place that rests: somebody went in, something was cleaned, or it was tested for what lasts in it. */
export const groundEvent = z.strictObject({
  placeId: id,
  happenedOn: day,
  kind: z.enum(['entered', 'cleaned', 'tested-clean', 'tested-there']),
  /** what lasts in it, of the library; of what was entered or cleaned none may be named */
  condition: entry.nullable(),
  person: z.string().trim().max(120),
  /** what was worn, or cleaned */
  things: z.array(shortText).max(12),
  /** what it was cleaned with */
  disinfectant: z.string().trim().max(120),
  /** for which it acted */
  minutes: z.int().min(0).max(1440).nullable(),
  note: longText,
});
