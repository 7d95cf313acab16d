import type { ListedRecord, Written } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { judgeApplication } from '../applications/judgeApplication.js';
import { requireDone } from '../applications/requireDone.js';
import { requireCaseEntries } from '../cases/requireCaseEntries.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { requireEntry } from '../library/requireEntry.js';
import type { Row, Tx } from '../records/recordStore.js';

/**
 * What the server makes of a record out of a list: the same as if it had been written by itself.
 *
 * @param place - which record of the list, from 0
 * @throws ApiError beside its field
 */
export async function judgeListed(
  tx: Tx,
  library: Library,
  garden: GardenLaw,
  personId: string,
  { subject, record, value }: ListedRecord,
  place: number,
): Promise<Row> {
  const path = ['records', place, 'value'];
  switch (subject) {
    case 'plantings':
      requireEntry(library.hosts, value.host, [...path, 'host']);
      return value;
    case 'products':
      requireEntry(library.interventions, value.intervention, [...path, 'intervention']);
      return value;
    case 'cases':
      requireCaseEntries(library, value, path);
      return value;
    case 'applications':
      requireDone(library, garden, value, path);
      return judgeApplication(tx, library, garden, record, value as Required<Written<'applications'>>, personId);
    default:
      return value;
  }
}
