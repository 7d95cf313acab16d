import type { Case, Assessment, Stop } from '@field-nurse/contract';
import { looksByDay } from '@field-nurse/core/recovery';
import { addDays, dayAt } from '@field-nurse/core/timing';
import type { Applied } from '../gardens/applied';
import type { Planting } from '../gardens/plantings-now';

/** All of one planting that its strip shows; every day is within the span of the chart. */
export interface Strip {
  readonly planting: Planting;
  readonly grows: Span;
  /** one line per case */
  readonly cases: readonly { readonly id: string; readonly points: readonly { readonly day: string; readonly severity: number }[] }[];
  /** days on which a case was opened */
  readonly opened: readonly string[];
  /** stops of rounds */
  readonly rounds: readonly { readonly day: string; readonly found: boolean }[];
  readonly treatments: readonly { readonly day: string; readonly intervention: string }[];
  /** days on which nothing may be picked */
  readonly unsafe: readonly Span[];
  readonly harvest: string | undefined;
}

/** A stretch of days, both included. */
export interface Span {
  readonly from: string;
  readonly to: string;
}

export interface GardenRecords {
  readonly plantings: readonly Planting[];
  readonly cases: readonly Case[];
  readonly assessments: readonly Assessment[];
  readonly applications: readonly Applied[];
  readonly stops: readonly Stop[];
}

/** The months of a year in which the garden had anything to show, whole months, up to today or the last harvest that is set. */
export function seasonSpan(year: string, { plantings, assessments, applications }: GardenRecords, today: string, timeZone: string): Span {
  const days = [
    ...plantings.flatMap((planting) => [planting.plantedOn, planting.endedOn ?? today, ...harvestsOf(planting)]),
    ...assessments.map(({ assessedOn }) => assessedOn),
    ...applications.map(({ appliedAt }) => dayAt(appliedAt, timeZone)),
    ...(today.startsWith(year) ? [today] : []),
  ]
    .filter((day) => day.startsWith(year))
    .sort();
  const [first, last] = [days[0] ?? `${year}-03-01`, days.at(-1) ?? `${year}-10-31`];
  return { from: `${first.slice(0, 7)}-01`, to: monthEnd(last) };
}

/** Days on which a planting's harvests begin. */
const harvestsOf = ({ events }: Planting): string[] => events.flatMap(({ kind, on }) => (kind === 'harvest' ? [on] : [])).sort();

/** Strips of the plantings that stood within a span, by place and plant. */
export function stripsWithin(span: Span, records: GardenRecords, today: string, timeZone: string): Strip[] {
  const within = (day: string) => day >= span.from && day <= span.to;
  return records.plantings
    .filter(({ plantedOn, endedOn }) => plantedOn <= span.to && (endedOn ?? today) >= span.from)
    .map((planting) => {
      const applications = records.applications.filter(({ plantingId }) => plantingId === planting.id);
      return {
        planting,
        grows: clip({ from: planting.plantedOn, to: planting.endedOn ?? today }, span)!,
        cases: records.cases
          .filter(({ plantingId }) => plantingId === planting.id)
          .map(({ id }) => ({
            id,
            points: looksByDay(records.assessments.filter(({ caseId, assessedOn }) => caseId === id && within(assessedOn)))
              .map(({ assessedOn, severity }) => ({ day: assessedOn, severity }))
              .sort((a, b) => a.day.localeCompare(b.day)),
          }))
          .filter(({ points }) => points.length > 0),
        opened: records.cases.flatMap(({ plantingId, openedOn }) => (plantingId === planting.id && within(openedOn) ? [openedOn] : [])),
        rounds: records.stops
          .filter(({ plantingId }) => plantingId === planting.id)
          .map(({ lookedAt, found }) => ({ day: dayAt(lookedAt, timeZone), found }))
          .filter(({ day }) => within(day)),
        treatments: applications
          .map(({ appliedAt, intervention }) => ({ day: dayAt(appliedAt, timeZone), intervention }))
          .filter(({ day }) => within(day)),
        unsafe: applications.flatMap(({ appliedAt, notPickedBefore }) => {
          const from = dayAt(appliedAt, timeZone);
          return notPickedBefore && notPickedBefore > from ? (clip({ from, to: notPickedBefore }, span) ?? []) : [];
        }),
        harvest: harvestsOf(planting).findLast(within),
      };
    });
}

function clip({ from, to }: Span, limits: Span): Span | undefined {
  const clipped = { from: from > limits.from ? from : limits.from, to: to < limits.to ? to : limits.to };
  return clipped.from <= clipped.to ? clipped : undefined;
}

function monthEnd(day: string): string {
  const firstOfNext = addDays(`${day.slice(0, 7)}-28`, 4).slice(0, 7);
  return addDays(`${firstOfNext}-01`, -1);
}
