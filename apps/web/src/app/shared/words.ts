// What the controlled words are called on screen.

export const stanceWords = {
  hands: { word: 'Hands only', means: 'Culture, hands, barriers and traps; nothing is sprayed.' },
  organic: { word: 'Organic', means: 'Helpers and soft products that certifiers usually allow.' },
  softest: { word: 'Softest first', means: 'Softer ways first, synthetic ones when they fail.' },
  protect: { word: 'Protect the crop', means: 'What works soonest, within the label.' },
} as const;

export const settingWords: Readonly<Record<string, string>> = {
  outdoor: 'Outdoors',
  greenhouse: 'Under cover',
  indoor: 'Indoors',
  hydroponic: 'Water culture',
};

/** How much of a summer's day the sun reaches a place. */
export const lightWords: Readonly<Record<string, string>> = { sun: 'most of the day', half: 'about half of it', shade: 'hardly any' };

export const placeKindWords: Readonly<Record<string, string>> = {
  room: 'Room',
  bed: 'Bed',
  'raised-bed': 'Raised bed',
  tunnel: 'Tunnel',
  greenhouse: 'Greenhouse',
  bench: 'Bench',
  windowsill: 'Windowsill',
  trough: 'Trough',
  hedge: 'Hedge',
  wall: 'Wall',
  pots: 'Pots',
  heap: 'Heap',
  store: 'Store for feed or produce',
  housing: 'Animal housing',
  other: 'Other',
};

/** The ladder from doing nothing to taking the plant out, in the order of climbing. */
export const rungWords: Readonly<Record<string, { word: string; means: string }>> = {
  none: { word: 'Leave it', means: 'watch, or let helpers work' },
  culture: { word: 'Culture', means: 'water, air, food, place' },
  hand: { word: 'Hands', means: 'pick, wash, cut' },
  barrier: { word: 'Barriers', means: 'mesh, fleece, collars' },
  trap: { word: 'Traps', means: 'catch and count' },
  biological: { word: 'Living helpers', means: 'predators, nematodes, microbes' },
  soft: { word: 'Soft products', means: 'soap, oil, mineral, plant' },
  synthetic: { word: 'Synthetic products', means: 'by the label only' },
  removal: { word: 'Take it out', means: 'and keep it from the next' },
};

export const verdictWords: Readonly<Record<string, string>> = { fits: 'Fits', care: 'Fits with care', 'ruled-out': 'Ruled out' };
export const evidenceWords: Readonly<Record<string, string>> = {
  strong: 'well tested',
  moderate: 'fairly tested',
  weak: 'weak evidence',
  folk: 'folk practice',
};

export const partWords: Readonly<Record<string, string>> = {
  leaf: 'Leaf',
  'leaf-underside': 'Under the leaf',
  'new-growth': 'New growth',
  'old-leaves': 'Old leaves',
  stem: 'Stem',
  'stem-base': 'Stem base',
  crown: 'Heart',
  root: 'Root',
  bulb: 'Bulb',
  tuber: 'Tuber',
  flower: 'Flower',
  fruit: 'Fruit',
  seedling: 'Seedling',
  'whole-plant': 'Whole plant',
  ground: 'Ground',
};

export const kindWords: Readonly<Record<string, string>> = {
  insect: 'insect',
  mite: 'mite',
  mollusc: 'slug or snail',
  vertebrate: 'animal',
  fungus: 'fungus',
  oomycete: 'water mould',
  bacterium: 'bacterium',
  virus: 'virus',
  nematode: 'nematode',
  deficiency: 'shortage',
  water: 'water',
  climate: 'weather',
  injury: 'injury',
  natural: 'nothing wrong',
  harmless: 'harmless',
  helper: 'friend',
};

export const continentWords = {
  europe: 'Europe',
  'north-america': 'North America',
  'south-america': 'South America',
  africa: 'Africa',
  asia: 'Asia',
  australasia: 'Australasia',
} as const;

export const roleWords: Readonly<Record<string, string>> = {
  secondary: 'comes after something else',
  contributing: 'opens the door to others',
  vector: 'carries disease',
};
export const growthWords: Readonly<Record<string, string>> = {
  clean: 'clean',
  marked: 'marked',
  none: 'none yet',
  unknown: 'not judged',
};
export const outcomeWords: Readonly<Record<string, string>> = {
  recovered: 'Recovered',
  'left-alone': 'Left alone, rightly',
  removed: 'Removed',
  lost: 'Lost',
  other: 'Something else',
};
export const statusWords: Readonly<Record<string, string>> = {
  'first-look': 'First look',
  recovering: 'Recovering',
  level: 'Level',
  relapsing: 'Getting worse',
  clear: 'Clear so far',
};
export const protectWords: Readonly<Record<string, string>> = {
  gloves: 'gloves',
  eyes: 'eye protection',
  mask: 'dust mask',
  sleeves: 'long sleeves',
  air: 'open windows',
  'no-flame': 'no flame near',
};
export const circumstanceWords: Readonly<Record<string, string>> = {
  host: 'this plant',
  setting: 'this kind of place',
  season: 'the time of year',
  onset: 'how fast it came',
  pattern: 'how it spreads',
  temperature: 'how warm it has been',
  nearby: 'at work on other plants here',
  alone: 'it comes after something else',
  events: 'weather, care or what happened',
  words: 'other words of yours',
  range: 'where it lives',
  history: 'what this garden has had before',
  clinic: 'what the plant clinic found',
};
export const stageWords: Readonly<Record<string, string>> = {
  egg: 'egg',
  larva: 'larva',
  nymph: 'young',
  pupa: 'pupa',
  adult: 'adult',
  spore: 'spore',
  lesion: 'lesion',
  any: 'any time',
};

export const advice =
  'Field Nurse advises. The label in your hand and local rules outrank it; a plant clinic or licensed adviser decides what is lawful and safe.';

export const onsetWords: Readonly<Record<string, string>> = {
  overnight: 'Overnight',
  days: 'Over some days',
  weeks: 'Over weeks',
  season: 'Over the season',
};
export const patternWords: Readonly<Record<string, string>> = {
  'one-plant': 'One plant',
  patches: 'In patches',
  'whole-planting': 'All of it',
  'one-side': 'One side',
  edges: 'At the edges',
  scattered: 'Here and there',
};
export const hidingWords: Readonly<Record<string, string>> = {
  'rolled-leaf': 'In a rolled leaf',
  mine: 'Inside the leaf',
  stem: 'Inside the stem',
  root: 'In soil or root',
  case: 'In a case',
  wax: 'Under wax',
};
