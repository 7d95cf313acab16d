/** What decides how plants are taken out. */
export interface RemovalFacts {
  /** it must be reported, or may have to be */
  readonly mustReport: boolean;
  readonly kind: string;
  /** it lasts in the ground, or lives in it */
  readonly lastsInSoil: boolean;
  readonly setting: 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic';
  /** for how many days something of it may hide from a look */
  readonly hiddenDays: number;
}

/** A step of a removal; what it says is made of its code and figures. */
export interface RemovalStep {
  readonly code:
    'call' | 'photograph' | 'wear' | 'damp' | 'bag' | 'lift' | 'soil' | 'litter' | 'vacuum' | 'dispose' | 'tools' | 'clothes' | 'watch';
  /** for which a disinfectant acts */
  readonly minutes?: number | undefined;
  /** parts of water to one of household bleach */
  readonly parts?: number | undefined;
  /** for which the neighbours are watched */
  readonly weeks?: number | undefined;
}

const dusty = new Set(['fungus', 'oomycete']);
const flying = new Set(['insect', 'mite']);
const germs = new Set(['fungus', 'oomycete', 'bacterium', 'virus', 'phytoplasma', 'nematode']);
// Household bleach, about 5 % of hypochlorite, one part in ten for ten minutes: what extension services give for tools.
const [bleachMinutes, bleachParts] = [10, 9];
const fewestWeeks = 4;

/**
 * How plants are taken out so that nothing of it stays or is carried on: call first where it must be reported; cover before moving what blows or flies;
 * earth with it where it lasts there; what fell; where it may go; tools, clothes, and the neighbours for as long as something may hide.
 */
export function removalSteps({ mustReport, kind, lastsInSoil, setting, hiddenDays }: RemovalFacts): RemovalStep[] {
  const inside = setting === 'indoor';
  return [
    ...(mustReport ? [{ code: 'call' } as const] : []),
    { code: 'photograph' },
    { code: 'wear' },
    ...(dusty.has(kind) && !inside ? [{ code: 'damp' } as const] : []),
    ...(dusty.has(kind) || flying.has(kind) ? [{ code: 'bag' } as const] : []),
    { code: 'lift' },
    ...(lastsInSoil || inside ? [{ code: 'soil' } as const] : []),
    inside ? { code: 'vacuum' } : { code: 'litter' },
    { code: 'dispose' },
    germs.has(kind) ? { code: 'tools', minutes: bleachMinutes, parts: bleachParts } : { code: 'tools' },
    { code: 'clothes' },
    { code: 'watch', weeks: Math.max(fewestWeeks, Math.ceil((2 * hiddenDays) / 7)) },
  ];
}

/** Somewhere that it may have come from, or gone to. */
export interface PossibleSource {
  readonly kind: 'arrival' | 'same-place' | 'neighbour' | 'heap' | 'hedge' | 'case';
  /** planting or place */
  readonly id: string;
  /** beside the others, the higher the sooner it is looked at */
  readonly weight: number;
}

interface StandingPlant {
  readonly id: string;
  readonly placeId: string;
  /** it takes the trouble */
  readonly takes: 'often' | 'sometimes' | 'seldom' | 'unlisted';
  /** days since it came, where it came from elsewhere of late */
  readonly arrivedDaysAgo: number | null;
  /** it has an open case of the same */
  readonly isSick: boolean;
}

// How likely each is to be where it came from, beside the others: our estimate from what growers found in the end.
const weights = { arrival: 5, case: 4, 'same-place': 3, heap: 2, hedge: 1.5, neighbour: 1 } as const;
const takeWeights = { often: 1, sometimes: 0.6, seldom: 0.25, unlisted: 0 } as const;
const recentDays = 60;

/**
 * Where to look for what it came from and where it may have gone: new arrivals, others that have it, what stands in the same place, heaps and hedges,
 * and whatever else takes it; the likeliest first. What cannot take it is left out.
 *
 * @param from - the planting that is taken out
 * @param places - of the garden, by kind
 */
export function sourceHunt(
  from: { readonly id: string; readonly placeId: string },
  plants: readonly StandingPlant[],
  places: readonly { readonly id: string; readonly kind: string }[],
): PossibleSource[] {
  const ofPlants = plants.flatMap((plant): PossibleSource[] => {
    const takes = takeWeights[plant.takes];
    if (plant.id === from.id || takes === 0) return [];
    const isNew = plant.arrivedDaysAgo !== null && plant.arrivedDaysAgo <= recentDays;
    const kind = isNew ? 'arrival' : plant.isSick ? 'case' : plant.placeId === from.placeId ? 'same-place' : 'neighbour';
    return [{ kind, id: plant.id, weight: weights[kind] * takes }];
  });
  const ofPlaces = places.flatMap(({ id, kind }): PossibleSource[] =>
    kind === 'heap' || kind === 'hedge' ? [{ kind, id, weight: weights[kind] }] : [],
  );
  return [...ofPlants, ...ofPlaces].sort((a, b) => b.weight - a.weight || a.id.localeCompare(b.id));
}
