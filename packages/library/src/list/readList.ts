import type { Host } from '../entries.js';
import { cultivarIn } from '../names/cultivarIn.js';
import { findNamed } from '../names/findNamed.js';
import type { Found } from '../names/findNamed.js';
import { nearNames } from '../names/nearNames.js';
import { fold } from '../names/words.js';
import { placeNamed } from './placeNamed.js';
import type { NamedPlace } from './placeNamed.js';

/** One planting out of a list, as far as it was understood. */
export interface ListedPlanting {
  /** the words that it was read from */
  readonly text: string;
  /** id of the plant; nothing where no name was understood */
  readonly host: string | undefined;
  /** plants that it may be as well, or that are called nearly so */
  readonly couldBe: readonly string[];
  readonly cultivar: string;
  readonly plants: number;
  readonly rows: number;
  /** false where nobody said how many there are */
  readonly counted: boolean;
  /** nothing where none was named */
  readonly place: NamedPlace | undefined;
}

/** What a line of a table says of a planting, column by column. */
export interface ListedCells {
  readonly plant: string;
  readonly cultivar?: string;
  readonly plants?: string;
  readonly place?: string;
}

const mostPlants = 100_000;
const mostRows = 1000;
const mostItems = 500;
const numberWords = new Map(
  [...'one two three four five six seven eight nine ten eleven twelve'.split(' ').map((word, i) => [word, i + 1] as const)].concat([
    ['a', 1],
    ['an', 1],
    ['couple', 2],
    ['dozen', 12],
    ['twenty', 20],
    ['thirty', 30],
    ['forty', 40],
    ['fifty', 50],
    ['hundred', 100],
  ]),
);
const bullet = /^\s*(?:[-*•–—]|\d{1,3}[.)])\s+/u;
const counted = /^\s*(?:about|around|some|ca\.?|approx\.?)?\s*(\d{1,6})\s*(?:x|×)?\s*(?=[\p{L}'"])/iu;
// Behind the plant, before where it stands.
const countedBehind = /(?<=\p{L}['"’)]?)\s*(?:\sx|×|\(|\s)\s*(\d{1,6})\s*\)?\s*$/iu;
const measure =
  /^(?:(rows?|lines?)|plants?|(?:seed\s+)?trays?|pots?|bags?|heads?|bushes|sets|modules?|metres?|meters?|m|yards?|feet|ft)\s+(?:of\s+)?(?=\p{L})(?!(?:in|on|at|under|along|by|against|inside)\s)/iu;
const placed = /\s(?:in|on|at|up|under|along|by|against|inside)\s+(?:the\s+|my\s+|our\s+|an?\s+)?\S.*$/iu;
const noPlace =
  /^\s*(?:in|on|at|under|along|by|against|inside)\s+(?:full\s+)?(?:flower|bloom|blossom|fruit|leaf|rows?|lines?|a row|seed)\b/iu;
const plainPots = /^(?:pots?|plants?|houseplants?)$/iu;

/**
 * Read a list of what grows, as one writes it: a line or a comma for each, with numbers, varieties and places ("3 tomatoes Ferry Red in the
 * tunnel, 40 leeks, 9 pots on the sill"). A heading ("Tunnel:") says the place of what follows it.
 *
 * @param hosts - the plants that there are
 * @returns in the order of the list, 500 at most; what was not understood has no host
 */
export function readList(hosts: readonly Host[], text: string): ListedPlanting[] {
  let place: NamedPlace | undefined;
  const listed: ListedPlanting[] = [];
  for (const line of text.split(/\r?\n/)) {
    if (listed.length >= mostItems) break;
    const { heading, rest } = headed(line.replace(bullet, ''));
    if (heading !== undefined) place = placeNamed(heading) ?? nameOnly(heading);
    else if (line.trim() === '') continue;
    // A heading alone on its line holds for the lines below it; before something, for that line.
    for (const item of itemsOf(hosts, rest)) listed.push(readItem(hosts, item, place));
    if (heading !== undefined && rest.trim() !== '') place = undefined;
  }
  return listed.slice(0, mostItems);
}

/** Read one line of a table. */
export function readCells(hosts: readonly Host[], { plant, cultivar = '', plants = '', place = '' }: ListedCells): ListedPlanting {
  const read = readItem(hosts, plant, undefined);
  const count = /\d{1,6}/.exec(plants)?.[0];
  return {
    ...read,
    cultivar: cultivar.trim().slice(0, 120) || read.cultivar,
    plants: count ? atMost(mostPlants, Number(count)) : read.plants,
    counted: count !== undefined || read.counted,
    place: place.trim() === '' ? read.place : (placeNamed(place) ?? nameOnly(place)),
  };
}

function headed(line: string): { heading?: string; rest: string } {
  const hash = /^\s*#+\s*(.+)$/u.exec(line);
  if (hash) return { heading: hash[1]!.replace(/:\s*$/, ''), rest: '' };
  const colon = /^([^:,]{2,60}):(.*)$/u.exec(line);
  return colon ? { heading: colon[1]!, rest: colon[2]! } : { rest: line };
}

/** The things that one line lists: each names a plant or counts something; what does neither belongs to the one before it. */
function itemsOf(hosts: readonly Host[], line: string): string[] {
  const parts = line
    .split(/[;,\t]|\s(?:and|&|plus)\s/iu)
    .map((part) => part.trim())
    .filter(Boolean);
  const items: string[] = [];
  for (const part of parts) {
    const { count, name } = countOf(part);
    const host = name === '' ? undefined : findNamed(hosts, withoutPlace(name))?.entry;
    // "Front border" is a place behind a plant, though any ornamental is called so, too.
    const isPlace = placeNamed(part) !== undefined && (!host || host.family === 'mixed');
    const begins = items.length === 0 || (count !== undefined && name !== '') || (host !== undefined && !isPlace);
    if (begins) items.push(part);
    else
      items[items.length - 1] += /^\d+$/.test(part)
        ? ` x ${part}`
        : placeNamed(part) && !/^(?:in|on|at|under)\s/i.test(part)
          ? ` in ${part}`
          : ` ${part}`;
  }
  return items;
}

function readItem(hosts: readonly Host[], text: string, heading: NamedPlace | undefined): ListedPlanting {
  const { count, rows, name } = countOf(text);
  const phrase = placed.exec(` ${name}`)?.[0] ?? '';
  const place = phrase && !noPlace.test(phrase) ? (placeNamed(phrase) ?? nameOnly(phrase)) : heading;
  const words = withoutPlace(name);
  const found = findNamed(hosts, plainPots.test(words) ? 'houseplant' : words);
  const plants = atMost(mostPlants, Math.max(count ?? 1, rows));
  return {
    text: text.trim(),
    host: found?.entry.id,
    couldBe: found
      ? found.couldBe.map(({ id }) => id)
      : nearNames(hosts, words)
          .map(({ id }) => id)
          .slice(0, 3),
    cultivar: found ? cultivarIn(beside(hosts, found)).slice(0, 120) : '',
    plants,
    rows: Math.min(atMost(mostRows, rows), plants),
    counted: count !== undefined && rows === 1,
    place,
  };
}

/** What was typed beside the name, without what is only a slip of it. */
const beside = (hosts: readonly Host[], { entry, qualifier }: Found<Host>) =>
  qualifier
    .split(/\s+/)
    .filter((word) => !/^\p{Ll}/u.test(word) || findNamed(hosts, word)?.entry.id !== entry.id)
    .join(' ');

const withoutPlace = (name: string) => ` ${name}`.replace(placed, '').trim();

/** How many are counted, in how many rows, and the words that are left. */
function countOf(text: string): { count: number | undefined; rows: number; name: string } {
  let name = text.trim();
  let count: number | undefined;
  const where = placed.exec(` ${name}`)?.[0] ?? '';
  const head = name.slice(0, name.length - where.length).trim();
  const [front, behind] = [counted.exec(name), countedBehind.exec(head)];
  const [word, ...others] = name.replace(/^an?\s+(?=(?:dozen|couple|hundred)\b)/i, '').split(/\s+/);
  if (front) [count, name] = [Number(front[1]), name.slice(front[0].length)];
  else if (behind) [count, name] = [Number(behind[1]), `${head.slice(0, behind.index).trim()}${where}`];
  else if (/^\d{1,6}$/.test(name)) [count, name] = [Number(name), ''];
  else if (numberWords.has(fold(word ?? '')))
    [count, name] = [numberWords.get(fold(word!))!, others.join(' ').replace(/^(?:of|dozen)\s+/i, '')];
  const unit = measure.exec(name);
  if (!unit) return { count, rows: 1, name };
  const left = name.slice(unit[0].length);
  // "2 rows of leeks" are counted in rows; "6 m of hedge" in metres, which are no plants.
  if (unit[1]) return { count: undefined, rows: Math.max(1, count ?? 1), name: left };
  return /^(?:m|met|meter|yard|feet|ft)/i.test(unit[0]) ? { count: undefined, rows: 1, name: left } : { count, rows: 1, name: left };
}

const nameOnly = (words: string): NamedPlace | undefined => {
  const name = words.replace(/^\s*(?:in|on|at|under|along|by|against|inside)?\s*(?:the|my|our|an?)?\s+/iu, '').trim();
  return name === '' ? undefined : { name: (name[0]!.toUpperCase() + name.slice(1)).slice(0, 120), kind: 'bed', setting: 'outdoor' };
};

const atMost = (most: number, value: number) => Math.min(most, Math.max(1, value));
