import { computed, inject, Injectable } from '@angular/core';
import { susceptibility } from '@field-nurse/core/diagnosis';
import { boundsOf, collectionsOf, planArea, warmSpell } from '@field-nurse/core/ground';
import { generationDays } from '@field-nurse/core/season';
import { dayAt } from '@field-nurse/core/timing';
import { groups, mean } from 'd3';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { Library } from '../library/library';
import { GardenWeather } from '../weather/garden-weather';
import { Scouting } from './scouting';

// Rooms and glass, and pots in a crowd: air, hands and pests are shared there.
const sharedKinds: ReadonlySet<string> = new Set(['room', 'tunnel', 'greenhouse', 'bench', 'windowsill', 'trough', 'pots']);
const fewestPlantings = 2;
// Of a heated room nobody measures it here.
const roomC = 20;
const wholeDay = 20;

/** Plants that share a room, a shelf or a crowd of pots, as one thing to look at. */
export interface Collection {
  /** of the outermost place */
  readonly id: string;
  readonly name: string;
  readonly indoor: boolean;
  /** clean ones first */
  readonly plantings: readonly Planting[];
  readonly plants: number;
  /** that they stand on, and its depth; nothing where it is not drawn and has no area */
  readonly areaM2: number | null;
  readonly depthM: number | null;
}

/** A pest that what stands there may get, and how fast it is at the warmth there. */
export interface Waker {
  readonly condition: string;
  readonly days: number;
}

/** The collections of the open garden. */
@Injectable({ providedIn: 'root' })
export class Collections {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #scouting = inject(Scouting);
  readonly #weather = inject(GardenWeather);

  readonly all = computed<readonly Collection[]>(() => {
    const shapes = this.#scouting.shapes().places;
    const places = this.#garden.places().filter(({ endedOn }) => !endedOn);
    const groups = collectionsOf(
      places.map(({ id, kind, shape }) => ({ id, isShared: sharedKinds.has(kind), shape: shape ? (shapes.get(id) ?? null) : null })),
    );
    return [...groups].flatMap(([id, ids]): Collection[] => {
      const place = this.#garden.place(id)!;
      const own = this.#garden.plantings().filter((planting) => !planting.endedOn && ids.includes(planting.placeId));
      if (own.length < fewestPlantings) return [];
      const order = this.#scouting.together(own.map((planting) => planting.id));
      // Plants stand on the shelves of a room, not on its floor, where it has some.
      const used = places.filter((one) => own.some(({ placeId }) => placeId === one.id));
      const areas = used.map(({ areaM2, shape }) => areaM2 ?? (shape ? planArea(shape) : null));
      const depths = used.map(({ areaM2, shape }) => (shape ? depthOf(boundsOf(shape)) : areaM2 ? Math.sqrt(areaM2) : null));
      return [
        {
          id,
          name: place.name,
          indoor: place.setting === 'indoor',
          plantings: order.flatMap((one) => this.#garden.planting(one) ?? []),
          plants: own.reduce((sum, { plants }) => sum + plants, 0),
          areaM2: areas.includes(null) ? null : areas.reduce<number>((sum, area) => sum + area!, 0),
          depthM: depths.includes(null) ? null : Math.max(...depths.map((depth) => depth!)),
        },
      ];
    });
  });

  /** Mean warmth there: of the last days outdoors, of a room as rooms are. */
  warmthOf({ indoor }: Collection): number | null {
    if (indoor) return roomC;
    const warm = this.#weather.measured().flatMap(({ temperatureC }) => temperatureC ?? []);
    return warm.length === 0 ? null : warm.reduce((sum, one) => sum + one, 0) / warm.length;
  }

  /** The warm spell that the forecast tells; none in a room, whose warmth nobody measures here. */
  spellOf(one: Collection): { readonly day: string; readonly meanC: number } | null {
    const lately = one.indoor ? null : this.warmthOf(one);
    if (lately === null) return null;
    const { timeZone } = this.#garden.summary();
    const days = groups(this.#weather.forecast(), ({ at }) => dayAt(at, timeZone)).flatMap(([day, hours]) => {
      const meanC = mean(hours, ({ temperatureC }) => temperatureC);
      // Part of a day says nothing of its mean.
      return meanC === undefined || hours.length < wholeDay ? [] : [{ day, meanC }];
    });
    return warmSpell(days, lately);
  }

  /** Pests that what stands there may get, the fastest first. */
  wakers({ plantings }: Collection, meanC: number): readonly Waker[] {
    const hosts = plantings.flatMap(({ host }) => this.#library.hosts().get(host) ?? []);
    const models = this.#library.index()?.seasonModels ?? [];
    return models
      .flatMap((model): Waker[] => {
        if (model.kind !== 'pest') return [];
        const days = generationDays(model.stages, meanC);
        if (days === null) return [];
        return model.conditions
          .flatMap((id) => this.#library.conditions().get(id) ?? [])
          .filter((condition) => hosts.some((host) => ['often', 'sometimes'].includes(susceptibility(condition, host))))
          .map(({ id }) => ({ condition: id, days: Math.round(days) }));
      })
      .sort((a, b) => a.days - b.days);
  }
}

/** From the open side to the back: the shorter way across. */
const depthOf = ({ left, right, top, bottom }: { left: number; right: number; top: number; bottom: number }) =>
  Math.min(right - left, bottom - top);
