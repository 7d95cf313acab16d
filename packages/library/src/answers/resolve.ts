import { findByName } from '../find.js';

/** A name in a question that the library does not know, with the field that holds it. */
export class UnknownName extends Error {
  constructor(
    readonly path: readonly (string | number)[],
    readonly unknown: string,
  ) {
    super(`The library knows no “${unknown}”.`);
  }
}

/** The entry with this id or name. @throws UnknownName */
export function resolve<T extends { readonly id: string; readonly name: string }>(
  entries: readonly T[],
  name: string,
  path: readonly (string | number)[],
): T {
  const entry = findByName(entries, name);
  if (!entry) throw new UnknownName(path, name);
  return entry;
}
