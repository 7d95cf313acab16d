import type { Written } from '@field-nurse/contract';
import { usualRounds } from '@field-nurse/core/planning';
import type { Condition, Intervention } from '@field-nurse/library';

/** What is decided, as far as a plan follows from it. */
export interface Decided {
  readonly entry: Intervention;
  readonly conditions: readonly Condition[];
  readonly caseId: string;
  readonly plantingId: string;
  readonly today: string;
  /** the card that counts for the pack in hand; the typical one where there is none */
  readonly card: Pick<Intervention, 'repeatDays' | 'seasonMax'>;
  /** how often it was used on the planting this season */
  readonly used: number;
  /** by what was chosen where growers differ, each round is decided anew */
  readonly oneByOne: boolean;
}

const usualBetweenDays = 7;

/** Whether a view that was taken on the treatment itself has each round decided anew. */
export const oneByOne = ({ disputes }: Pick<Intervention, 'disputes'>, taken: Written<'cases'>['schools'] & object): boolean =>
  disputes.some(({ id, schools }) =>
    schools.some((one) => one.oneByOne && taken.some(({ question, view }) => question === id && view === one.view)),
  );

/** The plan that a decision leads to; nothing for what is no work of one's own: to leave alone, to call somebody, what a licensed person does. */
export function newPlan({
  entry,
  conditions,
  caseId,
  plantingId,
  today,
  card,
  used,
  oneByOne,
}: Decided): Written<'treatmentPlans'> | undefined {
  if (entry.rung === 'none' || entry.restricted || entry.id === 'call-authority') return undefined;
  const effects = conditions.flatMap(({ treat }) => treat.filter(({ intervention }) => intervention === entry.id));
  const rounds = usualRounds({
    repeatDays: card.repeatDays,
    actsOn: effects.flatMap(({ stages }) => stages),
    stages: conditions.flatMap(({ stages }) => stages),
    left: card.seasonMax === undefined ? undefined : Math.max(1, card.seasonMax - used),
  });
  return {
    plantingId,
    caseId,
    against: conditions.map(({ id }) => id).slice(0, 3),
    interventions: [entry.id],
    startsOn: today,
    rounds: oneByOne ? 1 : rounds,
    betweenDays: card.repeatDays?.[0] ?? usualBetweenDays,
    endedOn: null,
    note: '',
  };
}
