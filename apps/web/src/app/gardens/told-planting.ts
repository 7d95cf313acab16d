import type { GardenSettings, Written } from '@field-nurse/contract';
import type { Host } from '@field-nurse/library';
import type { Neighbour } from '@field-nurse/library/assumed';
import { assumedPlanting } from '@field-nurse/library/assumed';
import { cultivarIn } from '@field-nurse/library/find';
import { firstPlaces } from '@field-nurse/library/list';
import type { Planting } from './plantings-now';

type Setting = Planting['setting'];
type PlaceValue = Written<'places'>;

/** The settings of somebody's first garden, before anything was asked: all can be changed, and what they decide is judged again then. */
export const firstGarden = (person: string, timeZone: string): GardenSettings => ({
  name: `${person.split(' ')[0]}’s garden`.slice(0, 120),
  timeZone,
  latitude: null,
  longitude: null,
  units: 'metric',
  stance: 'organic',
  region: 'neutral',
  seasonStart: null,
  notListed: [],
  schools: [],
  weatherStation: null,
});

/** The place where a plant of this setting stands, as far as nobody says which. */
export const placeOf = <P extends { readonly setting: Setting; readonly endedOn: string | null }>(
  places: readonly P[],
  setting: Setting,
): P | undefined => places.find((place) => place.setting === setting && !place.endedOn);

export const firstPlace = (setting: Setting): PlaceValue => ({
  ...firstPlaces[setting],
  areaM2: null,
  light: null,
  shape: null,
  note: '',
  endedOn: null,
});

/** What somebody said of a planting: beside its name, in their words, by where it stands, and by putting right what was taken for granted. */
export interface Told {
  readonly beside: string;
  readonly words: string;
  readonly place?: { readonly name: string; readonly setting: Setting } | undefined;
  readonly neighbours?: readonly Neighbour[] | undefined;
  readonly setting?: Setting | null | undefined;
  readonly eaten?: boolean | null | undefined;
  readonly inFlower?: boolean | null | undefined;
  readonly picked?: boolean | null | undefined;
}

/** What that comes to: each fact as it was said, or as it is assumed; and which of them nobody has said. */
export function factsTold(host: Host, { beside, words, place, neighbours, setting, eaten, inFlower, picked }: Told) {
  const facts = assumedPlanting(host, { beside, words, place, neighbours });
  const unsaid = ({ by }: { readonly by: string }) => by === 'guess' || by === 'neighbours';
  const assumed = {
    setting: !setting && (facts.setting.by === 'plant' || facts.setting.by === 'neighbours'),
    eaten: eaten == null && unsaid(facts.eaten),
    inFlower: inFlower == null && unsaid(facts.inFlower),
    // That nobody picks it now is not taken for granted: the next harvest is asked where it decides.
    picked: picked == null && facts.picked.by === 'neighbours',
    plants: facts.plants.by === 'guess',
    plantedOn: !facts.young.value,
  };
  return {
    beside,
    setting: setting ?? facts.setting.value,
    eaten: eaten ?? facts.eaten.value,
    inFlower: inFlower ?? facts.inFlower.value,
    picked: picked ?? facts.picked.value,
    plants: facts.plants.value,
    assumed: (Object.keys(assumed) as (keyof typeof assumed)[]).filter((fact) => assumed[fact]),
  };
}

/** A planting as it is known from a plant's name and a few words. */
export function toldPlanting(
  host: Pick<Host, 'id'>,
  placeId: string,
  on: string,
  told: {
    readonly beside: string;
    readonly setting: Setting;
    readonly eaten: boolean;
    readonly inFlower: boolean;
    readonly picked: boolean;
    readonly plants: number;
    /** what of it nobody has said */
    readonly assumed: Written<'plantings'>['assumed'];
  },
): Written<'plantings'> {
  return {
    host: host.id,
    cultivar: cultivarIn(told.beside),
    placeId,
    setting: told.setting,
    eaten: told.eaten,
    plants: told.plants,
    rows: 1,
    plantedOn: on,
    events: [
      ...(told.inFlower ? [{ kind: 'flowering', on, until: null } as const] : []),
      ...(told.picked && told.eaten ? [{ kind: 'harvest', on, until: null } as const] : []),
    ],
    shape: null,
    quarantine: null,
    assumed: told.assumed,
    note: '',
  };
}
