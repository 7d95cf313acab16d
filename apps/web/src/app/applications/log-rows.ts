import { dayAt } from '@field-nurse/core/timing';
import type { Application, Place, Planting } from '@field-nurse/contract';

export interface LogNames {
  readonly planting: (id: string) => Planting | undefined;
  readonly place: (id: string) => Place | undefined;
  readonly host: (id: string) => string;
  readonly intervention: (id: string) => string;
}

/** One line of the record with all its names. */
export interface LogLine extends Application {
  readonly plant: string;
  readonly cultivar: string;
  readonly place: string;
  readonly treatment: string;
}

/** The applications of a year (all years without one) by the garden's clock, newest first. */
export function logLines(applications: readonly Application[], year: string | undefined, names: LogNames, timeZone: string): LogLine[] {
  return applications
    .filter(({ appliedAt }) => !year || dayAt(appliedAt, timeZone).startsWith(year))
    .map((one) => {
      const planting = names.planting(one.plantingId);
      return {
        ...one,
        plant: names.host(planting?.host ?? ''),
        cultivar: planting?.cultivar ?? '',
        place: names.place(planting?.placeId ?? '')?.name ?? '',
        treatment: names.intervention(one.intervention),
      };
    })
    .sort((a, b) => b.appliedAt.localeCompare(a.appliedAt));
}
