import type { Library } from './entries.js';

/** Lists of the library that a garden may add to or change. */
export type OwnKind = 'conditions' | 'signs' | 'hosts';

/** An entry of a garden's own, in place of the library's with the same id or beside the others. */
export interface OwnEntryFacts {
  readonly kind: OwnKind;
  readonly entry: { readonly id: string };
}

/**
 * The library as a garden sees it: its own entries in place of those with the same id, and beside the others.
 *
 * @param own - entries that have been checked (`checkOwnEntry`)
 */
export function withOwnEntries(library: Library, own: readonly OwnEntryFacts[]): Library {
  if (own.length === 0) return library;
  const merged = <T extends { readonly id: string }>(kind: OwnKind, list: readonly T[]): T[] => {
    const entries = new Map(own.filter((one) => one.kind === kind).map(({ entry }) => [entry.id, entry as unknown as T]));
    const known = new Set(list.map(({ id }) => id));
    return [...list.map((one) => entries.get(one.id) ?? one), ...[...entries.values()].filter(({ id }) => !known.has(id))];
  };
  return {
    ...library,
    conditions: merged('conditions', library.conditions),
    signs: merged('signs', library.signs),
    hosts: merged('hosts', library.hosts),
  };
}
