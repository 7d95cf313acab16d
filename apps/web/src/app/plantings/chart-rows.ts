import type { Assessment, Case, Harvest, PlantingEvent, Stop } from '@field-nurse/contract';
import type { BedRest } from '@field-nurse/core/ground';
import { looksByDay } from '@field-nurse/core/recovery';
import { addDays, dayAt, daysBetween, residueLeft } from '@field-nurse/core/timing';
import type { Intervention } from '@field-nurse/library';
import type { Applied } from '../gardens/applied';
import type { Planting } from '../gardens/plantings-now';
import type { Span } from './strips';

/** All of one planting that its strip shows. */
export interface ChartRow {
  readonly planting: Planting;
  readonly place: string;
  readonly grows: Span;
  /** a line of severity for each case, and its counts */
  readonly cases: readonly {
    readonly id: string;
    readonly openedOn: string;
    readonly points: readonly { readonly day: string; readonly severity: number; readonly count: number | null }[];
  }[];
  /** stops of rounds */
  readonly looks: readonly { readonly day: string; readonly found: boolean }[];
  /** what was done, and what is left of it day by day */
  readonly treatments: readonly { readonly day: string; readonly intervention: string; readonly left: readonly number[] }[];
  readonly flowers: readonly Span[];
  readonly harvests: readonly Span[];
  /** kilograms on days */
  readonly picked: readonly { readonly day: string; readonly kg: number }[];
  /** days on which leaves were wet for long enough for a disease that it has had */
  readonly infected: readonly string[];
  /** not to be picked */
  readonly waits: readonly Span[];
  /** its ground is closed to its family */
  readonly rests: readonly Span[];
}

export interface ChartRecords {
  readonly plantings: readonly Planting[];
  readonly cases: readonly Case[];
  readonly assessments: readonly Assessment[];
  readonly applications: readonly Applied[];
  readonly stops: readonly Stop[];
  readonly harvests: readonly Harvest[];
}

export interface ChartFacts {
  readonly today: string;
  readonly timeZone: string;
  readonly placeName: (id: string) => string;
  readonly intervention: (id: string) => Intervention | undefined;
  readonly rainOn: (day: string) => number | null;
  /** days on which a kind of plant could be infected, by the diseases that it has had here, oldest first */
  readonly infectedOn: (host: string) => readonly string[];
  /** rests of a place that keep a kind of plant out */
  readonly restsOf: (place: string, host: string) => readonly Pick<BedRest, 'from' | 'until'>[];
}

// Leaves that grow thin out what is on them, by about so much a day in the season: our estimate.
const growthPerDay = 0.02;
// Less than this protects nothing.
const leastLeft = 0.1;
const longestDays = 60;

