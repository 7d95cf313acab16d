import { z } from 'zod';
import { writtenRecords } from './records.js';
import type { Subject } from './records.js';
import { id } from './words.js';

/** Lists of a garden that leave the house as tables. */
export const tableName = z.enum([
  'places',
  'plantings',
  'treatments',
  'cases',
  'looks',
  'harvests',
  'catches',
  'finds',
  'products',
  'stock',
  'plans',
  'leaves',
  'prevention',
  'lessons',
  'ground',
  'removals',
  'drills',
]);

const listed = <const S extends Subject>(subject: S) =>
  z.strictObject({ subject: z.literal(subject), record: id, value: writtenRecords[subject] });

/** A new record out of a list that is brought in. */
export const listedRecord = z.discriminatedUnion('subject', [
  listed('places'),
  listed('plantings'),
  listed('cases'),
  listed('assessments'),
  listed('applications'),
  listed('harvests'),
  listed('catches'),
  listed('products'),
]);

/** So many are brought in at once. */
export const mostListed = 200;

export type TableName = z.infer<typeof tableName>;
export type ListedRecord = z.input<typeof listedRecord>;
