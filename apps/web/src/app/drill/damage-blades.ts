import type { Point } from '@field-nurse/core/drill';
import type { Blade } from '../drawing/leaf-blade';
import { blade, moved } from '../drawing/leaf-blade';
import { blades } from '../drawing/leaf';
import type { LeafShape } from '../drawing/leaf';
import { middle, openPath, polygonPath } from '../drawing/geometry';

/** A leaf whose outlines are drawn as they are counted: straight from point to point, with points enough to look round. */
export const smoothBlades = (shape: LeafShape): Blade[] => blades(shape).map((one) => ({ ...one, outline: smooth(one.outline) }));

/** A young plant from above. */
export const rosette: readonly Blade[] = Array.from({ length: 6 }, (_, i) => {
  const leaf = blade((t) => 13 * Math.sin(Math.PI * t ** 0.8) ** 0.8, [50, 50], 46, 3, { steps: 14 });
  const turned = moved(leaf, [50, 50], (i / 6) * 2 * Math.PI + 0.2);
  return { ...turned, outline: smooth(turned.outline) };
});

// Leaves that are one broad blade or a few: on needles and threads no share can be told by eye.
const plain: readonly LeafShape[] = [
  'ovate',
  'toothed',
  'lance',
  'heart',
  'toothed-heart',
  'lobed',
  'cabbage',
  'paddle',
  'round',
  'vine',
  'maple',
  'spoon',
];

/** Leaf shapes to drill on: those of what grows here first, else some plain ones. */
export function drillShapes(grown: readonly LeafShape[]): LeafShape[] {
  const own = [...new Set(grown)].filter((shape) => plain.includes(shape));
  return own.length >= 3 ? own : [...new Set([...own, ...plain.slice(0, 6)])];
}

/** Each corner rounded by a quadratic curve from the middle of one side to the middle of the next. */
function smooth(outline: readonly Point[]): Point[] {
  return outline.flatMap((corner, i) => {
    const from = middle(outline.at(i - 1)!, corner);
    const to = middle(corner, outline[(i + 1) % outline.length]!);
    return [0, 0.5].map((t): Point => {
      const at = (a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * t * (1 - t) * b + t ** 2 * c;
      return [at(from[0], corner[0], to[0]), at(from[1], corner[1], to[1])];
    });
  });
}

/** The outlines of a leaf as one path, straight from point to point. */
export const outlinePath = (all: readonly Blade[]) => all.map(({ outline }) => polygonPath(outline)).join('');

/** Its veins. */
export const veinPath = (all: readonly Blade[]) =>
  all.flatMap(({ midrib, sideVeins }) => [midrib, ...sideVeins].map((vein) => openPath(vein))).join('');
