import { seededRandom } from '@field-nurse/core/statistics';
import type { Bites } from './bitten';
import { bitten } from './bitten';
import { creatures } from './creatures';
import type { LeafShape } from './leaf';
import { blades, drawBlades } from './leaf';
import { leafMarks } from './leaf-marks';
import { partMarks } from './parts';
import { plantMarks } from './plant';
import type { Shape } from './shape';

export interface DrawingRequest {
  readonly organ: string;
  readonly mark: string;
  readonly leaf?: LeafShape;
  /** 0 just beginning to 1 as bad as it gets */
  readonly severity?: number;
}

// Yellowing hides veins that the mark itself draws again; underside marks want them quiet.
const ownVeins = new Set(['between-veins', 'fine-between-veins', 'green-bands']);
// Marks that change the leaf so much that nothing of its blade is left to draw.
const ownShape = new Set(['rolled', 'rolled-up', 'strappy', 'folded']);

/** Marks that are a change of the leaf's own outline. */
const bites = (severity: number): Readonly<Record<string, Bites>> => ({
  notches: { count: 6 + 12 * severity, radius: 5 },
  torn: { count: 7 + 9 * severity, radius: 8 + 12 * severity },
  tattered: { count: 10 + 8 * severity, radius: 4 + 5 * severity },
  'round-cuts': { count: 2 + 5 * severity, radius: 11 },
});

/** All marks that can be drawn. */
export const markNames = [leafMarks, plantMarks, partMarks, creatures, bites(1)].flatMap((marks) => Object.keys(marks));

/** A clean leaf of a shape. */
export const drawLeaf = (leaf: LeafShape): Shape[] => drawBlades(leaf, blades(leaf));

/**
 * Draw a sign: a leaf shape with a mark at a severity, or the part or animal that the mark names. The same request always gives the same
 * drawing.
 */
export function drawSign({ organ, mark, leaf = 'ovate', severity = 0.5 }: DrawingRequest): Shape[] {
  const random = seededRandom(hash(mark + leaf));
  const eaten = bites(severity)[mark];
  const own = eaten && organ === 'leaf' ? bitten(blades(leaf), eaten, random) : blades(leaf);
  const onLeaf = organ === 'leaf' ? leafMarks[mark] : undefined;
  if (onLeaf) {
    const blade = ownShape.has(mark) ? [] : drawBlades(leaf, own, 'leaf', !ownVeins.has(mark));
    return [...blade, ...onLeaf({ random, severity, blades: own })];
  }
  if (eaten && organ === 'leaf') return drawBlades(leaf, own);
  const draw = plantMarks[mark] ?? partMarks[mark];
  if (draw) return draw(severity, random);
  return creatures[mark]?.(random) ?? drawLeaf(leaf);
}

function hash(text: string): number {
  let value = 0;
  for (const letter of text) value = (Math.imul(value, 31) + letter.codePointAt(0)!) | 0;
  return value;
}
