import type { ListedRecord } from '@field-nurse/contract';
import { seasonOf } from '@field-nurse/core/timing';
import { v5 } from 'uuid';
import { assumedPlanting } from '../assumed/assumedPlanting.js';
import type { Host } from '../entries.js';
import { firstPlaces } from '../list/firstPlace.js';
import { placeNamed } from '../list/placeNamed.js';
import type { NamedPlace } from '../list/placeNamed.js';
import { fold } from '../names/words.js';

/** What stands in the garden that a list is brought into. */
export interface StandingPlace {
  readonly id: string;
  readonly name: string;
  readonly setting: NamedPlace['setting'];
}
export interface StandingPlanting {
  readonly id: string;
  readonly host: string;
  readonly placeId: string;
  readonly cultivar: string;
  readonly plantedOn: string;
  readonly endedOn: string | null;
  readonly plants: number;
}

/** What a row says of where it was. */
export interface Whereabouts {
  readonly host: Host;
  readonly place: string;
  readonly cultivar: string;
  readonly plants: number | null;
  readonly day: string;
}

/** The planting that a row speaks of, and what must be made for it; or why there is none. */
export type Stood = { readonly id: string; readonly plants: number; readonly made: readonly ListedRecord[] } | { readonly text: string };

/** These stand for years; what is sown or planted each year gets a planting for each season. */
const lasts = ({ deciduous, habit, kind }: Host) => deciduous || habit === 'tree' || kind === 'houseplant';

/**
 * Finds the planting that a row of a list speaks of, and makes those that the garden does not know: one for each plant, place and season, from the
 * season's first day to its last, or from the first row on for what stands for years. Ids follow from what is made, so that the same list makes
 * the same plantings again.
 */
export class Standing {
  readonly #places: StandingPlace[];
  readonly #byHost = new Map<string, StandingPlanting[]>();
  readonly #made = new Map<string, { readonly id: string; readonly plants: number }>();
  /** first days of what stands for years, by planting */
  readonly firstDays: Map<string, string>;
  readonly #garden: { readonly id: string; readonly seasonStart: string; readonly today: string };

  constructor(
    garden: { readonly id: string; readonly seasonStart: string; readonly today: string },
    places: readonly StandingPlace[],
    plantings: readonly StandingPlanting[],
    firstDays: ReadonlyMap<string, string> = new Map(),
  ) {
    this.#garden = garden;
    this.#places = [...places];
    this.firstDays = new Map(firstDays);
    for (const one of plantings) this.#byHost.set(one.host, [...(this.#byHost.get(one.host) ?? []), one]);
  }

  plantingOf(told: Whereabouts): Stood {
    const place = told.place === '' ? undefined : this.#places.find(({ name }) => fold(name) === fold(told.place));
    const stood = (this.#byHost.get(told.host.id) ?? []).filter(
      ({ plantedOn, endedOn, placeId, cultivar }) =>
        plantedOn <= told.day &&
        (endedOn === null || told.day <= endedOn) &&
        (told.place === '' || placeId === place?.id) &&
        (told.cultivar === '' || cultivar === '' || fold(cultivar) === fold(told.cultivar)),
    );
    const [one] = stood;
    if (one && new Set(stood.map(({ placeId }) => placeId)).size > 1)
      return { text: `stood in ${stood.length} places then. A column for the place says which.` };
    if (one) return { id: one.id, plants: one.plants, made: [] };
    return this.#make(told, place);
  }

  #make({ host, place: placeName, cultivar, plants, day }: Whereabouts, known: StandingPlace | undefined): Stood {
    const { id: gardenId, seasonStart, today } = this.#garden;
    const season = seasonOf(day, seasonStart);
    const facts = assumedPlanting(host, { place: known && { name: known.name, setting: known.setting } });
    const named: NamedPlace =
      placeName === '' ? firstPlaces[facts.setting.value] : (placeNamed(placeName) ?? { name: placeName, kind: 'bed', setting: 'outdoor' });
    const standing = known ?? this.#places.find(({ name }) => fold(name) === fold(placeName === '' ? named.name : placeName));
    const placeId = standing?.id ?? v5(`place ${fold(placeName || named.name)}`, gardenId);
    const key = `planting ${host.id} ${placeId} ${fold(cultivar)} ${lasts(host) ? 'lasting' : season.from}`;
    const first = this.firstDays.get(key);
    if (!first || day < first) this.firstDays.set(key, day);
    const before = this.#made.get(key);
    if (before) return { ...before, made: [] };
    const made: ListedRecord[] = [];
    if (!standing) {
      const name = (placeName || named.name).slice(0, 120);
      this.#places.push({ id: placeId, name, setting: named.setting });
      made.push({
        subject: 'places',
        record: placeId,
        value: { name, kind: named.kind, setting: named.setting, areaM2: null, shape: null, light: null, note: '', endedOn: null },
      });
    }
    const id = v5(key, gardenId);
    const count = plants ?? facts.plants.value;
    const from = lasts(host) ? seasonOf(this.firstDays.get(key)!, seasonStart).from : season.from;
    made.push({
      subject: 'plantings',
      record: id,
      value: {
        placeId,
        setting: standing?.setting ?? named.setting,
        host: host.id,
        cultivar: cultivar.slice(0, 120),
        plants: count,
        rows: 1,
        shape: null,
        plantedOn: from,
        eaten: facts.eaten.value,
        events: !lasts(host) && season.to < today ? [{ kind: 'ended', on: season.to }] : [],
        quarantine: null,
        assumed: ['setting', 'eaten', 'plantedOn', ...(plants === null ? (['plants'] as const) : [])],
        note: 'From a list that was brought in.',
      },
    });
    this.#made.set(key, { id, plants: count });
    return { id, plants: count, made };
  }
}
