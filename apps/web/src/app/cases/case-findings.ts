import type { CaseFinding } from '@field-nurse/contract';

/** What a sign stands at on this case: not looked at, or one of the recorded states. */
export type SignState = CaseFinding['state'] | 'not-looked';

interface Reading {
  readonly sign: string;
  readonly state: 'seen' | 'absent';
  readonly phrase: string;
  readonly sure: number;
}

/** A chip: a recorded finding, or a reading of the words that waits to be confirmed or removed. */
export interface Chip {
  readonly sign: string;
  readonly state: 'seen' | 'absent' | 'old';
  readonly phrase: string | null;
  readonly confirmed: boolean;
  /** chance that the words mean it, 0 to 1; 1 once a hand has confirmed it */
  readonly sure: number;
}

// A reading that is less sure than this says so.
const doubtful = 0.6;

/** True where the words may well mean something else. */
export const isDoubtful = ({ sure }: Pick<Chip, 'sure'>): boolean => sure < doubtful;

/** All that speaks on this case: recorded findings first, then readings that no hand has touched yet. Struck ones are silent. */
export function chipsOf(findings: readonly CaseFinding[], read: readonly Reading[]): Chip[] {
  const touched = new Set(findings.map(({ sign }) => sign));
  const recorded = findings.flatMap(({ sign, state, phrase }) =>
    state === 'struck' ? [] : [{ sign, state, phrase, confirmed: true, sure: 1 }],
  );
  return [...recorded, ...read.filter(({ sign }) => !touched.has(sign)).map((reading) => ({ ...reading, confirmed: false }))];
}

/** The findings with this one in place of any on the same sign; "not looked" takes it out. */
export function withFinding(
  findings: readonly CaseFinding[],
  finding: Omit<CaseFinding, 'state'> & { readonly state: SignState },
): CaseFinding[] {
  const { state } = finding;
  const others = findings.filter(({ sign }) => sign !== finding.sign);
  return state === 'not-looked' ? others : [...others, { ...finding, state }];
}

// The least that a question may say.
const leastSure = 0.01;

// The most that a question may hold: more signs on one plant tell no more, and take long to weigh.
const mostFindings = 60;

/** What speaks of the trouble that is at work now: old scars don't. Of very many the recorded ones come first. */
export const evidenceOf = (chips: readonly Chip[]): { sign: string; state: 'seen' | 'absent'; sure: number }[] =>
  chips
    .flatMap(({ sign, state, sure }) => (state === 'old' ? [] : [{ sign, state, sure: Math.max(leastSure, sure) }]))
    .slice(0, mostFindings);

/** Tapping a drawn sign: seen, then looked-and-not-there, then not looked. */
export const nextState = (state: SignState): SignState => (state === 'seen' ? 'absent' : state === 'absent' ? 'not-looked' : 'seen');
