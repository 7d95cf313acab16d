import { alertsFor } from './alerts.js';
import type { Alert } from './alerts.js';
import { evidenceAmong } from './evidence.js';
import type { Evidence } from './evidence.js';
import type { Circumstances, Finding, HostFacts, Knowledge } from './knowledge.js';
import { nextChecks } from './nextChecks.js';
import type { NextCheck } from './nextChecks.js';
import { posterior } from './posterior.js';
import { candidateOf } from './candidates.js';
import type { Candidate } from './candidates.js';
import type { Posterior } from './posterior.js';
import { relationsAmong } from './relations.js';
import type { Relation } from './relations.js';
import { likeliestAlone } from './likeliestAlone.js';
import { isSettled } from './settled.js';
import { hintsBeside, readWords, withKin } from './text/readWords.js';
import type { Reading, TextReading } from './text/readText.js';

export interface DifferentialQuestion extends Omit<Circumstances, 'host'> {
  readonly host: HostFacts;
  readonly text?: string | undefined;
  /** words whose signs stand among the findings, read for events and hints only */
  readonly context?: string | undefined;
  readonly findings?: readonly Finding[] | undefined;
  /** ids of conditions that are answered for whatever their chance: "why not this one?" */
  readonly asked?: readonly string[] | undefined;
  /** ids of conditions that must be reported in this region */
  readonly notifiable?: readonly string[] | undefined;
}

/** A cause with its chance and the reasons for and against it. */
export interface RankedCause {
  readonly condition: string;
  readonly name: string;
  readonly scientificName: string | null;
  readonly kind: string;
  readonly role: string;
  readonly probability: number;
  readonly for: readonly Evidence[];
  readonly against: readonly Evidence[];
  /** circumstances that shift the odds by at least a tenth, in decibans */
  readonly circumstances: readonly { readonly code: string; readonly decibans: number }[];
}

export interface Differential {
  readonly host: { readonly id: string; readonly name: string };
  readonly read: readonly Reading[];
  /** what happened, weather and care */
  readonly events: TextReading['events'];
  readonly unread: readonly string[];
  readonly ranked: readonly RankedCause[];
  /** the conditions that were asked about, in the order of asking */
  readonly asked: readonly RankedCause[];
  /** how the likely causes hang together */
  readonly relations: readonly Relation[];
  readonly together: readonly { readonly conditions: readonly string[]; readonly probability: number }[];
  readonly otherProbability: number;
  readonly nextLooks: readonly NextCheck[];
  /** true when no further look would change the plan much */
  readonly settled: boolean;
  readonly alerts: readonly Alert[];
}

// From this chance on, a cause that would explain all by itself has the first claim to what was said.
const hardlyDoubted = 0.5;

const shownAtLeast = 8;
const shownDownTo = 0.003;

/**
 * Answer "what is it?" for one plant: read the text, weigh every cause and every set of up to three, and say what to look at next.
 *
 * A finding that was confirmed by hand outranks the reading of the same sign in the text.
 *
 * @throws RangeError if a finding names an unknown sign, or an unknown condition is asked about
 */
export function differential(knowledge: Knowledge, question: DifferentialQuestion): Differential {
  const text = readWords(knowledge, question.text ?? '', question.host);
  const context = question.context === undefined ? text : readWords(knowledge, question.context, question.host);
  const told = withKin(knowledge, mergeFindings(question.findings ?? [], text.read));
  const findings = [
    ...told,
    ...withKin(
      knowledge,
      context.doubtful.filter(({ sign }) => !told.some((one) => one.sign === sign)),
    ),
  ];
  const before: Circumstances = {
    ...question,
    onset: question.onset ?? text.onset,
    events: context.events.map(({ event }) => event),
    hints: context.hints,
    unreadTelling: context.unreadTelling.length,
  };
  const alone = context.hints.size > 0 ? likeliestAlone(knowledge, before, findings) : undefined;
  const circumstances =
    alone && alone.probability >= hardlyDoubted ? { ...before, hints: hintsBeside(knowledge, context, alone.condition) } : before;
  const belief = posterior(knowledge, circumstances, findings);
  const signs = new Map(knowledge.signs.map((sign) => [sign.id, sign]));
  const evidenceOf = evidenceAmong(belief.candidates, told, signs);
  const explain = ({ candidate, probability }: Believed) => describe(candidate, probability, evidenceOf(candidate.condition));
  const likeliest = rank(belief);
  const ranked = likeliest.map(explain);
  const { looks, lead } = nextChecks(knowledge.checks, belief, findings, signs);
  return {
    host: { id: question.host.id, name: question.host.name },
    read: text.read,
    events: context.events,
    unread: text.unread,
    ranked,
    asked: (question.asked ?? []).map((id) => explain(believedOf(id, belief, knowledge, circumstances))),
    relations: relationsAmong(
      likeliest.map(({ candidate, probability }) => ({ condition: candidate.condition, probability })),
      context.read.filter(({ state }) => state === 'seen'),
    ),
    together: belief.sets
      .filter(({ causes }) => causes.length > 1)
      .slice(0, 5)
      .map(({ causes, probability }) => ({ conditions: causes.map(({ id }) => id), probability })),
    otherProbability: belief.otherProbability,
    nextLooks: looks,
    settled: isSettled({ findings: told, first: likeliest[0]?.probability ?? 0, lead, looks, unreadTelling: context.unreadTelling.length }),
    alerts: alertsFor(ranked, told, question.notifiable ?? []),
  };
}

/** Findings by hand first, then readings of signs that no hand has touched. */
export function mergeFindings(byHand: readonly Finding[], read: readonly Finding[]): Finding[] {
  const merged = new Map(read.map(({ sign, state, sure }): [string, Finding] => [sign, { sign, state, sure }]));
  for (const { sign, state, sure } of byHand) merged.set(sign, { sign, state, sure });
  return [...merged.values()];
}

interface Believed {
  readonly candidate: Candidate;
  readonly probability: number;
}

/** A condition and its chance, which is nothing where it isn't among the candidates. */
function believedOf(id: string, { candidates, marginals }: Posterior, { conditions }: Knowledge, circumstances: Circumstances): Believed {
  const known = candidates.find(({ condition }) => condition.id === id);
  if (known) return { candidate: known, probability: marginals.get(id) ?? 0 };
  const condition = conditions.find((one) => one.id === id);
  if (!condition) throw new RangeError(`differential requires asked conditions to be known, got ${id}`);
  return { candidate: candidateOf(condition, circumstances), probability: 0 };
}

function rank({ candidates, marginals }: Posterior): Believed[] {
  return candidates
    .map((candidate) => ({ candidate, probability: marginals.get(candidate.condition.id) ?? 0 }))
    .sort((a, b) => b.probability - a.probability)
    .filter(({ probability }, i) => i < shownAtLeast || probability >= shownDownTo);
}

function describe({ condition, factors }: Candidate, probability: number, evidence: readonly Evidence[]): RankedCause {
  return {
    condition: condition.id,
    name: condition.name,
    scientificName: condition.latin ?? null,
    kind: condition.kind,
    role: condition.role,
    probability,
    for: evidence.filter(({ decibans }) => decibans > 0),
    against: evidence.filter(({ decibans }) => decibans < 0),
    circumstances: factors
      .map(({ code, factor }) => ({ code, decibans: 10 * Math.log10(factor) }))
      .filter(({ decibans }) => Math.abs(decibans) >= 0.5),
  };
}
