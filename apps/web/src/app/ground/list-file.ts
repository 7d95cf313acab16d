import type { Shape } from '@field-nurse/contract';
import type { Host } from '@field-nurse/library';
import { readCells, readList } from '@field-nurse/library/list';
import type { ListedPlanting } from '@field-nurse/library/list';
import { parse } from 'papaparse';
import { fromGeoJson } from './geojson';

/** A list of what grows, out of words, a table or a plan. */
export interface ReadFile {
  readonly listed: readonly ListedPlanting[];
  /** shapes of places, by their name; those in which nothing is listed are made as well */
  readonly shapes: ReadonlyMap<string, Shape>;
}

const columns = {
  plant: ['plant', 'plants', 'crop', 'host', 'species', 'vegetable', 'name', 'what'],
  cultivar: ['cultivar', 'variety', 'sort', 'kind'],
  plants: ['number', 'count', 'how many', 'quantity', 'qty', 'n', 'no'],
  place: ['place', 'bed', 'location', 'where', 'field', 'area'],
} as const;

/**
 * Read what somebody pasted or chose as a file: a plan in GeoJSON, a table with a head line that names a column for the plant, or plain words.
 *
 * @throws NotAPlan for JSON that is no plan
 */
export function readListFile(hosts: readonly Host[], text: string): ReadFile {
  if (/^\s*\{/.test(text)) return readPlan(hosts, text);
  const { data } = parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => columnOf(head) ?? head,
  });
  const isTable = data.length > 0 && 'plant' in data[0]! && Object.keys(data[0]).length > 1;
  return {
    listed: isTable ? data.flatMap((row) => (row['plant']?.trim() ? [readRow(hosts, row)] : [])) : readList(hosts, text),
    shapes: new Map(),
  };
}

const columnOf = (head: string) =>
  (Object.keys(columns) as (keyof typeof columns)[]).find((column) =>
    (columns[column] as readonly string[]).includes(head.trim().toLowerCase()),
  );

const readRow = (hosts: readonly Host[], { plant = '', cultivar, plants, place }: Partial<Record<keyof typeof columns, string>>) =>
  readCells(hosts, { plant, ...(cultivar && { cultivar }), ...(plants && { plants }), ...(place && { place }) });

/** Areas of a plan are places, or plantings in one of them; a place that says what grows in it is both. */
function readPlan(hosts: readonly Host[], text: string): ReadFile {
  const features = fromGeoJson(text);
  const places = features.filter(({ place }) => !place);
  const listed = features.flatMap(({ name, plant, place }): ListedPlanting[] => {
    const at = place ? places.find(({ id }) => id === place)?.name : name;
    return plant ? [readCells(hosts, { plant, ...(at && { place: at }) })] : [];
  });
  return { listed, shapes: new Map(places.map(({ name, shape }) => [name, shape])) };
}
