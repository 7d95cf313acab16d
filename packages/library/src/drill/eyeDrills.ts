import type { DamageShape, DamageSpread, StandPattern } from '@field-nurse/core/drill';

/** What damage is drawn with. */
export type DamageLook = 'holes' | 'brown' | 'yellow' | 'powder' | 'rust';

/** A kind of damage whose share of a leaf is to be told. */
export interface LeafDrill {
  readonly id: string;
  readonly name: string;
  readonly look: DamageLook;
  readonly spread: DamageSpread;
  readonly shape: DamageShape;
  /** more than this of a leaf it does not take, percent */
  readonly most: number;
}

/** A way in which damage lies over a stand. */
export interface StandDrill {
  readonly id: string;
  readonly name: string;
  readonly pattern: StandPattern;
}

/** Something that crawls and is to be counted. */
export interface CountDrill {
  readonly id: string;
  readonly name: string;
  /** its drawing */
  readonly mark: string;
}

const shape = (radius: number, roughness: number, range: number): DamageShape => ({ radius, roughness, range });

/** Damage that eyes misjudge in different ways: many small pieces seem more than they are, a missing edge seems less. */
export const leafDrills: readonly LeafDrill[] = [
  { id: 'leaf/small-spots', name: 'small spots all over', look: 'brown', spread: 'even', shape: shape(0.018, 0.2, 3), most: 45 },
  {
    id: 'leaf/small-spots-together',
    name: 'small spots close together',
    look: 'brown',
    spread: 'cluster',
    shape: shape(0.018, 0.2, 3),
    most: 35,
  },
  { id: 'leaf/blotches', name: 'large blotches', look: 'brown', spread: 'even', shape: shape(0.1, 0.35, 4), most: 80 },
  { id: 'leaf/scorched-edge', name: 'a scorched edge', look: 'brown', spread: 'edge', shape: shape(0.06, 0.35, 3), most: 60 },
  { id: 'leaf/powder', name: 'powdery patches', look: 'powder', spread: 'even', shape: shape(0.07, 0.3, 4), most: 85 },
  { id: 'leaf/mottle', name: 'yellow in the middle', look: 'yellow', spread: 'middle', shape: shape(0.05, 0.45, 3), most: 60 },
  { id: 'leaf/rust', name: 'specks of rust', look: 'rust', spread: 'even', shape: shape(0.011, 0.1, 2.5), most: 25 },
  { id: 'leaf/shot-holes', name: 'shot-holes', look: 'holes', spread: 'even', shape: shape(0.014, 0.15, 2.5), most: 30 },
  { id: 'leaf/holes', name: 'large holes', look: 'holes', spread: 'middle', shape: shape(0.075, 0.4, 4), most: 60 },
  { id: 'leaf/bitten-edge', name: 'bites from the edge', look: 'holes', spread: 'edge', shape: shape(0.08, 0.3, 3), most: 70 },
];

export const standDrills: readonly StandDrill[] = [
  { id: 'stand/scattered', name: 'here and there', pattern: 'scattered' },
  { id: 'stand/focus', name: 'round one spot', pattern: 'focus' },
  { id: 'stand/side', name: 'from one side', pattern: 'side' },
];

export const countDrills: readonly CountDrill[] = [
  { id: 'count/aphid-green', name: 'aphids', mark: 'aphid-green' },
  { id: 'count/whitefly', name: 'whitefly', mark: 'whitefly' },
  { id: 'count/mite', name: 'mites', mark: 'mite' },
  { id: 'count/thrips', name: 'thrips', mark: 'thrips' },
];

// Small damage is what a grower meets first, and what eyes overrate most.
const lean = 1.6;
const leastPercent = 0.7;
const counts = { least: 3, most: 70 } as const;

/** How much damage is drawn: from next to nothing to what the kind can take, small amounts more often. @param lot - even, 0 to 1 */
export const percentAsked = (most: number, lot: number): number => leastPercent + (most - leastPercent) * lot ** lean;

/** How many are to be counted: each doubling as likely as another. @param lot - even, 0 to 1 */
export const countAsked = (lot: number): number => Math.round(counts.least * (counts.most / counts.least) ** lot);
