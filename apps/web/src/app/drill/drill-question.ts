import type { Crawler, DrillItem, Point } from '@field-nurse/core/drill';
import { crawlersOn, damagedLeaf, standSeverities } from '@field-nurse/core/drill';
import { seededRandom } from '@field-nurse/core/statistics';
import type { Condition, Host, Sign } from '@field-nurse/library';
import type { DamageLook, FreshOrOld, LookAlikeBoard, StageDrill } from '@field-nurse/library/drill';
import {
  countAsked,
  countDrills,
  freshOrOld,
  leafDrills,
  lookAlikeBoard,
  lookAlikeOf,
  percentAsked,
  sickPlant,
  stageDrills,
  standDrills,
} from '@field-nurse/library/drill';
import type { Blade } from '../drawing/leaf-blade';
import type { LeafShape } from '../drawing/leaf';
import { drillShapes, rosette, smoothBlades } from './damage-blades';

type Pieces = readonly (readonly Point[])[];

/** How much of this leaf is damaged? */
export interface LeafQuestion {
  readonly kind: 'leaf';
  readonly item: string;
  readonly name: string;
  readonly look: DamageLook;
  readonly blades: readonly Blade[];
  readonly pieces: Pieces;
  readonly truth: number;
}

/** How much of this leaf of the garden's own, which was measured? */
export interface PhotoQuestion {
  readonly kind: 'leaf';
  readonly item: string;
  readonly photo: string;
  readonly truth: number;
}

/** How much of this bed? */
export interface StandQuestion {
  readonly kind: 'stand';
  readonly item: string;
  readonly name: string;
  /** damage of each plant, row by row */
  readonly plants: readonly Pieces[];
  readonly columns: number;
  readonly truth: number;
}

/** How many crawl here? */
export interface CountQuestion {
  readonly kind: 'count';
  readonly item: string;
  readonly name: string;
  readonly mark: string;
  readonly blades: readonly Blade[];
  readonly crawlers: readonly Crawler[];
  readonly truth: number;
}

/** Which stage of its life is this? */
export interface StageQuestion extends StageDrill {
  readonly kind: 'stage';
  readonly item: string;
}

/** Is its cause still at work? */
export interface FreshQuestion {
  readonly kind: 'fresh';
  readonly item: string;
  readonly sign: FreshOrOld;
  readonly isFresh: boolean;
  readonly leaf: LeafShape;
  readonly seed: number;
}

/** What is it? Ask by looking. */
export interface LooksQuestion {
  readonly kind: 'look-alikes';
  readonly item: string;
  readonly board: LookAlikeBoard;
  readonly trouble: string;
  /** what each look finds */
  readonly plant: ReadonlyMap<string, boolean>;
  readonly leaf: LeafShape;
}

export type DrillQuestion = LeafQuestion | PhotoQuestion | StandQuestion | CountQuestion | StageQuestion | FreshQuestion | LooksQuestion;

/** What questions are made from. */
export interface DrillSource {
  /** what grows here */
  readonly hosts: readonly Host[];
  readonly conditions: readonly Condition[];
  readonly signs: ReadonlyMap<string, Sign>;
  /** leaves of the garden that were measured, with their photos */
  readonly leaves: readonly PhotoQuestion[];
}

const standSize = { rows: 4, columns: 7 } as const;
const standSpots = { radius: 0.07, roughness: 0.3, range: 3 } as const;
// Plants of a stand are drawn small.
const standCells = 70;
const mostOfStand = 60;
const crawlerGap = 4.5;

/**
 * Make a question of an item.
 *
 * @param seed - the same gives the same question
 * @returns nothing where the garden no longer holds what the item is about
 */
export function questionOf(
  { id, kind }: DrillItem,
  seed: number,
  { hosts, conditions, signs, leaves }: DrillSource,
): DrillQuestion | undefined {
  const random = seededRandom(seed);
  const shapes = drillShapes(hosts.map(({ leaf }) => leaf));
  const leaf = shapes[Math.floor(random() * shapes.length)]!;
  switch (kind) {
    case 'leaf': {
      const drill = leafDrills.find((one) => one.id === id);
      if (!drill) return leaves.find(({ item }) => item === id);
      const blades = smoothBlades(leaf);
      const { pieces, percent } = damagedLeaf(outlines(blades), drill.shape, drill.spread, percentAsked(drill.most, random()), seed);
      return { kind, item: id, name: drill.name, look: drill.look, blades, pieces, truth: percent };
    }
    case 'stand': {
      const drill = standDrills.find((one) => one.id === id);
      if (!drill) return undefined;
      const { rows, columns } = standSize;
      const marked = standSeverities(rows, columns, drill.pattern, percentAsked(mostOfStand, random()), seed).map((percent, i) =>
        percent > 0 ? damagedLeaf(outlines(rosette), standSpots, 'even', percent, seed + i, standCells) : { pieces: [], percent: 0 },
      );
      const truth = marked.reduce((sum, { percent }) => sum + percent, 0) / marked.length;
      return { kind, item: id, name: drill.name, plants: marked.map(({ pieces }) => pieces), columns, truth };
    }
    case 'count': {
      const drill = countDrills.find((one) => one.id === id);
      if (!drill) return undefined;
      const truth = countAsked(random());
      const blades = smoothBlades(leaf);
      const crawlers = crawlersOn(outlines(blades), truth, crawlerGap, seed);
      return { kind, item: id, name: drill.name, mark: drill.mark, blades, crawlers, truth };
    }
    case 'stage': {
      const drill = stageDrills(conditions).find((one) => one.id === id);
      return drill && { kind, item: id, ...drill };
    }
    case 'fresh': {
      const sign = freshOrOld.find((one) => one.id === id);
      return sign && { kind, item: id, sign, isFresh: random() < 0.5, leaf, seed };
    }
    case 'look-alikes': {
      const { host: hostId, trouble } = lookAlikeOf(id);
      const [host, condition] = [hosts.find((one) => one.id === hostId), conditions.find((one) => one.id === trouble)];
      const board = host && condition && lookAlikeBoard(condition, host, conditions, signs, random);
      if (!board) return undefined;
      const plant = sickPlant(board, trouble, random);
      return { kind, item: id, board, trouble, plant, leaf: host.leaf };
    }
    default:
      return undefined;
  }
}

const outlines = (all: readonly Blade[]) => all.map(({ outline }) => outline);
