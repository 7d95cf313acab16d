import type { Named } from './nameIndex.js';
import { nearNames } from './nearNames.js';
import { fold } from './words.js';

export { cultivarIn } from './cultivarIn.js';
export { findNamed } from './findNamed.js';
export type { Found } from './findNamed.js';
export type { Named } from './nameIndex.js';
export { nearNames } from './nearNames.js';
export { settingIn } from './settingIn.js';

/** The entry with this id or exactly this name (any of its names, case ignored); `undefined` when there is none. */
export function findByName<T extends Named>(entries: readonly T[], name: string): T | undefined {
  const wanted = fold(name);
  return entries.find((entry) => entry.id === wanted) ?? entries.find((entry) => allNames(entry).some((own) => fold(own) === wanted));
}

/** Entries with a name, lay name or sign word that contains the text, or where none does, those with the names that are most like it. */
export function searchByName<T extends Named>(entries: readonly T[], text: string): T[] {
  const found = namesWith(entries, text);
  return found.length > 0 ? found : nearNames(entries, text);
}

/**
 * Entries with a name, lay name or sign word that contains the text; names that begin with it come first. An index of tokens would find "moth"
 * and not "back" in diamondback, which the finder and the API promise; going through all entries takes 12 ms here.
 */
export function namesWith<T extends Named>(entries: readonly T[], text: string): T[] {
  const wanted = fold(text);
  if (wanted === '') return [...entries];
  const rank = (entry: T) => {
    const names = allNames(entry).map(fold);
    if (names.some((name) => name.startsWith(wanted))) return 0;
    if (names.some((name) => name.includes(wanted))) return 1;
    return (entry.words ?? []).some((word) => fold(word).includes(wanted)) ? 2 : 3;
  };
  return entries
    .map((entry) => ({ entry, rank: rank(entry) }))
    .filter(({ rank }) => rank < 3)
    .sort((a, b) => a.rank - b.rank)
    .map(({ entry }) => entry);
}

const allNames = (entry: Named) => [entry.id, entry.name, entry.latin ?? '', ...(entry.names ?? [])].filter(Boolean);
