import type { OptionsRequest } from '@field-nurse/contract';
import type { CropGrowth, KnownDay, SeasonAction, SeasonTrial, TriedStrategy, TroubleModel } from '@field-nurse/core/season';
import { minutePrice, pricesOf } from '@field-nurse/core/treatment';
import { answerOptions } from '../answers/answerOptions.js';
import type { Condition, Host, Library, SeasonModel } from '../entries.js';
import { seasonAction, troubleOf } from './seasonActions.js';
import { leaveIt, schools, schoolStrategies } from './schools.js';
import type { OpenAction, School } from './schools.js';

/** A season of one trouble on one planting, as it is asked for. */
export interface SeasonAsked {
  readonly condition: string;
  /** what may be done there, as the options are asked; its stance is of no account */
  readonly options: OptionsRequest;
  readonly start: string;
  readonly days: number;
  readonly known: readonly KnownDay[];
  readonly seen: number;
  /** days since it was set; `null` where it is grown already, or nobody said */
  readonly ageDays: number | null;
  readonly harvestDay?: number | undefined;
  readonly flowers?: { readonly from: number; readonly until: number } | undefined;
  /** the day from which on ways differ, where the season begins before it */
  readonly decidesFrom?: number | undefined;
  /** what was done before it */
  readonly done?: readonly { readonly day: number; readonly intervention: string }[] | undefined;
  readonly plantValue?: number | undefined;
  readonly hourPrice?: number | undefined;
  /** in place of the library's numbers */
  readonly model?: TroubleModel | undefined;
}

/** The trial of a season, the schools, and all that may be done there. */
export interface SeasonQuestion {
  readonly trial: SeasonTrial;
  readonly strategies: readonly TriedStrategy[];
  /** all that may be done, the best first by the garden's stance, and by which schools */
  readonly open: readonly (OpenAction & { readonly name: string; readonly schools: readonly School[] })[];
  /** all that the library knows to be done in rounds, whether it is open there or not: what a plan of one's own may hold */
  readonly actions: readonly SeasonAction[];
}

// Days from setting to full leaf, by how a plant stands: our estimate.
const leafDays: Readonly<Record<Host['habit'], number>> = { tuft: 45, bush: 60, climber: 60, blades: 90, tree: 60, tray: 30, heap: 60 };
// A look at one planting on the round.
const lookMinutes = 2;
// What a plant bears in a season, beside a usual one: a climber for months, a row of leeks each a meal. Our estimate.
const bears: Readonly<Record<Host['habit'], number>> = { tuft: 0.5, bush: 1.5, climber: 2.5, blades: 0.5, tree: 1, tray: 0.1, heap: 1 };

/** The model of a season for a trouble; nothing where the library has none. */
export const seasonModelOf = ({ seasonModels }: Pick<Library, 'seasonModels'>, condition: string): SeasonModel | undefined =>
  seasonModels.find(({ conditions }) => conditions.includes(condition));

/**
 * A season as it can be tried: the trouble's numbers, the planting's worth, and what each school would do with what may be done there.
 *
 * @returns nothing where the library has no model of leaves for the trouble
 */
export function seasonQuestion(library: Library, asked: SeasonAsked): SeasonQuestion | undefined {
  const entry = seasonModelOf(library, asked.condition);
  if (!entry || entry.kind === 'ground') return undefined;
  const condition = library.conditions.find(({ id }) => id === asked.condition)!;
  const host = library.hosts.find(({ id }) => id === asked.options.host)!;
  const model = asked.model ?? troubleOf(entry);
  const { options } = asked;
  const prices = pricesOf({ host, worth: options.worth, plants: options.plants });
  const plants = Math.max(1, Math.round(options.plants ?? 1));
  const isWoody = host.habit === 'tree' || host.kind === 'houseplant';
  const crop: CropGrowth = { ageDays: isWoody ? null : asked.ageDays, leafDays: leafDays[host.habit] };
  const actions = library.interventions.flatMap((one) => seasonAction(one, condition, entry, plants) ?? []);
  const opened = new Map(schools.map((school) => [school, openTo(library, asked, { school, condition, entry, plants })]));
  return {
    trial: {
      model,
      calendar: {
        start: asked.start,
        days: asked.days,
        known: asked.known,
        shelter: options.setting === 'greenhouse' ? 'greenhouse' : options.setting === 'outdoor' ? 'outdoor' : 'indoor',
        hemisphere: options.hemisphere ?? 'north',
      },
      crop,
      seen: asked.seen,
      plants,
      plantValue: asked.plantValue ?? prices.plantValue * bears[host.habit],
      hourPrice: asked.hourPrice ?? minutePrice * 60,
      lookMinutes,
      harvestDay: asked.harvestDay,
      flowers: asked.flowers,
      decidesFrom: asked.decidesFrom,
      done: asked.done?.flatMap(({ day, intervention }) =>
        actions.flatMap((action) => (action.id === intervention ? [{ day, action }] : [])),
      ),
    },
    strategies: [leaveIt, ...schoolStrategies(opened, { days: asked.days - (asked.decidesFrom ?? 0), actAt: model.actAt })],
    open: allOf(library, opened, options.stance),
    actions,
  };
}

interface Opening {
  readonly school: School;
  readonly condition: Condition;
  readonly entry: Exclude<SeasonModel, { kind: 'ground' }>;
  readonly plants: number;
}

/** What is true of one day, or one stage, and not of a season. */
const onlyToday = {
  stage: undefined,
  findings: undefined,
  hidden: undefined,
  temperatureC: undefined,
  forecast: undefined,
  recent: undefined,
  tests: undefined,
  daysToHarvest: undefined,
  daysToFrost: undefined,
  daysToEnd: undefined,
  flowersInDays: undefined,
} as const;

/** What a school may do in the course of the season: what rules it out today alone, as rain or a near harvest does, is asked on each day. */
function openTo(library: Library, { options }: SeasonAsked, { school, condition, entry, plants }: Opening): OpenAction[] {
  const answer = answerOptions(library, { ...options, ...onlyToday, conditions: [condition.id], stance: school });
  return answer.options.flatMap(({ id, verdict }) => {
    const intervention = library.interventions.find((one) => one.id === id)!;
    const action = verdict === 'ruled-out' ? undefined : seasonAction(intervention, condition, entry, plants);
    return action ? [{ action, rung: intervention.rung, strength: strengthOf(condition, id) }] : [];
  });
}

function strengthOf({ treat }: Condition, intervention: string): number {
  const [low, high] = treat.find((one) => one.intervention === intervention)!.efficacy;
  return (low + high) / 200;
}

function allOf(library: Library, opened: ReadonlyMap<School, readonly OpenAction[]>, stance: School): SeasonQuestion['open'] {
  const order = [...(opened.get(stance) ?? []), ...[...opened.values()].flat()];
  const seen = new Map(order.map((one) => [one.action.id, one]));
  return [...seen.values()].map((one) => ({
    ...one,
    name: library.interventions.find(({ id }) => id === one.action.id)!.name,
    schools: schools.filter((school) => opened.get(school)!.some(({ action }) => action.id === one.action.id)),
  }));
}
