import type { WordReading } from '@field-nurse/core/diagnosis';
import { commonnessTable, logLikelihood, priorLogOdds, susceptibility } from '@field-nurse/core/diagnosis';
import type { Condition, Host, Library as LibraryIndex } from '@field-nurse/library';
import { namesWith, nearNames } from '@field-nurse/library/find';

/** A kind of entry, by the word that its address holds. */
export const entryKinds = ['conditions', 'hosts', 'signs', 'interventions', 'checks', 'regions'] as const;
export type EntryKind = (typeof entryKinds)[number];

/** Troubles in groups that a gardener would make. */
export const troubleGroups = {
  eaters: { word: 'Insects, mites, slugs', kinds: ['insect', 'mite', 'mollusc'] },
  diseases: { word: 'Diseases', kinds: ['fungus', 'oomycete', 'bacterium', 'virus', 'nematode'] },
  growing: { word: 'Growing troubles', kinds: ['deficiency', 'water', 'climate', 'injury', 'natural'] },
  animals: { word: 'Animals', kinds: ['vertebrate'] },
  friends: { word: 'Friends and harmless', kinds: ['helper', 'harmless'] },
} as const;
export type TroubleGroup = keyof typeof troubleGroups;

/** A trouble that was found, and which of the words that were read it explains. */
export interface FoundTrouble {
  readonly condition: Condition;
  /** ids of signs that were read and that it shows */
  readonly shows: readonly string[];
}

export interface TroubleFilter {
  readonly text: string;
  readonly reading: WordReading | undefined;
  readonly group: TroubleGroup | null;
  /** id of a plant: only what it gets */
  readonly host: string | null;
}

/**
 * Troubles by name, and by what is said of the plant in plain words: those with the name first, then those that explain most of the signs that
 * were read, and that the plant gets which was chosen or is named in the words. Where neither is there, those with a name like it.
 */
export function findTroubles(index: LibraryIndex, { text, reading, group, host }: TroubleFilter): FoundTrouble[] {
  const kinds: readonly string[] | undefined = group ? troubleGroups[group].kinds : undefined;
  const plant = index.hosts.find(({ id }) => id === host);
  const offered = index.conditions.filter(
    (one) => (!kinds || kinds.includes(one.kind)) && (!plant || susceptibility(one, plant) !== 'unlisted'),
  );
  if (text.trim() === '') return offered.map((condition) => ({ condition, shows: [] })).sort(byName);
  const asFound = (condition: Condition): FoundTrouble => ({ condition, shows: [] });
  const named = namesWith(offered, text).map(asFound);
  const known = new Set(named.map(({ condition }) => condition.id));
  const sick = plant ?? index.hosts.find(({ id }) => id === reading?.hosts[0]?.host);
  const explained = explainers(index, offered, reading, sick).filter(({ condition }) => !known.has(condition.id));
  const found = [...named, ...explained];
  return found.length > 0 ? found : nearNames(offered, text).map(asFound);
}

const byName = (a: FoundTrouble, b: FoundTrouble) => a.condition.name.localeCompare(b.condition.name);

function explainers(
  index: LibraryIndex,
  conditions: readonly Condition[],
  reading: WordReading | undefined,
  host: Host | undefined,
): FoundTrouble[] {
  const read =
    reading &&
    [...reading.read, ...reading.doubtful].flatMap((finding) => {
      const facts = index.signs.find(({ id }) => id === finding.sign);
      return facts ? [{ facts, finding }] : [];
    });
  if (!read?.some(({ finding }) => finding.state === 'seen')) return [];
  return conditions
    .map((condition) => {
      const score = read.reduce(
        (sum, { facts, finding }) => sum + logLikelihood(finding, facts, [condition]) - logLikelihood(finding, facts, []),
        0,
      );
      const shows = read
        .filter(({ facts, finding }) => finding.state === 'seen' && (condition.signs[facts.id] ?? 'never') !== 'never')
        .map(({ facts }) => facts.id);
      const likely = host ? priorLogOdds(condition, { host }).logOdds : Math.log(commonnessTable[condition.common]);
      return { condition, shows, score, rank: score + likely + (reading?.hints.get(condition.id) ?? 0) };
    })
    .filter(({ shows, score }) => shows.length > 0 && score > 0)
    .sort((a, b) => b.rank - a.rank)
    .map(({ condition, shows }) => ({ condition, shows }));
}

const shownness = { always: 0, often: 1, sometimes: 2, seldom: 3, never: 4 } as const;

/** The signs of a condition, those that it shows most often first; what it never shows comes last. */
export const signsOf = ({ signs }: Condition) =>
  Object.entries(signs)
    .map(([sign, frequency]) => ({ sign, frequency }))
    .sort((a, b) => shownness[a.frequency] - shownness[b.frequency]);
