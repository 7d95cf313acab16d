/** Why a treatment may not have worked. */
export type FailureCause = 'wrong-cause' | 'stage' | 'coverage' | 'resistance' | 'washed-off' | 'reinfested';

/** What is at hand about a treatment that did not help. */
export interface FailureFacts {
  /** chance of the cause that was treated, by the case's own reckoning; 0 to 1 */
  readonly chanceOfCause: number;
  /** share of what it can do that it does at the stage that is about, 0 to 1 */
  readonly stageShare: number;
  /** it works only where it lands */
  readonly isContact: boolean;
  /** it hides where a spray does not reach */
  readonly hides: boolean;
  /** the covered part was said to be all of it, undersides too */
  readonly coveredAll: boolean | undefined;
  /** how often the same mode of action was used on it in this season */
  readonly sameMode: number;
  /** rain within the hours that it needs to hold, mm; `undefined` where nobody measured */
  readonly rainMm: number | undefined;
  /** neighbours that have it, or plants that came in since */
  readonly sources: number;
  /** worse again after it had been better */
  readonly cameBack: boolean;
}

export interface LikelyFailure {
  readonly cause: FailureCause;
  /** 0 to 1; they sum to one */
  readonly share: number;
}

// How often each is to blame when nothing is known: our estimate. Few sprays miss their cause; most miss the undersides.
const usual: Readonly<Record<FailureCause, number>> = {
  'wrong-cause': 0.2,
  stage: 0.2,
  coverage: 0.25,
  resistance: 0.05,
  'washed-off': 0.1,
  reinfested: 0.2,
};

/**
 * Why it does not work, ranked by the evidence at hand. Each cause begins with how often it is to blame, and each fact makes it so many times likelier.
 * The factors are our estimates.
 *
 * @returns all causes, the likeliest first
 */
export function whyItFails(facts: FailureFacts): LikelyFailure[] {
  const factors: Readonly<Record<FailureCause, number>> = {
    'wrong-cause': between(facts.chanceOfCause, 5, 0.25),
    stage: between(facts.stageShare, 5, 0.2),
    coverage: (facts.isContact ? 1.6 : 0.4) * (facts.hides ? 2 : 1) * (facts.coveredAll === undefined ? 1 : facts.coveredAll ? 0.4 : 2),
    resistance: facts.sameMode <= 1 ? 0.4 : Math.min(10, 2 ** (facts.sameMode - 1)),
    'washed-off': facts.rainMm === undefined ? 1 : facts.rainMm < 0.2 ? 0.05 : facts.rainMm < 2 ? 2 : 6,
    reinfested: (facts.sources > 0 ? 2 : 0.7) * (facts.cameBack ? 2.5 : 0.6),
  };
  const weights = (Object.keys(usual) as FailureCause[]).map((cause) => ({ cause, weight: usual[cause] * factors[cause] }));
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  return weights.map(({ cause, weight }) => ({ cause, share: weight / total })).sort((a, b) => b.share - a.share);
}

/** From what a share of nothing says to what a share of one says, on a scale of ratios. */
const between = (share: number, atNone: number, atAll: number) => atNone ** (1 - share) * atAll ** share;