/** A row for each planting, by place and plant. */
export function chartRows(records: ChartRecords, facts: ChartFacts): ChartRow[] {
  const casesOf = grouped(records.cases, ({ plantingId }) => plantingId);
  const looksOf = grouped(records.assessments, ({ caseId }) => caseId);
  const appliedOn = grouped(records.applications, ({ plantingId }) => plantingId);
  const stopsAt = grouped(records.stops, ({ plantingId }) => plantingId);
  const pickedOf = grouped(records.harvests, ({ plantingId }) => plantingId);
  const on = (instant: string) => dayAt(instant, facts.timeZone);
  return records.plantings
    .map((planting): ChartRow => {
      const end = planting.endedOn ?? facts.today;
      const applied = appliedOn.get(planting.id) ?? [];
      return {
        planting,
        place: facts.placeName(planting.placeId),
        grows: { from: planting.plantedOn, to: end },
        cases: (casesOf.get(planting.id) ?? []).map(({ id, openedOn }) => ({
          id,
          openedOn,
          points: looksByDay(looksOf.get(id) ?? [])
            .map(({ assessedOn, severity, count }) => ({ day: assessedOn, severity, count }))
            .sort((a, b) => a.day.localeCompare(b.day)),
        })),
        looks: (stopsAt.get(planting.id) ?? []).map(({ lookedAt, found }) => ({ day: on(lookedAt), found })),
        treatments: applied.map(({ appliedAt, intervention }) => ({
          day: on(appliedAt),
          intervention,
          left: leftOf(on(appliedAt), facts.intervention(intervention), facts),
        })),
        flowers: stretchesOf(planting.events, 'flowering', end),
        harvests: stretchesOf(planting.events, 'harvest', end),
        picked: (pickedOf.get(planting.id) ?? []).map(({ pickedOn, kg }) => ({ day: pickedOn, kg: kg ?? 0 })),
        infected: facts.infectedOn(planting.host).filter((day) => day >= planting.plantedOn && day <= end),
        waits: applied.flatMap(({ appliedAt, notPickedBefore }) => {
          const from = on(appliedAt);
          return notPickedBefore && notPickedBefore > from ? [{ from, to: notPickedBefore }] : [];
        }),
        rests: facts
          .restsOf(planting.placeId, planting.host)
          .filter(({ until }) => until > planting.plantedOn)
          .map(({ from, until }) => ({ from: from > planting.plantedOn ? from : planting.plantedOn, to: until })),
      };
    })
    .sort(
      (a, b) =>
        a.place.localeCompare(b.place) || a.planting.host.localeCompare(b.planting.host) || a.grows.from.localeCompare(b.grows.from),
    );
}

function grouped<T>(list: readonly T[], keyOf: (one: T) => string): ReadonlyMap<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const own = groups.get(keyOf(one));
    if (own) own.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}

function leftOf(day: string, card: Intervention | undefined, { today, rainOn }: ChartFacts): number[] {
  if (!card || card.residualDays === 0) return [];
  const length = Math.min(longestDays, Math.max(0, daysBetween(day, today))) + 1;
  const rain = Array.from({ length }, (_, i) => rainOn(addDays(day, i)));
  const left = residueLeft(rain, { lastsDays: card.residualDays, rainFastHours: card.rainFastHours, growthPerDay });
  const ends = left.findIndex((share) => share < leastLeft);
  return ends < 0 ? left : left.slice(0, ends);
}

const stretchesOf = (events: readonly PlantingEvent[], kind: 'flowering' | 'harvest', end: string): Span[] =>
  events.flatMap((event) => {
    if (event.kind !== kind) return [];
    const to = event.until ?? (event.on > end ? event.on : end);
    return [{ from: event.on, to }];
  });

/** Days between which anything at all is shown. */
export function chartSpan(rows: readonly ChartRow[], today: string): Span {
  const [from, to] = rows.reduce(
    ([first, last], { grows, harvests, waits }) => {
      const ends = [grows.to, ...harvests.map((one) => one.to), ...waits.map((one) => one.to)];
      return [grows.from < first ? grows.from : first, ends.reduce((late, end) => (end > late ? end : late), last)];
    },
    [today, today],
  );
  // Old trees were planted before anybody wrote.
  const tenYearsAgo = `${Number(today.slice(0, 4)) - 10}-01-01`;
  return { from: from < tenYearsAgo ? tenYearsAgo : `${from.slice(0, 7)}-01`, to: addDays(to, 14) };
}

/** Months, as YYYY-MM, in which something happened: the others need not be as wide. */
export function eventfulMonths(rows: readonly ChartRow[], today: string): ReadonlySet<string> {
  const months = new Set([today.slice(0, 7)]);
  for (const { cases, looks, treatments, picked, grows } of rows) {
    months.add(grows.from.slice(0, 7));
    for (const { openedOn, points } of cases)
      for (const day of [openedOn, ...points.map((point) => point.day)]) months.add(day.slice(0, 7));
    for (const { day } of [...looks, ...treatments, ...picked]) months.add(day.slice(0, 7));
  }
  return months;
}
