import { deepEqual } from 'fast-equals';
import type { Fields } from './waiting';

/** Two devices' changes to one record, brought together. */
export interface Merged {
  readonly value: Fields;
  /** fields that both changed, with this device's value, which was not taken */
  readonly lost: Fields;
}

/**
 * Merge by field: what only one of two devices changed is taken from that one. What both changed alike is alike; where they differ, what the server
 * already holds stays, since others have seen it, and this device's value is told.
 *
 * @param base - the record that this device started from; none for a new record
 * @param mine - what this device wrote
 * @param theirs - what the server holds now
 */
export function merge(base: Fields | null, mine: Fields, theirs: Fields): Merged {
  const value: Record<string, unknown> = {};
  const lost: Record<string, unknown> = {};
  for (const [field, own] of Object.entries(mine)) {
    const other = theirs[field];
    const before = base?.[field];
    if (same(own, other) || same(own, before)) value[field] = other;
    else if (base && same(other, before)) value[field] = own;
    else {
      value[field] = other;
      lost[field] = own;
    }
  }
  return { value, lost };
}

/** What is not there and what is empty are alike. */
const same = (a: unknown, b: unknown) => deepEqual(a ?? null, b ?? null);
