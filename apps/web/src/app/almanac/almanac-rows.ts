import type { AlmanacAnswer, PastSight } from '@field-nurse/contract';
import { addDays, degreeDays, seasonOf, sightForecast } from '@field-nurse/core/timing';
import type { HeatDay, SightForecast } from '@field-nurse/core/timing';
import type { Condition, Intervention } from '@field-nurse/library';

// What is to keep a trouble off begins two to three weeks before its date.
const leadDays = 21;
// Plants and most of what lives on them begin at about this warmth; the library knows better of some.
const usualLowerC = 5;

/** A trouble on a kind of plant, with what all years say of it. */
export interface DueRow {
  readonly condition: string;
  readonly host: string;
  /** first sight of each year, oldest first */
  readonly seen: readonly { readonly year: string; readonly on: string }[];
  readonly due: SightForecast | undefined;
  /** from when what keeps it off should stand there */
  readonly beginOn: string | undefined;
  /** this year's first sight, where it is here already */
  readonly hereSince: string | undefined;
}

export interface Season {
  readonly today: string;
  /** month and day on which it begins */
  readonly seasonStart: string;
}

/** Days with their heat above a threshold, the forecast ones behind those that were measured. */
export function heatDays(days: AlmanacAnswer['days'], forecast: AlmanacAnswer['days'], lower = usualLowerC, upper?: number): HeatDay[] {
  const last = days.findLast(({ minC }) => minC !== null)?.day ?? '';
  const all = [...days.filter(({ day }) => day <= last), ...forecast.filter(({ day }) => day > last)];
  const heat = degreeDays(
    all.map(({ minC, maxC }) => ({ min: minC, max: maxC })),
    'single-sine',
    { lower, upper },
  );
  return all.map(({ day }, i) => ({ date: day, dd: heat[i]! }));
}

/** Every trouble that any plant has had, by the day on which it is due again. */
export function dueRows(
  { days, sights }: AlmanacAnswer,
  forecast: AlmanacAnswer['days'],
  conditions: ReadonlyMap<string, Condition>,
  { today, seasonStart }: Season,
): DueRow[] {
  const heats = new Map<string, HeatDay[]>();
  const heatOf = (condition: string) => {
    const { lowerC = usualLowerC, upperC } = conditions.get(condition)?.heat ?? {};
    const key = `${lowerC} ${upperC}`;
    const known = heats.get(key) ?? heatDays(days, forecast, lowerC, upperC);
    heats.set(key, known);
    return known;
  };
  const yearOf = (day: string) => seasonOf(day, seasonStart).from.slice(0, 4);
  const pairs = new Map<string, PastSight[]>();
  for (const sight of sights)
    for (const condition of sight.conditions) {
      const key = `${condition} ${sight.host}`;
      pairs.set(key, [...(pairs.get(key) ?? []), sight]);
    }
  const rows = [...pairs].map(([key, own]): DueRow => {
    const [condition, host] = key.split(' ') as [string, string];
    const firsts = new Map<string, string>();
    for (const { openedOn } of own) {
      const year = yearOf(openedOn);
      if (openedOn < (firsts.get(year) ?? '9')) firsts.set(year, openedOn);
    }
    const seen = [...firsts].map(([year, on]) => ({ year, on })).sort((a, b) => a.on.localeCompare(b.on));
    const now = yearOf(today);
    const earlier = seen.filter(({ year }) => year < now).map(({ on }) => on);
    const due = earlier.length > 0 ? sightForecast({ seenOn: earlier, days: heatOf(condition), seasonStart, today }) : undefined;
    return { condition, host, seen, due, beginOn: due && addDays(due.earliest, -leadDays), hereSince: firsts.get(now) };
  });
  return rows.sort((a, b) => (a.due?.expectedOn ?? a.hereSince ?? '9').localeCompare(b.due?.expectedOn ?? b.hereSince ?? '9'));
}

/** How a kind of plant was pressed in each month: severity of its open cases, over all years. */
export interface PressureRow {
  readonly host: string;
  /** January to December, cases weighed by their worst look; 1 is a case that took half of the plant for the whole month */
  readonly months: readonly number[];
}

const halfOfPlant = 50;
// A case that nobody looked at again is taken to have been slight.
const usualPeak = 10;
const longestDays = 120;

export function pressureRows(sights: readonly PastSight[], today: string): PressureRow[] {
  const hosts = new Map<string, number[]>();
  for (const { host, openedOn, closedOn, peak } of sights) {
    const months = hosts.get(host) ?? Array.from({ length: 12 }, () => 0);
    hosts.set(host, months);
    const last = [closedOn ?? today, addDays(openedOn, longestDays), today].sort()[0]!;
    for (let day = openedOn; day <= last; day = addDays(day, 1))
      months[Number(day.slice(5, 7)) - 1]! += (peak ?? usualPeak) / halfOfPlant / 30;
  }
  return [...hosts].map(([host, months]) => ({ host, months })).sort((a, b) => Math.max(...b.months) - Math.max(...a.months));
}

/** What was done against a trouble, and what came of it. */
export interface HelpedRow {
  readonly condition: string;
  readonly intervention: string;
  readonly cases: number;
  /** of those that are closed */
  readonly recovered: number;
  readonly closed: number;
  /** worst severity, and that of the last look, middle of all cases */
  readonly peak: number | undefined;
  readonly last: number | undefined;
  readonly hours: number;
  readonly cost: number;
}

/** By trouble, the cheapest hour first; a case in which two things were done counts for both. */
export function helpedRows(sights: readonly PastSight[], interventions: ReadonlyMap<string, Intervention>): HelpedRow[] {
  const rows = new Map<string, { sights: PastSight[]; minutes: number; cost: number }>();
  for (const sight of sights) {
    const condition = sight.conditions[0];
    if (!condition) continue;
    for (const intervention of new Set(sight.done.map((one) => one.intervention))) {
      const card = interventions.get(intervention);
      const plants = sight.done.filter((one) => one.intervention === intervention).reduce((sum, one) => sum + one.plants, 0);
      const key = `${condition} ${intervention}`;
      const row = rows.get(key) ?? { sights: [], minutes: 0, cost: 0 };
      rows.set(key, row);
      row.sights.push(sight);
      row.minutes += (card?.minutesPerPlant ?? 0) * plants;
      row.cost += (card?.costPerPlant ?? 0) * plants;
    }
  }
  return [...rows]
    .map(([key, { sights: own, minutes, cost }]): HelpedRow => {
      const [condition, intervention] = key.split(' ') as [string, string];
      const closed = own.filter(({ closedOn }) => closedOn);
      return {
        condition,
        intervention,
        cases: own.length,
        closed: closed.length,
        recovered: closed.filter(({ outcome }) => outcome === 'recovered' || outcome === 'left-alone').length,
        peak: middle(own.flatMap(({ peak }) => peak ?? [])),
        last: middle(own.flatMap(({ lastSeverity }) => lastSeverity ?? [])),
        hours: minutes / 60,
        cost,
      };
    })
    .sort((a, b) => a.condition.localeCompare(b.condition) || a.hours - b.hours);
}

function middle(numbers: readonly number[]): number | undefined {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}
