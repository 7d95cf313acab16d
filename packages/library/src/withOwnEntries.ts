import type { Condition, Intervention, Library } from './entries.js';

/** Lists of the library that a garden may add to or change, each after those that it may name. */
export const ownKinds = ['hosts', 'signs', 'checks', 'interventions', 'conditions', 'regions'] as const;
export type OwnKind = (typeof ownKinds)[number];

/** An entry of a garden's own, in place of the library's with the same id or beside the others. */
export interface OwnEntryFacts {
  readonly kind: OwnKind;
  readonly entry: { readonly id: string };
}

/**
 * The library as a garden sees it: its own entries in place of those with the same id, and beside the others. An intervention that is like another
 * is offered wherever that one is.
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
  const interventions = merged('interventions', library.interventions);
  return {
    ...library,
    conditions: merged('conditions', library.conditions).map((one) => withLikes(one, interventions)),
    signs: merged('signs', library.signs),
    hosts: merged('hosts', library.hosts),
    interventions,
    checks: merged('checks', library.checks),
    regions: merged('regions', library.regions),
  };
}

function withLikes(condition: Condition, interventions: readonly Intervention[]): Condition {
  const known = new Map(condition.treat.map((one) => [one.intervention, one]));
  const added = interventions.flatMap(({ id, like }) => {
    const model = like === undefined || known.has(id) ? undefined : known.get(like);
    return model ? [{ ...model, intervention: id }] : [];
  });
  return added.length > 0 ? { ...condition, treat: [...condition.treat, ...added] } : condition;
}
