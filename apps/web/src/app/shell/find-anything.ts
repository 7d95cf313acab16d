import type { Library as LibraryIndex } from '@field-nurse/library';
import { findNamed, namesWith, nearNames } from '@field-nurse/library/find';
import type { Named } from '@field-nurse/library/find';
import type { EntryKind } from '../library/library-search';
import { entryKinds } from '../library/library-search';

/** Something that the finder leads to. */
export interface Target extends Named {
  readonly kind: string;
  /** the way from the garden */
  readonly link: readonly string[];
  readonly query?: Readonly<Record<string, string>>;
}

/** A planting, by what it is called; with its open case, if there is one. */
export interface FoundPlanting extends Named {
  readonly caseId: string | undefined;
}

/** What is searched. */
export interface Findable {
  readonly index: LibraryIndex | undefined;
  /** pages, places, plantings, cases */
  readonly targets: readonly Target[];
  /** plantings in growth */
  readonly plantings: readonly FoundPlanting[];
  readonly canWrite: boolean;
}

const entryWords: Readonly<Record<EntryKind, string>> = {
  conditions: 'trouble',
  hosts: 'plant',
  signs: 'sign',
  interventions: 'what helps',
  checks: 'look',
  regions: 'region',
};
// From this many letters on the library is searched too.
const enoughLetters = 2;
const most = 9;
const mostOffered = 4;

const logged = /^(?:log|note|did|sprayed?|spray|applied|apply)\s+(.+?)(?:\s+(?:on|to|at|for)\s+(?:the\s+)?(.+))?$/i;
const sick = /^(?:new|open|begin)?\s*(?:case|something wrong|something is wrong|sick)\s+(?:on|with|for|at)?\s*(?:the\s+)?(.+)$/i;
const treated = /^(?:options|treat|treatment|what helps)\s+(?:for|on)?\s*(?:the\s+)?(.+)$/i;
const looked = /^(?:look|looked|assess|rate|recovery)\s+(?:at|of|on)?\s*(?:the\s+)?(.+)$/i;

/** What the words mean, first what they ask to be done: pages, places, plantings and cases of the garden, and entries of the library. */
export function findAnything(text: string, findable: Findable): Target[] {
  const typed = text.trim();
  const done = commands(typed, findable);
  const here = typed === '' ? findable.targets : withWords(findable.targets, typed);
  const entries = typed.length < enoughLetters ? [] : entriesWith(typed, findable.index, namesWith);
  const found = [...done, ...here, ...entries];
  if (found.length > 0 || typed.length < enoughLetters) return found.slice(0, most);
  return [...nearNames(findable.targets, typed).slice(0, mostOffered), ...entriesWith(typed, findable.index, nearNames)].slice(0, most);
}

/** Those of whose names every word that was typed is a part; names that begin with it come first. */
function withWords(targets: readonly Target[], typed: string): Target[] {
  const words = typed.toLowerCase().split(/\s+/);
  const has = ({ name, names = [] }: Target) => {
    const all = [name, ...names].join(' ').toLowerCase();
    return words.every((word) => all.includes(word));
  };
  const begins = ({ name }: Target) => Number(!name.toLowerCase().startsWith(words[0]!));
  return targets.filter(has).sort((a, b) => begins(a) - begins(b));
}

function commands(typed: string, { index, plantings, canWrite }: Findable): Target[] {
  if (!canWrite || !index) return [];
  const act = (kind: string, name: string, link: readonly string[], query?: Readonly<Record<string, string>>): Target => ({
    id: JSON.stringify([link, query]),
    name,
    kind,
    link,
    ...(query && { query }),
  });
  const plants = (words: string | undefined) => (words ? plantingsCalled(words, plantings) : []);
  const log = logged.exec(typed);
  const real = index.interventions.filter(({ dont }) => !dont);
  const used = log && findNamed(real, log[1]!)?.entry;
  if (used) {
    const on = plants(log[2]);
    const all = on.map(({ id, name }) =>
      act('log', `Log ${used.name.toLowerCase()} on ${name}`, ['log', 'new'], { intervention: used.id, planting: id }),
    );
    return log[2] && all.length > 0 ? all : [act('log', `Log ${used.name.toLowerCase()}`, ['log', 'new'], { intervention: used.id })];
  }
  const ill = sick.exec(typed);
  if (ill) return plants(ill[1]).map(({ id, name }) => act('new case', `Something is wrong with ${name}`, ['wrong'], { planting: id }));
  const withCase = (words: string, kind: string, say: string, tab: string) =>
    plants(words).flatMap(({ name, caseId }) => (caseId ? [act(kind, `${say} ${name}`, ['cases', caseId, tab])] : []));
  const [treat, look] = [treated.exec(typed), looked.exec(typed)];
  if (treat) return withCase(treat[1]!, 'options', 'Options for', 'options');
  if (look) return withCase(look[1]!, 'recovery', 'Look again at', 'recovery');
  return [];
}

/** Plantings by what they are called, by any name of their plant, or nearly so. */
function plantingsCalled(words: string, plantings: readonly FoundPlanting[]): readonly FoundPlanting[] {
  const found = namesWith(plantings, words);
  if (found.length > 0) return found.slice(0, mostOffered);
  const named = findNamed(plantings, words);
  return named ? [named.entry, ...named.couldBe].slice(0, mostOffered) : nearNames(plantings, words).slice(0, mostOffered);
}

const entriesWith = (typed: string, index: LibraryIndex | undefined, by: typeof namesWith): Target[] =>
  index
    ? entryKinds.flatMap((kind) =>
        by<Named>(index[kind], typed).map(({ id, name }) => ({
          id: `${kind} ${id}`,
          name,
          kind: entryWords[kind],
          link: ['library', kind, id],
        })),
      )
    : [];
