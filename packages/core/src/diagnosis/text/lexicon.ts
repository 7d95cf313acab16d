import type { Knowledge, Onset } from '../knowledge.js';
import { contentStems } from './tokens.js';

/** What a phrase means when it is found in a text. */
export type Meaning =
  | { readonly kind: 'sign'; readonly id: string }
  | { readonly kind: 'host'; readonly id: string }
  | { readonly kind: 'onset'; readonly id: Onset };

export interface Phrase {
  readonly stems: readonly string[];
  readonly meaning: Meaning;
  /** how much the phrase tells: rare words weigh more */
  readonly weight: number;
}

export interface Lexicon {
  /** heaviest first */
  readonly phrases: readonly Phrase[];
  readonly vocabulary: ReadonlySet<string>;
  /** stems that many signs share (leaf, brown, spot): they may serve two readings at once */
  readonly generic: ReadonlySet<string>;
}

const onsetPhrases: readonly (readonly [string, Onset])[] = [
  ['overnight', 'overnight'],
  ['suddenly', 'overnight'],
  ['in one night', 'overnight'],
  ['this morning', 'overnight'],
  ['in a few days', 'days'],
  ['within days', 'days'],
  ['spreading fast', 'days'],
  ['few days ago', 'days'],
  ['for weeks', 'weeks'],
  ['over weeks', 'weeks'],
  ['slowly', 'weeks'],
  ['gradually', 'weeks'],
  ['for months', 'season'],
  ['all season', 'season'],
];

/** Build the reader's dictionary from the signs' lay words and the hosts' names. */
export function buildLexicon({ signs, hosts }: Pick<Knowledge, 'signs' | 'hosts'>): Lexicon {
  const entries: { stems: string[]; meaning: Meaning }[] = [
    ...signs.flatMap((sign) =>
      [sign.name, ...sign.words].map((words) => ({ stems: contentStems(words), meaning: { kind: 'sign', id: sign.id } as const })),
    ),
    ...hosts.flatMap((host) =>
      [host.name, ...host.names].map((name) => ({ stems: contentStems(name), meaning: { kind: 'host', id: host.id } as const })),
    ),
    ...onsetPhrases.map(([words, id]) => ({ stems: contentStems(words), meaning: { kind: 'onset', id } as const })),
  ];
  const owners = ownersByStem(entries);
  const rarity = (stem: string) => Math.log(1 + entries.length / (owners.get(stem)?.size ?? 1));
  const generic = new Set([...owners].filter(([, meanings]) => meanings.size >= genericFrom).map(([stem]) => stem));
  const phrases = entries
    .filter(({ stems }) => stems.length > 1 || !generic.has(stems[0]!))
    .map(({ stems, meaning }) => ({ stems, meaning, weight: stems.reduce((sum, stem) => sum + rarity(stem), 0) }))
    .sort((a, b) => b.weight - a.weight);
  return { phrases, vocabulary: new Set(owners.keys()), generic };
}

const genericFrom = 6;

function ownersByStem(entries: readonly { stems: readonly string[]; meaning: Meaning }[]): Map<string, Set<string>> {
  const owners = new Map<string, Set<string>>();
  for (const { stems, meaning } of entries)
    for (const stem of stems) owners.set(stem, (owners.get(stem) ?? new Set()).add(meaning.kind + meaning.id));
  return owners;
}
