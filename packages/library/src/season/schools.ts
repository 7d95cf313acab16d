import type { SeasonAction, TriedStrategy } from '@field-nurse/core/season';
import type { Rung } from '@field-nurse/core/treatment';

/** What is open to a school, the best first. */
export interface OpenAction {
  readonly action: SeasonAction;
  /** middle of what it does to the trouble, 0 to 1 */
  readonly strength: number;
  readonly rung: Rung;
}

export type School = 'hands' | 'organic' | 'softest' | 'protect';
export const schools: readonly School[] = ['hands', 'organic', 'softest', 'protect'];

export const schoolNames: Readonly<Record<School, string>> = {
  hands: 'Hands only',
  organic: 'Organic',
  softest: 'Softest first',
  protect: 'Protect the crop',
};

// A look a week is what most growers keep to.
const lookEvery = 7;
// A net is put up where it keeps off at least so much.
const worthPutting = 0.4;

interface Season {
  readonly days: number;
  /** it pays to act from here on */
  readonly actAt: number;
}

/** Leave it alone. */
export const leaveIt: TriedStrategy = { id: 'leave', name: 'Do nothing', actions: [], when: { kind: 'never' } };

/**
 * What each school would do: hands, organic and softest first look each week and act from the threshold on, protecting the crop goes by the calendar.
 * Schools that come to the same are one.
 */
export function schoolStrategies(open: ReadonlyMap<School, readonly OpenAction[]>, season: Season): TriedStrategy[] {
  const all = schools.flatMap((school) => strategyOf(school, open.get(school) ?? [], season) ?? []);
  const same = new Map<string, TriedStrategy>();
  for (const one of all) {
    const key = JSON.stringify([one.actions.map(({ id }) => id), (one.first ?? []).map(({ id }) => id), one.when]);
    const earlier = same.get(key);
    same.set(key, earlier ? { ...earlier, name: `${earlier.name}; ${one.name.toLowerCase()}` } : one);
  }
  return [...same.values()];
}

/** What is used by a school: the best in turn, and what is put up once. */
function strategyOf(school: School, open: readonly OpenAction[], season: Season): TriedStrategy | undefined {
  const first = open.filter(({ rung, strength }) => (rung === 'barrier' || rung === 'trap') && strength >= worthPutting).slice(0, 1);
  const actions = roundsOf(school, open);
  if (actions.length + first.length === 0) return undefined;
  return {
    id: school,
    name: schoolNames[school],
    actions,
    ...(first.length > 0 && { first: first.map(({ action }) => action) }),
    ...(school === 'softest' && { growing: true }),
    when: school === 'protect' ? byCalendar(actions, season) : byThreshold(season),
  };
}

/** Whether there is anything or not. */
const byCalendar = (actions: readonly SeasonAction[], { days }: Season): TriedStrategy['when'] =>
  actions.length === 0
    ? { kind: 'never' }
    : { kind: 'calendar', from: 0, everyDays: Math.max(...actions.map(({ everyDays }) => everyDays)), until: days - 1 };

/** Only where a look finds so many. */
export const byThreshold = ({ actAt }: Season): TriedStrategy['when'] => ({ kind: 'threshold', from: 0, lookEvery, actAt });

const ladder: readonly Rung[] = ['hand', 'biological', 'soft', 'synthetic'];

/** What is done in rounds: by hand what does most; organic what does most of what lives or is soft; softest first the best of each rung, from below. */
function roundsOf(school: School, open: readonly OpenAction[]): SeasonAction[] {
  const best = (...rungs: readonly Rung[]) => open.filter(({ rung }) => rungs.includes(rung)).sort((a, b) => b.strength - a.strength);
  if (school === 'softest') return ladder.flatMap((rung) => best(rung)[0]?.action ?? []);
  if (school === 'hands') return differing(best('hand'));
  if (school === 'protect') return differing(best(...ladder));
  const soft = best('biological', 'soft');
  return differing(soft.length > 0 ? soft : best('hand'));
}

/** The first, and one that acts otherwise. */
function differing(open: readonly OpenAction[]): SeasonAction[] {
  const [first, ...rest] = open.map(({ action }) => action);
  if (!first) return [];
  const other = rest.find((one) => (one.group ?? one.id) !== (first.group ?? first.id));
  return [first, other].flatMap((one) => one ?? []);
}
