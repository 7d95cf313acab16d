import { keyOf, wordsOf } from './words.js';

/** What has names. */
export interface Named {
  readonly id: string;
  readonly name: string;
  readonly names?: readonly string[];
  readonly latin?: string | undefined;
  /** lay words of a sign */
  readonly words?: readonly string[];
  /** names that usually mean another entry, and may mean this one */
  readonly maybe?: readonly string[];
  /** plants only: what belongs to none of its own stands for any plant of a kind */
  readonly family?: string;
}

/** One name of an entry, ready to be compared. */
export interface IndexedName<T> {
  readonly entry: T;
  readonly words: readonly string[];
  readonly key: string;
  /** usually means another entry */
  readonly maybe: boolean;
}

export interface NameIndex<T> {
  readonly names: readonly IndexedName<T>[];
  readonly byKey: ReadonlyMap<string, readonly IndexedName<T>[]>;
  readonly vocabulary: ReadonlySet<string>;
  /** words of the longest name */
  readonly longest: number;
}

const indexes = new WeakMap<readonly Named[], NameIndex<Named>>();

/** The index of a list of entries, made once for each list. */
export function nameIndexOf<T extends Named>(entries: readonly T[]): NameIndex<T> {
  let index = indexes.get(entries) as NameIndex<T> | undefined;
  if (!index) indexes.set(entries, (index = indexNames(entries)));
  return index;
}

function indexNames<T extends Named>(entries: readonly T[]): NameIndex<T> {
  const names = entries.flatMap((entry) => [
    ...[entry.name, ...(entry.names ?? []), entry.id, entry.latin ?? ''].map((name) => indexed(entry, name, false)),
    ...(entry.maybe ?? []).map((name) => indexed(entry, name, true)),
  ]);
  const byKey = new Map<string, IndexedName<T>[]>();
  for (const name of names.filter(({ key }) => key !== '')) byKey.set(name.key, [...(byKey.get(name.key) ?? []), name]);
  return {
    names: names.filter(({ key }) => key !== ''),
    byKey,
    vocabulary: new Set(names.flatMap(({ words }) => words)),
    longest: Math.max(0, ...names.map(({ words }) => words.length)),
  };
}

function indexed<T>(entry: T, name: string, maybe: boolean): IndexedName<T> {
  const words = wordsOf(name);
  return { entry, words, key: keyOf(words), maybe };
}
