import type { Place } from '@field-nurse/contract';
import { centreOf, layOutIn, layOutUndrawn } from '@field-nurse/core/ground';
import type { PlanShape, Point } from '@field-nurse/core/ground';
import type { Planting } from './plantings-now';

// A place that says neither its shape nor its area is drawn as this much.
const usualAreaM2 = 6;

/** Where everything lies on the ground plan on one day. */
export interface PlanShapes {
  readonly places: ReadonlyMap<string, PlanShape>;
  readonly plantings: ReadonlyMap<string, PlanShape>;
}

/** Whether a planting stood on this day. */
export const growingOn = (day: string, { plantedOn, endedOn }: Pick<Planting, 'plantedOn' | 'endedOn'>): boolean =>
  plantedOn <= day && (!endedOn || endedOn > day);

/** Whether a place was in use on this day. */
export const usedOn = (day: string, { endedOn }: Pick<Place, 'endedOn'>): boolean => !endedOn || endedOn > day;

/** Shapes as drawn; what was not drawn yet is laid out: places below the others, plantings side by side in their place. */
export function planShapes(places: readonly Place[], plantings: readonly Planting[], day: string): PlanShapes {
  const used = places.filter((place) => usedOn(day, place));
  const drawn = used.flatMap(({ shape }) => (shape ? [shape] : []));
  const laid = layOutUndrawn(
    used.filter(({ shape }) => !shape).map(({ id, areaM2 }) => ({ id, areaM2: areaM2 ?? usualAreaM2 })),
    drawn,
  );
  const placeShapes = new Map<string, PlanShape>(used.map(({ id, shape }) => [id, shape ?? laid.get(id)!]));
  const plantingShapes = new Map<string, PlanShape>();
  const growing = plantings.filter((planting) => growingOn(day, planting));
  for (const [placeId, placeShape] of placeShapes) {
    const own = growing
      .filter((planting) => planting.placeId === placeId)
      .sort((a, b) => a.plantedOn.localeCompare(b.plantedOn) || a.id.localeCompare(b.id));
    const beside = layOutIn(
      placeShape,
      own.filter(({ shape }) => !shape).map(({ id, plants }) => ({ id, weight: Math.sqrt(plants) + 2 })),
    );
    for (const { id, shape } of own) plantingShapes.set(id, shape ?? beside.get(id)!);
  }
  return { places: placeShapes, plantings: plantingShapes };
}

/** The middle of a planting on the plan; none where it does not lie on it. */
export function middleOf(shapes: PlanShapes, plantingId: string): Point | null {
  const shape = shapes.plantings.get(plantingId);
  return shape ? centreOf(shape) : null;
}
