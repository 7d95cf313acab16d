import type { TreatmentPlan, Written } from '@field-nurse/contract';
import type { TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import { addDays } from '@field-nurse/core/timing';
import type { WrittenRecord } from '../gardens/records';
import type { SetRound } from './own-strategies';

/** Where a way is to be taken to. */
export interface TakenFor {
  readonly planting: string;
  readonly caseId: string | null;
  readonly condition: string;
  readonly today: string;
}

// As many as a plan of the garden holds.
const mostRounds = 8;
// What is done by looks is decided anew each time: so many rounds are planned ahead at the most.
const mostByLooks = 4;
const usualBetween = 7;

/**
 * Plans that a way comes to: what is put up once on its first day, rounds that are set each on its day, and what goes by calendar or looks as rounds that
 * follow each other, as many as it took in the middle of the runs. A way that does nothing plans nothing.
 *
 * @param newId - an id for each new record
 */
export function plansOf(strategy: TriedStrategy, tried: TriedSeason, about: TakenFor, newId: () => string): WrittenRecord[] {
  const { when, actions, first = [] } = strategy;
  const plan = (interventions: readonly string[], startsOn: string, rounds: number, betweenDays: number): Written<'treatmentPlans'> => ({
    plantingId: about.planting,
    caseId: about.caseId,
    against: [about.condition],
    interventions: interventions.slice(0, mostRounds / 2),
    startsOn,
    rounds: Math.max(1, Math.min(mostRounds, rounds)),
    betweenDays,
    endedOn: null,
    note: `tried on the season as “${strategy.name}”`.slice(0, 200),
  });
  const once = first.map(({ id }) => ({ subject: 'treatmentPlans' as const, id: newId(), value: plan([id], about.today, 1, 0) }));
  if (when.kind === 'rounds') return [...once, ...setPlans(when.rounds, about, plan, newId)];
  if (actions.length === 0 || when.kind === 'never') return once;
  const inRounds = Math.round(tried.treatments - first.length);
  if (inRounds < 1) return once;
  const between = when.kind === 'calendar' ? when.everyDays : Math.max(usualBetween, actions[0]!.everyDays);
  const startsOn = addDays(about.today, firstDay(tried, first.length > 0));
  const rounds = Math.min(inRounds, when.kind === 'calendar' ? mostRounds : mostByLooks);
  return [
    ...once,
    {
      subject: 'treatmentPlans',
      id: newId(),
      value: plan(
        actions.map(({ id }) => id),
        startsOn,
        rounds,
        between,
      ),
    },
  ];
}

/** Each thing that is used is a plan of its own, with its rounds held on their days. */
function setPlans(
  rounds: readonly SetRound[],
  { today }: TakenFor,
  plan: (interventions: readonly string[], startsOn: string, rounds: number, betweenDays: number) => Written<'treatmentPlans'>,
  newId: () => string,
): WrittenRecord[] {
  return [...new Set(rounds.map(({ action }) => action))].flatMap((action) => {
    const own = rounds
      .filter((round) => round.action === action)
      .sort((a, b) => a.day - b.day)
      .slice(0, mostRounds);
    const gaps = own.slice(1).map(({ day }, i) => day - own[i]!.day);
    const planId = newId();
    const head: WrittenRecord = {
      subject: 'treatmentPlans',
      id: planId,
      value: plan([action], addDays(today, own[0]!.day), own.length, gaps.length > 0 ? Math.min(...gaps) : 0),
    };
    return [
      head,
      ...own.map(({ day }, i): WrittenRecord => ({
        subject: 'plannedApplications',
        id: newId(),
        value: {
          ...{
            planId,
            ordinal: i + 1,
            intervention: action,
            productId: null,
            plannedFor: addDays(today, day),
            slot: 'morning',
            held: true,
          },
          ...{ person: '', state: 'planned', startedAt: null, applicationId: null, note: '' },
        },
      })),
    ];
  });
}

/** Plans that the new ones take the place of, ended. */
export const endedPlans = (plans: readonly TreatmentPlan[], { planting, condition, today }: TakenFor): WrittenRecord[] =>
  plans
    .filter(({ plantingId, against, endedOn }) => plantingId === planting && against.length === 1 && against[0] === condition && !endedOn)
    .map(({ id, version, ...value }) => ({ subject: 'treatmentPlans', id, version, value: { ...value, endedOn: today } }));

/** The day on which it is begun in most runs; what is put up on the first day is another matter. */
function firstDay({ doneOn }: TriedSeason, isPutUp: boolean): number {
  const shares = isPutUp ? [0, ...doneOn.slice(1)] : doneOn;
  let none = 1;
  const at = shares.findIndex((share) => (none *= 1 - share) < 0.5);
  return Math.max(0, at);
}
