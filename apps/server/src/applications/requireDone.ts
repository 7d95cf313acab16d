import type { Written } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
import { requireEntry } from '../library/requireEntry.js';

/** Refuse what the library does not know, and what is still to come. @param path - where the application stands in what was sent */
export function requireDone(
  library: Library,
  { now }: Pick<GardenLaw, 'now'>,
  { intervention, appliedAt }: Pick<Written<'applications'>, 'intervention' | 'appliedAt'>,
  path: readonly (string | number)[],
): void {
  requireEntry(library.interventions, intervention, [...path, 'intervention']);
  if (new Date(appliedAt) > now)
    throw invalidField([...path, 'appliedAt'], 'in-future', 'Log it once it is done: this time is still to come.');
}
