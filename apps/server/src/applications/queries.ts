import { dayAt } from '@field-nurse/core/timing';
import { and, eq, ne } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { applicationTargets, applications } from './tables.js';

/** What was done on a planting, by its day on the garden's calendar. */
export interface Applied {
  readonly intervention: string;
  readonly appliedOn: string;
}

/** @param except - id of an application that does not count: the one that is judged */
export async function appliedOn(
  db: Pick<Db, 'select'>,
  garden: { readonly id: string; readonly timeZone: string },
  plantingId: string,
  except?: string,
): Promise<Applied[]> {
  const rows = await db
    .select({ intervention: applications.intervention, appliedAt: applications.appliedAt })
    .from(applicationTargets)
    .innerJoin(
      applications,
      and(eq(applications.gardenId, applicationTargets.gardenId), eq(applications.id, applicationTargets.applicationId)),
    )
    .where(
      and(
        eq(applicationTargets.gardenId, garden.id),
        eq(applicationTargets.plantingId, plantingId),
        except === undefined ? undefined : ne(applications.id, except),
      ),
    );
  return rows.map(({ intervention, appliedAt }) => ({
    intervention,
    appliedOn: dayAt(new Date(appliedAt).toISOString(), garden.timeZone),
  }));
}
