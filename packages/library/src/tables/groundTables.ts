import type { Stored } from '@field-nurse/contract';
import { each, idColumn, note, standing } from './tableColumns.js';

/** What happened to ground that rests. */
export const ground = each('groundEvents', 'happenedOn', [
  idColumn,
  { name: 'place', says: 'where', of: ({ placeId }, names) => names.place(placeId) },
  { name: 'day', says: 'on which it happened', of: ({ happenedOn }) => happenedOn },
  { name: 'kind', says: 'entered, cleaned, tested-clean or tested-there', of: ({ kind }) => kind },
  { name: 'trouble', says: 'what lasts in it', of: ({ condition }, names) => (condition ? names.condition(condition) : '') },
  { name: 'person', says: 'who it was', of: ({ person }) => person },
  { name: 'things', says: 'what was worn or cleaned, separated by semicolons', of: ({ things }) => things.join('; ') },
  { name: 'disinfectant', says: 'what it was cleaned with', of: ({ disinfectant }) => disinfectant },
  { name: 'minutes', says: 'for which that acted', of: ({ minutes }) => minutes },
  note,
]);

/** Plants that were taken out, step by step. */
export const removals = each('removals', 'startedOn', [
  idColumn,
  ...standing<Stored<'removals'>>(({ plantingId }) => plantingId),
  { name: 'day', says: 'on which it was begun', of: ({ startedOn }) => startedOn },
  { name: 'plants', says: 'taken out', of: ({ plants }) => plants },
  { name: 'reported', says: 'whom it was told', of: ({ reported }) => reported },
  {
    name: 'steps',
    says: 'each with its instant, UTC, and who did it, separated by semicolons',
    of: ({ done }) => done.map(({ step, at, by }) => `${step} ${at} ${by}`.trim()).join('; '),
  },
  { name: 'endedOn', says: 'day', of: ({ endedOn }) => endedOn },
  note,
]);
