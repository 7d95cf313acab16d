import { z } from 'zod';
import { contradictionsIn } from './contradictions.js';
import type { EntryFault } from './contradictions.js';
import { brokenReferences } from './crossCheck.js';
import { check, condition, host, intervention, region, sign } from './entries.js';
import type { Library } from './entries.js';
import { faultText } from './faultText.js';
import { withOwnEntries } from './withOwnEntries.js';
import type { OwnEntryFacts, OwnKind } from './withOwnEntries.js';

const schemas = {
  conditions: condition,
  signs: sign,
  hosts: host,
  interventions: intervention,
  checks: check,
  regions: region,
} as const satisfies Record<OwnKind, z.ZodType>;

/**
 * Check an entry against the same schema and the same cross-references as the reference library's own, and for what cannot be at once.
 *
 * @param library - with the garden's other entries in it
 * @returns the entry with its defaults filled in, or what is wrong with it
 */
export function checkOwnEntry(
  library: Library,
  kind: OwnKind,
  entry: unknown,
): { entry: OwnEntryFacts['entry'] } | { faults: EntryFault[] } {
  const parsed: z.ZodSafeParseResult<{ id: string }> = schemas[kind].safeParse(entry, { error: faultText });
  if (!parsed.success)
    return { faults: parsed.error.issues.map(({ path, message }) => ({ path: path.filter((key) => typeof key !== 'symbol'), message })) };
  const contradictions = contradictionsIn(library, { kind, entry: parsed.data });
  if (contradictions.length > 0) return { faults: contradictions };
  // A look-alike need not name this garden's entry back, and a sign may wait for the trouble that shows it: only what is nowhere is a fault.
  const before = new Set(brokenReferences(library));
  const faults = brokenReferences(withOwnEntries(library, [{ kind, entry: parsed.data }])).filter((fault) => !before.has(fault));
  return faults.length > 0 ? { faults: faults.map((message) => ({ path: [], message })) } : { entry: parsed.data };
}
