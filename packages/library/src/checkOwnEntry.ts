import { z } from 'zod';
import { brokenReferences } from './crossCheck.js';
import { condition, host, sign } from './entries.js';
import type { Library } from './entries.js';
import { withOwnEntries } from './withOwnEntries.js';
import type { OwnEntryFacts, OwnKind } from './withOwnEntries.js';

/** One thing that is wrong with an own entry, and where. */
export interface EntryFault {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

const schemas = { conditions: condition, signs: sign, hosts: host } as const;

/**
 * Check an entry against the same schema and the same cross-references as the reference library's own.
 *
 * @param library - with the garden's other entries in it
 * @returns the entry with its defaults filled in, or what is wrong with it
 */
export function checkOwnEntry(
  library: Library,
  kind: OwnKind,
  entry: unknown,
): { entry: OwnEntryFacts['entry'] } | { faults: EntryFault[] } {
  const parsed: z.ZodSafeParseResult<{ id: string }> = schemas[kind].safeParse(entry);
  if (!parsed.success)
    return { faults: parsed.error.issues.map(({ path, message }) => ({ path: path.filter((key) => typeof key !== 'symbol'), message })) };
  // A look-alike need not name this garden's entry back, and a sign may wait for the trouble that shows it: only what is nowhere is a fault.
  const before = new Set(brokenReferences(library));
  const faults = brokenReferences(withOwnEntries(library, [{ kind, entry: parsed.data }])).filter((fault) => !before.has(fault));
  return faults.length > 0 ? { faults: faults.map((message) => ({ path: [], message })) } : { entry: parsed.data };
}
