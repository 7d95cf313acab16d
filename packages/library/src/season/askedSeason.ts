import type { LibrarySeason } from '@field-nurse/contract';
import type { KnownDay, SeasonAction, SeasonTrial, TriedStrategy } from '@field-nurse/core/season';
import { Names } from '../answers/resolve.js';
import { Refusal } from '../answers/refusal.js';
import type { Library } from '../entries.js';
import { byThreshold, leaveIt, schoolNames } from './schools.js';
import type { School } from './schools.js';
import { seasonQuestion } from './seasonQuestion.js';
import type { SeasonQuestion } from './seasonQuestion.js';

/**
 * A season as it is asked over the wire, made of the library's numbers.
 *
 * @param known - days of which the weather is known
 * @throws Refusal for a name that the library does not hold, a trouble that it has no numbers of, or a strategy that is not open there
 */
export function askedSeason(
  library: Library,
  { scenario, strategies }: LibrarySeason,
  known: readonly KnownDay[],
): { readonly trial: SeasonTrial; readonly strategies: readonly TriedStrategy[] } {
  const names = new Names(library);
  const host = names.host(scenario.host, ['scenario', 'host']).entry;
  const condition = names.condition(scenario.condition, ['scenario', 'condition'], host);
  const { start, days, setting, hemisphere, region, plants, seen, ageDays = null, harvestDay, flowers, plantValue, hourPrice } = scenario;
  const question = seasonQuestion(library, {
    condition: condition.id,
    options: {
      host: host.id,
      conditions: [condition.id],
      stance: 'protect',
      region: names.region(region, ['scenario', 'region']).id,
      month: Number(start.slice(5, 7)),
      ...{ setting, hemisphere, plants },
    },
    ...{ start, days, known, seen, ageDays, harvestDay, flowers, plantValue, hourPrice },
  });
  if (!question)
    throw new Refusal({
      by: 'input',
      code: 'no-season',
      path: ['scenario', 'condition'],
      message: `The library has no numbers to reckon a season of “${condition.name}” from. It has them for ${library.seasonModels
        .flatMap((model) => (model.kind === 'ground' ? [] : model.conditions))
        .join(', ')}; or send a model of your own.`,
    });
  return {
    trial: question.trial,
    strategies: strategies.map((one, i) => strategyOf(question, one, names, ['strategies', i])),
  };
}

function strategyOf(
  { trial, strategies, actions }: SeasonQuestion,
  asked: LibrarySeason['strategies'][number],
  names: Names,
  path: readonly (string | number)[],
): TriedStrategy {
  const action = (typed: string, at: readonly (string | number)[]): SeasonAction => {
    const { id, name } = names.intervention(typed, at);
    const found = actions.find((one) => one.id === id);
    if (found) return found;
    throw new Refusal({ by: 'input', code: 'no-round', path: [...at], message: `“${name}” is not done in rounds against this trouble.` });
  };
  const { lateDays } = asked;
  const days = trial.calendar.days;
  if ('school' in asked) {
    const found = asked.school === 'nothing' ? leaveIt : ofSchool(strategies, asked.school);
    if (!found)
      throw new Refusal({
        by: 'input',
        code: 'no-school',
        path: [...path, 'school'],
        message: 'Nothing that this school uses is open on this planting.',
      });
    return { ...found, name: asked.name ?? found.name, lateDays };
  }
  const id = String(path.at(-1));
  if ('rounds' in asked) {
    const rounds = asked.rounds.map(({ day, use }, i) => ({ day, action: action(use, [...path, 'rounds', i, 'use']) }));
    const used = new Map(rounds.map((one) => [one.action.id, one.action]));
    return {
      id,
      name: asked.name,
      actions: [...used.values()],
      when: { kind: 'rounds', rounds: rounds.map((one) => ({ day: one.day, action: one.action.id })) },
      lateDays,
    };
  }
  const used = asked.use.map((use, i) => action(use, [...path, 'use', i]));
  return {
    id,
    name: asked.name,
    actions: used,
    when:
      'everyDays' in asked
        ? { kind: 'calendar', from: 0, everyDays: asked.everyDays, until: days - 1 }
        : byThreshold({ days, actAt: asked.actAt }),
    lateDays,
  };
}

/** Schools that come to the same are one, under both their names. */
const ofSchool = (strategies: readonly TriedStrategy[], school: School): TriedStrategy | undefined =>
  strategies.find(({ id, name }) => id === school || name.toLowerCase().includes(schoolNames[school].toLowerCase()));
