import type { AlmanacAnswer, Place } from '@field-nurse/contract';
import type { BedRest, GrewThere, RotationQuestion } from '@field-nurse/core/ground';
import { seasonOf } from '@field-nurse/core/timing';
import type { Host } from '@field-nurse/library';
import type { Planting } from '../gardens/plantings-now';

export interface RotationFacts {
  readonly plantings: readonly Planting[];
  readonly places: readonly Place[];
  readonly hosts: ReadonlyMap<string, Host>;
  readonly rests: readonly BedRest[];
  /** cases of all years: they tell what grew where before this device knew the plantings */
  readonly sights: AlmanacAnswer['sights'];
  readonly today: string;
  readonly seasonStart: string;
}

/** What stays where it is for years: it takes no part. */
const stays = ({ kind, habit, deciduous }: Host) =>
  kind === 'ornamental' || kind === 'houseplant' || kind === 'ground' || habit === 'tree' || deciduous;

/**
 * Next season's places as a question: the annual crops of this season, each for a bed of its own, with what grew where. Places of which nothing is known
 * take as many crops as they take now; what stands empty takes one.
 */
export function rotationQuestion({ plantings, places, hosts, rests, sights, today, seasonStart }: RotationFacts): RotationQuestion {
  const { from, to } = seasonOf(today, seasonStart);
  const year = Number(from.slice(0, 4));
  const crops = plantings.flatMap((planting) => {
    const host = hosts.get(planting.host);
    if (!host || stays(host) || planting.plantedOn < from || planting.plantedOn > to) return [];
    const place = places.find(({ id }) => id === planting.placeId);
    return place
      ? [
          {
            id: planting.id,
            family: host.family,
            placeId: place.id,
            setting: place.setting,
            areaM2: areaOf(place, plantings),
            bearsShade: host.bearsShade,
          },
        ]
      : [];
  });
  const used = new Set(crops.map(({ placeId }) => placeId));
  // Where something stands for years nothing moves in.
  const taken = new Set(
    plantings.filter(({ id, endedOn }) => !endedOn && !crops.some((one) => one.id === id)).map(({ placeId }) => placeId),
  );
  const beds = places.filter(({ id, endedOn, kind }) => !endedOn && (used.has(id) || (rotates.has(kind) && !taken.has(id))));
  const slots = beds.flatMap((place) => {
    const now = crops.filter(({ placeId }) => placeId === place.id).length;
    return Array.from({ length: Math.max(1, now) }, () => ({
      placeId: place.id,
      setting: place.setting,
      areaM2: areaOf(place, plantings),
      light: place.light,
    }));
  });
  const grew: GrewThere[] = [
    ...plantings.map(({ placeId, host, endedOn }) => ({
      placeId,
      host,
      on: endedOn && endedOn < today ? endedOn : today,
    })),
    ...sights.map(({ place, host, openedOn }) => ({ placeId: place, host, on: openedOn })),
  ].flatMap(({ placeId, host, on }) => {
    const family = hosts.get(host)?.family;
    return family ? [{ placeId, family, year: Number(on.slice(0, 4)) }] : [];
  });
  return { crops, slots, rests, grew, on: `${year + 1}${from.slice(4)}` };
}

const rotates = new Set<Place['kind']>(['bed', 'raised-bed']);

/** The part of a place that one crop has. */
function areaOf(place: Place, plantings: readonly Planting[]): number | null {
  if (place.areaM2 === null) return null;
  const here = plantings.filter(({ placeId, endedOn }) => placeId === place.id && !endedOn).length;
  return place.areaM2 / Math.max(1, here);
}
