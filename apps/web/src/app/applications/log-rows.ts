import type { Application, Place } from '@field-nurse/contract';
import { dayAt } from '@field-nurse/core/timing';
import type { Planting } from '../gardens/plantings-now';

export interface LogNames {
  readonly planting: (id: string) => Planting | undefined;
  readonly place: (id: string) => Place | undefined;
  readonly host: (id: string) => string;
  readonly intervention: (id: string) => string;
}

/** A planting that one tank or job went to, with its names. */
export type LogTarget = Application['targets'][number] & { readonly plant: string; readonly cultivar: string; readonly place: string };

/** One line of the record with all its names. */
export interface LogLine extends Omit<Application, 'targets'> {
  readonly targets: readonly LogTarget[];
  readonly treatment: string;
}

/** The applications of a year (all years without one) by the garden's clock, newest first. */
export function logLines(applications: readonly Application[], year: string | undefined, names: LogNames, timeZone: string): LogLine[] {
  return applications
    .filter(({ appliedAt }) => !year || dayAt(appliedAt, timeZone).startsWith(year))
    .map((one) => ({
      ...one,
      targets: one.targets.map((target): LogTarget => {
        const planting = names.planting(target.plantingId);
        return {
          ...target,
          plant: names.host(planting?.host ?? ''),
          cultivar: planting?.cultivar ?? '',
          place: names.place(planting?.placeId ?? '')?.name ?? '',
        };
      }),
      treatment: names.intervention(one.intervention),
    }))
    .sort((a, b) => b.appliedAt.localeCompare(a.appliedAt));
}
