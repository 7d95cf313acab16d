import { closedPath, openPath } from './geometry';
import type { Blade } from './leaf-blade';
import type { LeafShape } from './leaf-shapes';
import { stalkOf } from './leaf-shapes';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke } from './shape';

export type { Blade } from './leaf-blade';
export { blades, leafShapes } from './leaf-shapes';
export type { LeafShape } from './leaf-shapes';

/** Wash and line of the blades with their stalk, ready for marks. */
export function drawBlades(shape: LeafShape, own: readonly Blade[], tone: Tone = 'leaf', veins = true): Shape[] {
  return [
    ...stalk(shape, own),
    ...own.map(({ outline }) => inked(closedPath(outline), tone, 1.2)),
    ...(veins
      ? own.flatMap(({ midrib, sideVeins }) => [
          stroke(openPath(midrib), 0.9, 0.75),
          ...sideVeins.map((vein) => stroke(openPath(vein), 0.5, 0.55)),
        ])
      : []),
  ];
}

function stalk(shape: LeafShape, own: readonly Blade[]): Shape[] {
  const kind = stalkOf(shape);
  if (kind === 'none') return [];
  const along: Point[] =
    kind === 'middle'
      ? [
          [50, 36],
          [50, 70],
          [48, 97],
        ]
      : [own[0]!.midrib[0]!, [50, 92], [47, 98]];
  return [stroke(openPath(along), 1.8)];
}
