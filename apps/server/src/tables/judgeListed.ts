import type { ListedRecord, Written } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { judgeApplication } from '../applications/judgeApplication.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
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
  const at = (...path: (string | number)[]) => ['records', place, 'value', ...path];
  switch (subject) {
    case 'plantings':
      requireEntry(library.hosts, value.host, at('host'));
      return value;
    case 'products':
      requireEntry(library.interventions, value.intervention, at('intervention'));
      return value;
    case 'cases':
      value.findings.forEach(({ sign }, i) => requireEntry(library.signs, sign, at('findings', i, 'sign')));
      value.diagnoses.forEach(({ conditions }, i) =>
        conditions.forEach((condition, j) => requireEntry(library.conditions, condition, at('diagnoses', i, 'conditions', j))),
      );
      return value;
    case 'applications':
      requireEntry(library.interventions, value.intervention, at('intervention'));
      if (new Date(value.appliedAt) > garden.now)
        throw invalidField(at('appliedAt'), 'in-future', 'What is still to come can’t have been done.');
      return judgeApplication(tx, library, garden, record, value as Required<Written<'applications'>>, personId);
    default:
      return value;
  }
}
