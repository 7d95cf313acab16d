import type { NewerRecords, Subject } from '@field-nurse/contract';
import { sql } from 'drizzle-orm';
import type { Db } from '../db/client.js';
import { changes } from '../gardens/tables.js';

// A device that is further behind fetches the season anew: that is quicker, and costs the same however long the log is.
const mostChanges = 2000;

/**
 * What changed in a garden after a change that a device knows: each record once, as it stands now.
 *
 * @param last - number of the garden's newest change
 * @returns `whole` where so much changed that the season is better fetched anew
 */
export async function newerRecords(db: Db, gardenId: string, since: number, last: number): Promise<Omit<NewerRecords, 'garden'>> {
  if (last - since > mostChanges) return { sequence: since, whole: true, records: [] };
  // The log holds each record as the change left it: the newest of each is how it stands.
  const { rows } = await db.execute<{ subject: string; id: string; record: object | null; sequence: number }>(sql`
    select distinct on (${changes.recordId}) ${changes.subject} as subject, ${changes.recordId} as id, ${changes.after} as record,
      ${changes.sequence}::int as sequence
    from ${changes} where ${changes.gardenId} = ${gardenId} and ${changes.sequence} > ${since}
    order by ${changes.recordId}, ${changes.sequence} desc`);
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
