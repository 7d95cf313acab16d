import type { Place, Shape } from '@field-nurse/contract';
import { corners } from '@field-nurse/core/ground';
import type { PlanShape } from '@field-nurse/core/ground';
import { firstLetters } from '../shared/first-letters';
import { placeKindWords } from '../shared/words';

interface Feature {
  readonly type: 'Feature';
  readonly id?: string | number;
  readonly properties: Readonly<Record<string, unknown>> | null;
  readonly geometry: { readonly type: string; readonly coordinates: unknown } | null;
}

/** Something on the plan that goes out. */
export interface PlanFeature {
  readonly id: string;
  readonly shape: PlanShape;
  readonly properties: Readonly<Record<string, unknown>>;
}

/** A place that came in: with the id of a place that is there already, or new. */
export interface IncomingPlace {
  readonly id: string | null;
  readonly name: string;
  readonly kind: Place['kind'] | null;
  readonly shape: Shape;
  /** what grows there, by a name of the plant */
  readonly plant: string | null;
  /** of a planting: the id of its place */
  readonly place: string | null;
}

const round = (value: number) => Math.round(value * 1000) / 1000;
const metresPerDegree = 111_320;
const mostFeatures = 2000;

/**
 * The plan as GeoJSON (RFC 7946 but for its coordinates, which are metres east and north of the plan's origin; a member says so).
 * A drawn shape is kept beside its polygon, so that it comes back as it was.
 */
export function toGeoJson(features: readonly PlanFeature[]): object {
  return {
    type: 'FeatureCollection',
    coordinates: 'local-metres',
    features: features.map(({ id, shape, properties }) => {
      const ring = corners(shape).map(({ x, y }) => [round(x), round(-y)]);
      return {
        type: 'Feature',
        id,
        properties: { ...properties, shape },
        geometry: { type: 'Polygon', coordinates: [[...ring, ring[0]]] },
      };
    }),
  };
}

/** Why a file is not taken, in words for the gardener. */
export class NotAPlan extends Error {}

/**
 * Places out of a GeoJSON file: local metres, or degrees, which are laid flat round the first point. Points and lines are passed over.
 *
 * @throws NotAPlan
 */
export function fromGeoJson(text: string): IncomingPlace[] {
  const file = parse(text);
  const features = file.type === 'FeatureCollection' ? file.features : file.type === 'Feature' ? [file as unknown as Feature] : undefined;
  if (!Array.isArray(features)) throw new NotAPlan('This is JSON, but no GeoJSON: it has no features.');
  if (features.length > mostFeatures) throw new NotAPlan(`It holds ${features.length} features; up to ${mostFeatures} can be read.`);
  const rings = features.flatMap((feature) => outerRings(feature).map((ring) => ({ feature, ring })));
  if (rings.length > mostFeatures) throw new NotAPlan(`It holds ${rings.length} areas; up to ${mostFeatures} can be read.`);
  if (rings.length === 0) throw new NotAPlan('No area was found in it: a place is a Polygon.');
  const flat = file.coordinates === 'local-metres' ? ([x, y]: Position) => [x, 0 - y] as const : projection(rings[0]!.ring[0]!);
  return rings.map(({ feature, ring }, i) => {
    const { properties } = feature;
    const given = properties?.['name'];
    const text = (key: string) => (typeof properties?.[key] === 'string' ? properties[key] : null);
    const name = (typeof given === 'string' && firstLetters(given.trim(), 120)) || `Place ${i + 1}`;
    return {
      id: typeof feature.id === 'string' ? feature.id : null,
      name,
      kind: kindOf(properties?.['kind']),
      shape: shapeOf(properties?.['shape'], ring.map(flat)),
      plant: text('host') ?? text('plant') ?? text('crop'),
      place: text('place'),
    };
  });
}

type Position = readonly [number, number];

function parse(text: string): { type?: string; features?: Feature[]; coordinates?: string } {
  try {
    const value: unknown = JSON.parse(text);
    if (value && typeof value === 'object') return value;
  } catch {
    // told below
  }
  throw new NotAPlan('This file is not JSON. Nothing was changed.');
}

function outerRings(feature: Feature | null): Position[][] {
  const { type, coordinates } = feature?.geometry ?? {};
  const polygons =
    type === 'Polygon' ? [coordinates] : type === 'MultiPolygon' && Array.isArray(coordinates) ? (coordinates as unknown[]) : [];
  return polygons.flatMap((polygon) => {
    const ring = (polygon as unknown[])?.[0];
    if (!Array.isArray(ring)) return [];
    const points = ring
      .filter((point): point is Position => Array.isArray(point) && Number.isFinite(point[0]) && Number.isFinite(point[1]))
      .slice(0, 200);
    const closed = points.length > 1 && points[0]![0] === points.at(-1)![0] && points[0]![1] === points.at(-1)![1];
    const open = closed ? points.slice(0, -1) : points;
    return open.length >= 3 ? [open] : [];
  });
}

/** Degrees to metres round a point: enough for a garden. */
function projection([lon0, lat0]: Position): (position: Position) => Position {
  const east = metresPerDegree * Math.cos((lat0 * Math.PI) / 180);
  return ([lon, lat]) => [round((lon - lon0) * east), round((lat0 - lat) * metresPerDegree)];
}

const kindOf = (value: unknown) => (typeof value === 'string' && Object.hasOwn(placeKindWords, value) ? (value as Place['kind']) : null);

function shapeOf(kept: unknown, ring: readonly Position[]): Shape {
  const shape = kept as Shape | undefined;
  const sound =
    (shape?.kind === 'rectangle' && [shape.x, shape.y, shape.width, shape.depth, shape.turn].every(Number.isFinite)) ||
    (shape?.kind === 'circle' && [shape.x, shape.y, shape.radius].every(Number.isFinite));
  return sound ? shape : { kind: 'outline', points: ring.map(([x, y]) => [x, y]) };
}
