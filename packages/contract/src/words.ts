import { z } from 'zod';

// The controlled words that cross the wire. The library's own files use the same ones; a server test holds the two together.
export const setting = z.enum(['outdoor', 'greenhouse', 'indoor', 'hydroponic']);
export const onset = z.enum(['overnight', 'days', 'weeks', 'season']);
export const pattern = z.enum(['one-plant', 'patches', 'whole-planting', 'one-side', 'edges', 'scattered']);
export const continent = z.enum(['europe', 'north-america', 'south-america', 'africa', 'asia', 'australasia']);
export const stance = z.enum(['hands', 'organic', 'softest', 'protect']);
export const hiding = z.enum(['rolled-leaf', 'mine', 'stem', 'root', 'case', 'wax']);
export const unitSystem = z.enum(['metric', 'us']);
export const verdict = z.enum(['fits', 'care', 'ruled-out']);
export const placeKind = z.enum([
  'room',
  'bed',
  'raised-bed',
  'tunnel',
  'greenhouse',
  'bench',
  'windowsill',
  'trough',
  'hedge',
  'wall',
  'pots',
  'heap',
  'store',
  'housing',
  'other',
]);
/** how much of a summer's day the sun reaches it */
export const light = z.enum(['sun', 'half', 'shade']);
/** what a threshold is counted in; `any`: one plant is too many */
export const measure = z.enum([
  'any',
  'plants-percent',
  'count-per-plant',
  'count-per-leaf',
  'count-per-m2',
  'count-per-minute',
  'leaf-percent',
]);
export const trapKind = z.enum(['sticky-card', 'pheromone', 'slug', 'snap', 'fly']);
/** an adviser sees the garden without addresses, and comments on cases */
export const role = z.enum(['owner', 'member', 'adviser', 'viewer']);

/** Unit names that calculations, labels and shelves know. */
export const unitNames = [
  'ml',
  'l',
  'tsp-us',
  'tbsp-us',
  'floz-us',
  'cup-us',
  'pt-us',
  'qt-us',
  'gal-us',
  'tsp-metric',
  'tbsp-metric',
  'cup-metric',
  'm3',
  'ft3',
  'yd3',
  'floz-imp',
  'pt-imp',
  'gal-imp',
  'g',
  'kg',
  'oz',
  'lb',
  'percent',
  'percent-wv',
  'parts',
  'ppm',
  'm2',
  'ft2',
  'ha',
  'acre',
  'm',
  'cm',
  'ft',
  'in',
] as const;

export const id = z.uuid().toLowerCase();
/** id of an entry in the reference library */
export const entry = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  .max(80);
/** What was chosen where growers disagree: the question, by its entry, and the view in the library's words. */
export const schools = z
  .array(z.strictObject({ question: entry, view: z.string().trim().min(1).max(120) }))
  .max(60)
  .refine((all) => new Set(all.map(({ question }) => question)).size === all.length, { error: 'each question once' });
/** years that a garden's records may lie in */
const knownYear = /^(1[6-9]|2\d)\d\d-/;
export const day = z.iso.date({ abort: true }).regex(knownYear, { error: 'a day from 1600 to 2999' });
/** a day of every year, MM-DD; none that some years lack */
export const monthDay = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-(0[1-9]|1\d|2[0-8])$/, { error: 'a month and a day up to the 28th, such as 07-01' });
/** a moment; clocks on Earth are at most 14 hours from each other's */
export const instant = z.iso
  .datetime({ offset: true, abort: true })
  .regex(knownYear, { error: 'a year from 1600 to 2999' })
  .regex(/(Z|[+-](0\d|1[0-3]):[0-5]\d|[+-]14:00)$/, { error: 'an offset of 14 hours at most' });
export const email = z.email().max(254);
export const newPassword = z.string().min(10, { error: 'at least 10 characters' }).max(200);
/** a password that is compared and never kept */
export const typedPassword = z.string().min(1).max(200);
export const shortText = z.string().trim().min(1).max(120);
export const longText = z.string().trim().max(4000);
export const percent = z.number().min(0).max(100);

const knownZones = new Set(['UTC', ...Intl.supportedValuesOf('timeZone')]);
export const timeZone = z.string().refine((name) => knownZones.has(name), { error: 'not a known time zone' });
