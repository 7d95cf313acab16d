import { northernMonth } from '../timing/index.js';
import type { Circumstances, ConditionFacts, HostFacts, Setting } from './knowledge.js';
import type { Onset } from './onset.js';
import { commonnessTable } from './probabilityTable.js';

/** One circumstance and the factor by which it multiplies a condition's odds. */
export interface PriorFactor {
  readonly code:
    | 'host'
    | 'setting'
    | 'season'
    | 'temperature'
    | 'onset'
    | 'pattern'
    | 'nearby'
    | 'range'
    | 'alone'
    | 'events'
    | 'words'
    | 'history'
    | 'clinic';
  readonly factor: number;
}

const hostFactor = { often: 1.5, sometimes: 0.6, seldom: 0.12, unlisted: 0.003 } as const;
// On a plant that is not named, of what is named for so many plants or families.
const unlistedOfMany = 0.03;
const manyHosts = 10;
// What happened speaks more for what comes of it than weather or a habit of care does, which many causes share.
const eventFactors = { event: 2.5, weather: 1.3 } as const;
const mostOfEvents = 8;
const weather = new Set(['wet-weather', 'dry-weather', 'cold-weather', 'same-ground', 'animals-about', 'crowded', 'unfed', 'old-wood']);
const nearbyFactor = { place: 4, garden: 2 } as const;
// Something that comes in the wake of something else is half as likely when nothing is said of the other.
const followerFactor = 0.5;
const onsetOrder: readonly Onset[] = ['overnight', 'days', 'weeks', 'season'];

/**
 * Prior odds that a condition is at work, from how common it is and from the circumstances.
 *
 * Factors multiply (conditional independence given the condition). The numbers are rounded expert judgement: each says how many times
 * rarer the condition is where the circumstance does not suit it.
 *
 * @returns natural logarithm of the odds, and the factors that made it
 */
export function priorLogOdds(condition: ConditionFacts, circumstances: Circumstances): { logOdds: number; factors: PriorFactor[] } {
  const base = commonnessTable[condition.common];
  const factors: PriorFactor[] = [
    { code: 'host', factor: hostFactorOf(condition, circumstances.host) },
    { code: 'setting', factor: settingFactor(condition, circumstances.setting) },
    { code: 'season', factor: seasonFactor(condition, circumstances) },
    { code: 'onset', factor: onsetFactor(condition, circumstances.onset) },
    { code: 'pattern', factor: !circumstances.pattern || condition.patterns.includes(circumstances.pattern) ? 1 : 0.4 },
    { code: 'temperature', factor: temperatureFactor(condition, circumstances.temperatureC) },
    { code: 'nearby', factor: nearbyFactorOf(condition, circumstances) },
    { code: 'range', factor: rangeFactor(condition, circumstances) },
    { code: 'events', factor: eventFactor(condition, circumstances) },
    { code: 'words', factor: Math.exp(circumstances.hints?.get(condition.id) ?? 0) },
    { code: 'alone', factor: condition.follows?.length ? followerFactor : 1 },
  ];
  const logOdds = factors.reduce((sum, { factor }) => sum + Math.log(factor), Math.log(base / (1 - base)));
  return { logOdds, factors };
}

/**
 * How readily a condition takes a host. An entry for the host itself outranks one for the plant that it is like, that one for its family, and
 * that one for its kind.
 *
 * @example
 * susceptibility(rustOfLeeks, leek) // => 'often'
 */
export function susceptibility(condition: ConditionFacts, host: HostFacts): keyof typeof hostFactor {
  const names = [host.id, host.like ?? host.id, host.family, host.kind];
  if (condition.hosts.never?.some((name) => names.includes(name))) return 'unlisted';
  for (const name of names)
    for (const level of ['often', 'sometimes', 'seldom'] as const) if (condition.hosts[level].includes(name)) return level;
  return 'unlisted';
}

/** What takes many plants is not kept from one by not being named for it. */
function hostFactorOf(condition: ConditionFacts, host: HostFacts): number {
  const level = susceptibility(condition, host);
  const { often, sometimes, seldom, never = [] } = condition.hosts;
  const takesMany = often.length + sometimes.length + seldom.length >= manyHosts && !never.includes(host.id);
  return level === 'unlisted' && takesMany ? unlistedOfMany : hostFactor[level];
}

function settingFactor(condition: ConditionFacts, setting: Setting | undefined): number {
  return !setting || condition.settings.includes(setting) ? 1 : 0.05;
}

function seasonFactor(condition: ConditionFacts, { month, hemisphere, setting }: Circumstances): number {
  if (!month || setting === 'indoor' || setting === 'hydroponic') return 1;
  const northern = northernMonth(month, hemisphere);
  const distance = Math.min(...condition.months.map((own) => Math.min(Math.abs(own - northern), 12 - Math.abs(own - northern))));
  if (distance === 0) return 1;
  const underGlass = setting === 'greenhouse';
  return distance === 1 ? (underGlass ? 0.8 : 0.4) : underGlass ? 0.3 : 0.06;
}

function onsetFactor(condition: ConditionFacts, onset: Onset | undefined): number {
  if (!onset) return 1;
  const distance = Math.abs(onsetOrder.indexOf(onset) - onsetOrder.indexOf(condition.onset));
  return [1, 0.5, 0.2, 0.1][distance] ?? 0.1;
}

/** One within the range; half within four degrees of it, a sixth beyond. */
function temperatureFactor({ temperatureC: range }: ConditionFacts, temperatureC: number | undefined): number {
  if (!range || temperatureC === undefined) return 1;
  const outside = Math.max(0, range[0]! - temperatureC, temperatureC - range[1]!);
  return outside === 0 ? 1 : outside <= 4 ? 0.5 : 1 / 6;
}

/** What is not known to live on a continent turns up there now and then, with plants and goods. */
const rangeFactor = ({ range }: ConditionFacts, { continent }: Circumstances) =>
  !continent || !range || range.length === 0 || range.includes(continent) ? 1 : 0.05;

function eventFactor({ after }: ConditionFacts, { events }: Circumstances): number {
  const fitting = (events ?? []).filter((event) => after?.includes(event));
  return Math.min(
    mostOfEvents,
    fitting.reduce((product, event) => product * eventFactors[weather.has(event) ? 'weather' : 'event'], 1),
  );
}

function nearbyFactorOf({ id }: ConditionFacts, { nearby }: Circumstances): number {
  return (nearby ?? []).filter(({ condition }) => condition === id).reduce((most, { near }) => Math.max(most, nearbyFactor[near]), 1);
}
