import { wordsOf } from '../names/words.js';

/** A place as somebody speaks of it: "the old tunnel", "sill". */
export interface NamedPlace {
  readonly name: string;
  readonly kind:
    | 'room'
    | 'bed'
    | 'raised-bed'
    | 'tunnel'
    | 'greenhouse'
    | 'bench'
    | 'windowsill'
    | 'trough'
    | 'hedge'
    | 'wall'
    | 'pots'
    | 'heap'
    | 'store'
    | 'housing';
  readonly setting: 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic';
}

// The first that is met counts: "pots in the greenhouse" stand in the greenhouse.
const told: readonly (readonly [words: string, kind: NamedPlace['kind'], setting: NamedPlace['setting']])[] = [
  ['hydroponic hydroponics nft dwc gutter raft', 'trough', 'hydroponic'],
  ['tunnel polytunnel hoophouse', 'tunnel', 'greenhouse'],
  ['greenhouse glasshouse hothouse conservatory leanto lean coldframe frame cloche', 'greenhouse', 'greenhouse'],
  ['sill windowsill window ledge', 'windowsill', 'indoor'],
  ['bench staging', 'bench', 'greenhouse'],
  ['room kitchen bathroom bedroom lounge hall office desk shelf indoors inside house landing porch', 'room', 'indoor'],
  ['heap compost', 'heap', 'outdoor'],
  ['coop henhouse hutch stable barn byre sty', 'housing', 'outdoor'],
  ['store larder pantry cellar shed', 'store', 'indoor'],
  ['hedge', 'hedge', 'outdoor'],
  ['wall fence', 'wall', 'outdoor'],
  ['pot pots container containers tub tubs planter patio balcony terrace basket baskets window-box', 'pots', 'outdoor'],
  ['raised', 'raised-bed', 'outdoor'],
  [
    'bed border plot allotment field orchard garden row rows yard lawn outdoors outside veg vegetable patch strip terrace',
    'bed',
    'outdoor',
  ],
];

const leading = /^\s*(?:(?:in|on|at|under|along|by|against|into|inside)\s+)?(?:(?:the|my|our|a|an|some)\s+)*/i;

/** The place that words name, with its kind; nothing where they name none that is known by its words. */
export function placeNamed(words: string): NamedPlace | undefined {
  const name = words
    .replace(leading, '')
    .replace(/[\s:.,#*-]+$/u, '')
    .trim();
  if (name === '' || name.length > 120) return undefined;
  const own = new Set(wordsOf(name));
  const known = told.find(([list]) => list.split(' ').some((word) => own.has(word)));
  return known && { name: name[0]!.toUpperCase() + name.slice(1), kind: known[1], setting: known[2] };
}
