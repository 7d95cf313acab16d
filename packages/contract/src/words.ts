import { z } from 'zod';

// The controlled words that cross the wire. The library's own files use the same ones; a server test holds the two together.
export const setting = z.enum(['outdoor', 'greenhouse', 'indoor', 'hydroponic']);
export const onset = z.enum(['overnight', 'days', 'weeks', 'season']);
export const pattern = z.enum(['one-plant', 'patches', 'whole-planting', 'one-side', 'edges', 'scattered']);
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
  'other',
]);
/** what a threshold is counted in; `any`: one plant is too many */
export const measure = z.enum(['any', 'plants-percent', 'count-per-plant', 'count-per-leaf', 'leaf-percent']);
export const trapKind = z.enum(['sticky-card', 'pheromone', 'slug', 'snap', 'fly']);
export const role = z.enum(['owner', 'member', 'viewer']);

export const id = z.uuid();
/** id of an entry in the reference library */
export const entry = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  .max(80);
export const day = z.iso.date();
export const instant = z.iso.datetime({ offset: true });
export const shortText = z.string().trim().min(1).max(120);
export const longText = z.string().trim().max(4000);
export const percent = z.number().min(0).max(100);

const knownZones = new Set(['UTC', ...Intl.supportedValuesOf('timeZone')]);
export const timeZone = z.string().refine((name) => knownZones.has(name), { error: 'not a known time zone' });
