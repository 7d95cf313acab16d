import { findByName } from '../find.js';
import { Refusal } from './refusal.js';

/** A name in a question that the library does not know, with the field that holds it. */
export const unknownName = (path: readonly (string | number)[], unknown: string) =>
  new Refusal({ by: 'input', code: 'unknown-name', path, message: `The library knows no “${unknown}”.` });

/** The entry with this id or name. @throws Refusal where there is none */
export function resolve<T extends { readonly id: string; readonly name: string }>(
  entries: readonly T[],
  name: string,
  path: readonly (string | number)[],
): T {
  const entry = findByName(entries, name);
  if (!entry) throw unknownName(path, name);
  return entry;
}
