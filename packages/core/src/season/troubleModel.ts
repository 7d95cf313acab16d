/** A stage of a pest as the season runs it: a distributed delay, what it eats, and how much of it a spray can meet. */
export interface TroubleStage {
  /** a stage of the library's entry */
  readonly id: string;
  /** below this it stands still, °C */
  readonly lowerC: number;
  /** heat that it takes, degree days above `lowerC`; of the last stage, the adult: its life span */
  readonly degreeDays: number;
  readonly substages: number;
  /** deaths by weather and age, as a rate per day; enemies come on top */
  readonly mortalityPerDay: number;
  /** how much of the damage one of them does in a day, beside the one that does most; 0 to 1 */
  readonly feeds: number;
  /** share that sits where nothing that works by contact gets to, 0 to 1 */
  readonly sheltered: number;
}

/** What comes in from outside: so many on a plant each day, or a flight that the warmth of the year sets off. */
export type Arrivals =
  | { readonly stage: string; readonly perDay: number; readonly months: readonly number[] }
  | {
      readonly stage: string;
      /** on a plant, in the whole flight */
      readonly count: number;
      /** degree days above `lowerC` since the year began, at which half of them have come */
      readonly atDegreeDays: number;
      /** standard deviation of the flight, degree days */
      readonly spread: number;
      readonly lowerC: number;
    };

/** What eats it: a guild of helpers with a type II response. */
export interface Enemies {
  readonly name: string;
  /** how many of the pest one eats in a day at 20 °C, where there is no end of them */
  readonly mostPerDay: number;
  /** so many of the pest on a grown plant at which it eats half of that */
  readonly halfAt: number;
  /** below this it does nothing, °C */
  readonly lowerC: number;
  /** what it eats, by stage of the pest: from 1, most readily, to 0, never */
  readonly eats: Readonly<Record<string, number>>;
  /** helpers that come of each one eaten */
  readonly youngPerPrey: number;
  readonly lifeDays: number;
  /** on a plant and day, from the surroundings, where there is plenty of the pest */
  readonly arrivePerDay: number;
  /** from how many days of the pest on they come: they are late */
  readonly initial: number;
}

/** What the pest takes of the harvest, by the days on which so many fed on a plant. */
export interface Harm {
  /** feeding days (of a pest: animals × days on a grown plant; of a disease: share of leaf × days) that cost half of what can be lost */
  readonly halfLossAt: number;
  /** share of the harvest, or of the plant's worth, that can be lost, 0 to 1 */
  readonly mostLoss: number;
}

/** How fast something that kills it stops doing so: one gene, two alleles. */
export interface Resistance {
  /** share of the alleles that resist before the first treatment, 0 to 1 */
  readonly start: number;
  /** how much one such allele protects beside two: 0 recessive, 1 dominant; of no account in fungi, which carry one */
  readonly dominance: number;
  /** share of the kill that those with two of them escape, 0 to 1 */
  readonly escapes: number;
}

export interface PestTrouble {
  readonly kind: 'pest';
  readonly stages: readonly TroubleStage[];
  readonly eggsPerAdultDay: number;
  readonly femaleShare: number;
  /** above this it goes no faster, °C */
  readonly upperC: number;
  readonly arrivals?: Arrivals | undefined;
  /** of those that feed, on a grown plant: at so many they are in each other's way */
  readonly crowdedAt: number;
  readonly enemies?: Enemies | undefined;
  readonly resistance: Resistance;
  readonly harm: Harm;
  /** of those that feed, on a plant: from so many on it pays to act */
  readonly actAt: number;
}

/** A disease of leaves as shares of the leaf: taken, hatching, bearing spores, dead. */
export interface DiseaseTrouble {
  readonly kind: 'disease';
  readonly tMin: number;
  readonly tOpt: number;
  readonly tMax: number;
  /** hours of wet leaves that infection takes at the best warmth; none: it needs no wet leaf, and rain is in its way */
  readonly wetHours?: number | undefined;
  /** days from infection to the first spores at the best warmth */
  readonly latentDays: number;
  readonly substages: number;
  /** days for which a spot bears spores */
  readonly sporeDays: number;
  /** share of leaf that one share with spores infects in a day, where all is in its favour */
  readonly spreadPerDay: number;
  /** by how much spots grow in a day at the best warmth */
  readonly spotGrowthPerDay: number;
  /** share of the leaf of a grown plant that is new each day, while as much falls */
  readonly newLeafPerDay: number;
  /** share of leaf that spores from elsewhere infect on a day in their favour, in these months */
  readonly arrivals: { readonly perDay: number; readonly months: readonly number[] };
  readonly resistance: Resistance;
  readonly harm: Harm;
  /** share of leaf, 0 to 1: from so much on it pays to act */
  readonly actAt: number;
}

