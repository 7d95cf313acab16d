import type { Check, Condition, Host, Intervention, Library, Region } from './entries.js';
import { harm, risk } from './vocabulary.js';
import type { OwnEntryFacts } from './withOwnEntries.js';

/** One thing that is wrong with an own entry, and where. */
export interface EntryFault {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

// More of a product than this share of the water is a slip of the keys; salt, lime and vinegar stay below it.
const mostMlPerL = 500;
const mostGPerL = 500;
const mostHours = 24 * 30;
const mostDays = 400;
const mostMinutes = 240;

const reportableLevels = ['no', 'in-places', 'nearly-everywhere'];

/**
 * What a schema cannot see in an entry of a garden's own: that two fields exclude each other, that a figure is absurd, that a chain of entries
 * leads back to itself, or that a copy of the library's is less careful than the library.
 *
 * @param library - with the garden's other entries in it
 */
export function contradictionsIn(library: Library, { kind, entry }: OwnEntryFacts): EntryFault[] {
  switch (kind) {
    case 'conditions':
      return inCondition(library, entry as Condition);
    case 'hosts':
      return inHost(library, entry as Host);
    case 'interventions':
      return inIntervention(library, entry as Intervention);
    case 'checks':
      return faultsIf([(entry as Check).minutes > mostMinutes, ['minutes'], `At most ${mostMinutes} minutes.`]);
    case 'regions':
      return inRegion(entry as Region);
    case 'signs':
      return [];
  }
}

type Doubt = readonly [isWrong: boolean, path: EntryFault['path'], message: string];
const faultsIf = (...doubts: readonly Doubt[]): EntryFault[] =>
  doubts.filter(([isWrong]) => isWrong).map(([, path, message]) => ({ path, message }));

function inCondition({ conditions }: Library, one: Condition): EntryFault[] {
  const { id, hosts, lookalikes, follows, carries } = one;
  const placed = Object.values(hosts).flat();
  const twice = placed.find((host, i) => placed.indexOf(host) !== i);
  const others = conditions.filter((other) => other.id !== id);
  const model = conditions.find((other) => other.id === id);
  return faultsIf(
    [twice !== undefined, ['hosts'], `It takes ${twice} in two ways at once: keep one.`],
    [lookalikes.some(({ condition }) => condition === id), ['lookalikes'], 'It can’t be taken for itself.'],
    [carries.includes(id), ['carries'], 'It can’t carry itself.'],
    [leadsBack([one, ...others], id, (other) => other.follows), ['follows'], `What ${follows.join(', ')} comes after leads back to it.`],
    [
      model !== undefined && reportableLevels.indexOf(one.reportable) < reportableLevels.indexOf(model.reportable),
      ['reportable'],
      'Where it must be reported is for the authority to say: set your region’s list.',
    ],
    [Object.values(one.signs).every((frequency) => frequency === 'never'), ['signs'], 'It must show at least one sign.'],
  );
}

const inHost = ({ hosts }: Library, one: Host): EntryFault[] =>
  faultsIf([
    leadsBack([one, ...hosts.filter(({ id }) => id !== one.id)], one.id, ({ like }) => (like ? [like] : [])),
    ['like'],
    'The plant that it is like is in the end like this one.',
  ]);

function inIntervention({ interventions }: Library, one: Intervention): EntryFault[] {
  const { id, rate, temperatureC, soilC, apartFrom, undoes } = one;
  const model = interventions.find((other) => other.id === id);
  return [
    ...faultsIf(
      [
        undoes.includes(id) || apartFrom.some(({ intervention }) => intervention === id),
        ['apartFrom'],
        'It can’t be kept apart from itself.',
      ],
      [one.like === id, ['like'], 'It can’t be like itself.'],
      [Boolean(temperatureC && temperatureC.min > temperatureC.max), ['temperatureC'], 'The lower limit comes first.'],
      [Boolean(soilC && soilC.min > soilC.max), ['soilC'], 'The lower limit comes first.'],
      [one.preHarvestDays > mostDays, ['preHarvestDays'], `At most ${mostDays} days.`],
      [one.reEntryHours > mostHours, ['reEntryHours'], `At most ${mostHours} hours.`],
      [one.minutesPerPlant > mostMinutes, ['minutesPerPlant'], `At most ${mostMinutes} minutes.`],
      [one.dont && one.like !== undefined, ['dont'], 'What should not be done is offered nowhere.'],
    ),
    ...(rate ? inRate(rate) : []),
    ...(model ? lessCareful(one, model) : []),
  ];
}

function inRate({ amount, unit, per, labelMax }: NonNullable<Intervention['rate']>): EntryFault[] {
  const most = per.unit === 'l' ? { ml: mostMlPerL, g: mostGPerL }[unit] : undefined;
  return faultsIf(
    [labelMax.unit === unit && labelMax.amount < amount, ['rate', 'labelMax'], 'The most that is allowed can’t be less than the rate.'],
    [
      most !== undefined && amount / per.amount > most,
      ['rate', 'amount'],
      `More than ${most} ${unit} in a litre can’t be meant: read the label again.`,
    ],
  );
}

/** A garden's own copy of a library card may be stricter than the library, and never laxer: what the law or a label restricts is no opinion. */
function lessCareful(one: Intervention, model: Intervention): EntryFault[] {
  const isLess = (scale: readonly string[], field: 'bees' | 'helpers' | 'animals' | 'water') =>
    scale.indexOf(one[field]) < scale.indexOf(model[field]);
  const said = 'The library is stricter here, and a copy can’t be laxer.';
  return faultsIf(
    [model.restricted && !one.restricted, ['restricted'], said],
    [model.dont && !one.dont, ['dont'], said],
    [!model.onEaten && one.onEaten, ['onEaten'], said],
    [!model.organic && one.organic, ['organic'], said],
    [one.preHarvestDays < model.preHarvestDays, ['preHarvestDays'], `At least ${model.preHarvestDays} days, as in the library.`],
    [one.reEntryHours < model.reEntryHours, ['reEntryHours'], `At least ${model.reEntryHours} hours, as in the library.`],
    [isLess(harm.options, 'bees'), ['bees'], said],
    [isLess(harm.options, 'helpers'), ['helpers'], said],
    [isLess(risk.options, 'animals'), ['animals'], said],
    [isLess(risk.options, 'water'), ['water'], said],
    [one.settings.some((setting) => !model.settings.includes(setting)), ['settings'], said],
    [
      Boolean(model.rate && one.rate && one.rate.labelMax.amount > model.rate.labelMax.amount),
      ['rate', 'labelMax'],
      `At most ${model.rate?.labelMax.amount} ${model.rate?.labelMax.unit}, as in the library.`,
    ],
    [
      model.cautions.some((caution) => !one.cautions.includes(caution)),
      ['cautions'],
      'The library’s own cautions stay; add yours below them.',
    ],
  );
}

function inRegion({ notifiable, notListed, soldHere, forbidden }: Region): EntryFault[] {
  const barred = new Set(forbidden.map(({ intervention }) => intervention));
  return faultsIf(
    [
      notifiable.some((id) => notListed.includes(id)),
      ['notListed'],
      'A trouble can’t be both one to report and one that need not be reported.',
    ],
    [soldHere.some((id) => barred.has(id)), ['soldHere'], 'What is forbidden here can’t be sold here.'],
  );
}

/** Does the chain of these links, from an entry on, come back to it? */
function leadsBack<T extends { readonly id: string }>(
  entries: readonly T[],
  start: string,
  links: (entry: T) => readonly string[],
): boolean {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const linked = (id: string) => (byId.has(id) ? links(byId.get(id)!) : []);
  const seen = new Set<string>();
  const open = [...linked(start)];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === start) return true;
    if (!seen.has(id)) open.push(...linked(id));
    seen.add(id);
  }
  return false;
}
