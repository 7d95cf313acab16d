import type { Place, Shape } from '@field-nurse/contract';
import { planArea } from '@field-nurse/core/ground';
import type { Host } from '@field-nurse/library';
import { placeNamed } from '@field-nurse/library/list';
import type { ListedPlanting } from '@field-nurse/library/list';
import type { WrittenRecord } from '../gardens/records';
import { factsTold, firstPlace, toldPlanting } from '../gardens/told-planting';

/** A planting of the list as it will be made: as it was read, and put right since. */
export interface ListRow {
  /** of the planting that it becomes */
  readonly id: string;
  readonly text: string;
  readonly host: string | null;
  readonly couldBe: readonly string[];
  readonly cultivar: string;
  readonly plants: number;
  readonly rows: number;
  readonly counted: boolean;
  /** name of its place; empty: by the kind of plant */
  readonly place: string;
}

const folded = (name: string) => name.trim().toLowerCase();

/** Rows of what was read. A line that is there as before keeps what was put right in it. */
export function rowsOf(listed: readonly ListedPlanting[], before: readonly ListRow[]): ListRow[] {
  const known = [...before];
  return listed.map(({ text, host, place, ...read }) => {
    const at = known.findIndex((row) => row.text === text);
    if (at >= 0) return known.splice(at, 1)[0]!;
    return { id: crypto.randomUUID(), text, host: host ?? null, place: place?.name ?? '', ...read };
  });
}

/** The place that a row lies in, before it is there: its name, kind and setting. */
export function placeOfRow(row: ListRow, host: Host | undefined, places: readonly Place[]): Pick<Place, 'name' | 'kind' | 'setting'> {
  const there = places.find(({ name, endedOn }) => !endedOn && folded(name) === folded(row.place));
  if (there) return there;
  const byPlant = host ? firstPlace(factsTold(host, { beside: row.text, words: '' }).setting) : firstPlace('outdoor');
  if (row.place.trim() === '') return places.find(({ name }) => folded(name) === folded(byPlant.name)) ?? byPlant;
  const named = placeNamed(row.place);
  return { name: row.place.trim(), kind: named?.kind ?? 'bed', setting: named?.setting ?? 'outdoor' };
}

/** What is to be made of the rows whose plant is known: places that are not there yet, and then the plantings in them. */
export function recordsOf(
  rows: readonly ListRow[],
  shapes: ReadonlyMap<string, Shape>,
  {
    hosts,
    places,
    today,
    placeId,
  }: { hosts: ReadonlyMap<string, Host>; places: readonly Place[]; today: string; placeId: (name: string) => string },
): WrittenRecord[] {
  const ids = new Map(places.filter(({ endedOn }) => !endedOn).map(({ id, name }) => [folded(name), id]));
  const made: WrittenRecord[] = [];
  const idOf = ({ name, kind, setting }: Pick<Place, 'name' | 'kind' | 'setting'>): string => {
    const known = ids.get(folded(name));
    if (known) return known;
    const [id, shape] = [placeId(name), shapes.get(name) ?? null];
    ids.set(folded(name), id);
    const areaM2 = shape && Math.round(planArea(shape) * 100) / 100;
    made.push({ subject: 'places', id, value: { name, kind, setting, areaM2, shape, light: null, note: '', endedOn: null } });
    return id;
  };
  for (const name of shapes.keys()) idOf({ kind: 'bed', setting: 'outdoor', ...placeNamed(name), name });
  const plantings = rows.flatMap((row): WrittenRecord[] => {
    const host = hosts.get(row.host ?? '');
    if (!host) return [];
    const place = placeOfRow(row, host, places);
    const told = factsTold(host, { beside: row.text, words: '', place });
    const assumed = told.assumed.filter((fact) => fact !== 'plants' || !row.counted);
    const value = toldPlanting(host, idOf(place), today, { ...told, setting: place.setting, plants: row.plants, assumed });
    return [{ subject: 'plantings', id: row.id, value: { ...value, cultivar: row.cultivar, rows: Math.min(row.rows, row.plants) } }];
  });
  return [...made, ...plantings];
}