/** A trouble with all that the season needs to know of it. */
export type TroubleModel = PestTrouble | DiseaseTrouble;

type Bound = readonly [name: string, value: number, least: number, most: number];

/**
 * Refuse a model that cannot be.
 *
 * @throws RangeError that names the number which is wrong, and what is allowed
 */
export function requireTrouble(model: TroubleModel): void {
  const { start, dominance, escapes } = model.resistance;
  const bounds: Bound[] = [
    ['resistance.start', start, 0, 1],
    ['resistance.dominance', dominance, 0, 1],
    ['resistance.escapes', escapes, 0, 1],
    ['harm.halfLossAt', model.harm.halfLossAt, 1e-6, 1e9],
    ['harm.mostLoss', model.harm.mostLoss, 0, 1],
    ['actAt', model.actAt, 0, 1e9],
    ...(model.kind === 'pest' ? pestBounds(model) : diseaseBounds(model)),
  ];
  for (const [name, value, least, most] of bounds)
    if (!(value >= least && value <= most)) throw new RangeError(`${name}: must be from ${least} to ${most}, got ${value}`);
}

function pestBounds({ stages, eggsPerAdultDay, femaleShare, upperC, arrivals, crowdedAt, enemies }: PestTrouble): Bound[] {
  const ids = stages.map(({ id }) => id);
  if (ids.length === 0) throw new RangeError('stages: at least one is needed');
  if (new Set(ids).size < ids.length) throw new RangeError('stages: each needs an id of its own');
  for (const stage of [...(arrivals ? [arrivals.stage] : []), ...Object.keys(enemies?.eats ?? {})])
    if (!ids.includes(stage)) throw new RangeError(`stages: there is no ${stage}`);
  return [
    ...stages.flatMap((one, i): Bound[] => [
      [`stages.${i}.lowerC`, one.lowerC, -20, 60],
      [`stages.${i}.degreeDays`, one.degreeDays, 1, 1e6],
      [`stages.${i}.substages`, one.substages, 1, 60],
      [`stages.${i}.mortalityPerDay`, one.mortalityPerDay, 0, 5],
      [`stages.${i}.feeds`, one.feeds, 0, 1],
      [`stages.${i}.sheltered`, one.sheltered, 0, 1],
    ]),
    ['eggsPerAdultDay', eggsPerAdultDay, 0, 1000],
    ['femaleShare', femaleShare, 0, 1],
    ['upperC', upperC, 10, 60],
    ['crowdedAt', crowdedAt, 1e-3, 1e9],
    ...(arrivals && 'perDay' in arrivals ? [['arrivals.perDay', arrivals.perDay, 0, 1e6] as const] : []),
    ...(arrivals && 'count' in arrivals
      ? ([
          ['arrivals.count', arrivals.count, 0, 1e6],
          ['arrivals.atDegreeDays', arrivals.atDegreeDays, 0, 1e5],
          ['arrivals.spread', arrivals.spread, 1, 1e5],
        ] as const)
      : []),
    ...(enemies
      ? ([
          ['enemies.mostPerDay', enemies.mostPerDay, 0, 1e4],
          ['enemies.halfAt', enemies.halfAt, 1e-3, 1e9],
          ['enemies.youngPerPrey', enemies.youngPerPrey, 0, 10],
          ['enemies.lifeDays', enemies.lifeDays, 0.5, 1000],
          ['enemies.arrivePerDay', enemies.arrivePerDay, 0, 1e4],
          ['enemies.initial', enemies.initial, 0, 1e4],
        ] as const)
      : []),
  ];
}

function diseaseBounds(model: DiseaseTrouble): Bound[] {
  const { tMin, tOpt, tMax } = model;
  if (!(tMin < tOpt && tOpt < tMax)) throw new RangeError(`tMin < tOpt < tMax is needed, got ${tMin}, ${tOpt} and ${tMax} °C`);
  return [
    ['wetHours', model.wetHours ?? 1, 0.5, 72],
    ['latentDays', model.latentDays, 0.5, 400],
    ['substages', model.substages, 1, 60],
    ['sporeDays', model.sporeDays, 0.5, 400],
    ['spreadPerDay', model.spreadPerDay, 0, 100],
    ['spotGrowthPerDay', model.spotGrowthPerDay, 0, 2],
    ['newLeafPerDay', model.newLeafPerDay, 0, 0.5],
    ['arrivals.perDay', model.arrivals.perDay, 0, 1],
  ];
}
