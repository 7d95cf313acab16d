import { invalidField } from '../http/apiError.js';

/** Refuse an id that the library does not hold, beside its field. */
export function requireEntry<T extends { readonly id: string }>(entries: readonly T[], id: string, path: readonly (string | number)[]): T {
  const entry = entries.find((one) => one.id === id);
  if (!entry) throw invalidField(path, 'unknown-entry', `The library has no entry ${id}.`);
  return entry;
}
