import type { NewerRecords, Subject } from '@field-nurse/contract';
import { sql } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { changes } from './tables.js';

// A device that is further behind fetches the season anew: that is quicker.
const mostRecords = 2000;

/**
 * What changed in a garden after a change that a device knows: each record once, as it stands now.
 *
 * @returns `whole` where so much changed that the season is better fetched anew
 */
export async function newerRecords(db: Db, gardenId: string, since: number): Promise<Omit<NewerRecords, 'garden'>> {
  // The log holds each record as the change left it: the newest of each is how it stands.
  const { rows } = await db.execute<{ subject: string; id: string; record: object | null; sequence: number }>(sql`
    select distinct on (${changes.recordId}) ${changes.subject} as subject, ${changes.recordId} as id, ${changes.after} as record,
      ${changes.sequence}::int as sequence
    from ${changes} where ${changes.gardenId} = ${gardenId} and ${changes.sequence} > ${since}
    order by ${changes.recordId}, ${changes.sequence} desc limit ${mostRecords + 1}`);
  if (rows.length > mostRecords) return { sequence: since, whole: true, records: [] };
  const newest = Math.max(since, ...rows.map(({ sequence }) => sequence));
  return {
    sequence: newest,
    whole: false,
    records: rows.map(({ subject, id, record }) => ({
      subject: subject as Subject,
      id,
      record: record as NewerRecords['records'][number]['record'],
    })),
  };
}
