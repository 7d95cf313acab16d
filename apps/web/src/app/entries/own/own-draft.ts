import type {
  Check,
  Condition,
  Host,
  Intervention,
  Library as LibraryIndex,
  OwnEntryFacts,
  OwnKind,
  Region,
  Sign,
} from '@field-nurse/library';
import { ownKinds } from '@field-nurse/library/own';
import { entryOfToday } from './older-entry';

/** An entry that is being written: of one of the kinds that a garden may have of its own. */
export type Draft = Condition | Sign | Host | Intervention | Check | Region;

export const ownKindWords: Readonly<Record<OwnKind, string>> = {
  conditions: 'trouble',
  signs: 'sign',
  hosts: 'plant',
  interventions: 'what helps',
  checks: 'look',
  regions: 'rules of a region',
};

/** "Tide scorch, river side" → "tide-scorch-river-side" */
export const idOf = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/**
 * A new entry that begins as a copy of a known one; look-alikes and other names stay behind, since they were told of the other. What helps is
 * offered wherever its model is.
 */
export function draftFrom(known: Draft, name: string): Draft {
  const { latin: _, eppo: __, ...rest } = known as Condition;
  const fresh = { ...rest, id: idOf(name), name };
  if ('lookalikes' in known) return { ...fresh, names: [], lookalikes: [], follows: [], carries: [] };
  return 'rung' in known ? { ...fresh, names: [], like: known.id } : fresh;
}

export type HostLevel = 'often' | 'sometimes' | 'seldom';

/** The condition with a plant at a level, or no more on it. */
export function withHost(condition: Condition, host: string, level: HostLevel | null): Condition {
  const without = (list: readonly string[]) => list.filter((id) => id !== host);
  const { often, sometimes, seldom, never } = condition.hosts;
  const hosts = { often: without(often), sometimes: without(sometimes), seldom: without(seldom), never: without(never) };
  return { ...condition, hosts: level ? { ...hosts, [level]: [...hosts[level], host] } : hosts };
}

/** The condition with a sign at a frequency, or without it. */
export function withSign(condition: Condition, sign: string, frequency: Condition['signs'][string] | null): Condition {
  const { [sign]: _, ...others } = condition.signs;
  return { ...condition, signs: frequency ? { ...condition.signs, [sign]: frequency } : others };
}

/** The condition with a look that settles it, or without it. */
export function withCheck(condition: Condition, check: string, there: boolean): Condition {
  const others = condition.checks.filter((id) => id !== check);
  return { ...condition, checks: there ? [...others, check] : others };
}

/** How much of a trouble a treatment takes away, in words, with the range of percent that each stands for. */
export const helpRanges = { little: [5, 25], some: [25, 50], much: [50, 75], 'nearly all': [75, 95] } as const;
export type Help = keyof typeof helpRanges;

/** The word whose range lies nearest to an efficacy. */
export function helpOf([low, high]: readonly [number, number]): Help {
  const distance = (help: Help) => Math.abs((helpRanges[help][0] + helpRanges[help][1]) / 2 - (low + high) / 2);
  return (Object.keys(helpRanges) as Help[]).reduce((best, help) => (distance(help) < distance(best) ? help : best));
}

/** The condition with a treatment that helps so much, or without it. A new one counts at any stage, as folk practice until it is known better. */
export function withTreatment(condition: Condition, intervention: string, help: Help | null): Condition {
  const known = condition.treat.find((one) => one.intervention === intervention);
  if (!help) return { ...condition, treat: condition.treat.filter((one) => one !== known) };
  const efficacy: [number, number] = [...helpRanges[help]];
  if (known) return { ...condition, treat: condition.treat.map((one) => (one === known ? { ...one, efficacy } : one)) };
  return { ...condition, treat: [...condition.treat, { intervention, stages: ['any'], efficacy, evidence: 'folk' }] };
}

/** One file of own entries, to be given to another garden. */
export interface OwnFile {
  readonly format: 'field-nurse-library';
  readonly version: 1;
  readonly entries: readonly {
    readonly kind: OwnKind;
    readonly entry: { readonly id: string; readonly name: string };
    readonly why: string;
  }[];
}

/**
 * Read a file of own entries.
 *
 * @returns its entries, or a sentence that says what is wrong
 */
export function readOwnFile(text: string): OwnFile['entries'] | string {
  let file: Partial<OwnFile>;
  try {
    file = JSON.parse(text) as Partial<OwnFile>;
  } catch {
    return 'This is not a JSON file.';
  }
  if (file?.format !== 'field-nurse-library' || file.version !== 1 || !Array.isArray(file.entries))
    return 'This is not a file of library entries: it wants format “field-nurse-library”, version 1, and a list of entries.';
  const kinds: readonly string[] = ownKinds;
  const entries = file.entries as OwnFile['entries'];
  const broken = entries.findIndex(
    (one: Partial<OwnEntryFacts> | null) => !kinds.includes(one?.kind ?? '') || typeof one?.entry?.id !== 'string',
  );
  return broken < 0
    ? entries.map((one) => ({ ...one, entry: entryOfToday(one.entry) }))
    : `Entry ${broken + 1} has no id, or none of these kinds: ${ownKinds.join(', ')}.`;
}

/** Entries of a kind, by name. */
export const entriesOf = (index: LibraryIndex | undefined, kind: OwnKind): readonly Draft[] => index?.[kind] ?? [];
