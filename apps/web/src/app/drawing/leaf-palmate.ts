import type { Blade } from './leaf-blade';
import type { Point } from './shape';

/** A lobe of a hand-shaped leaf: radians from straight up, how long from the stalk, and half its spread in radians. */
export interface Lobe {
  readonly angle: number;
  readonly length: number;
  readonly spread: number;
}

const steps = 90;

/** Lobes on both sides and one in the middle, the middle one first. */
export const paired = (middle: Omit<Lobe, 'angle'>, ...sides: readonly Lobe[]): Lobe[] => [
  { angle: 0, ...middle },
  ...sides.flatMap((lobe) => [lobe, { ...lobe, angle: -lobe.angle }]),
];

/**
 * A blade whose veins spread from the stalk like fingers.
 *
 * @param between - how far it reaches from the stalk between its lobes
 * @param pointed - 1 for straight sides to a point; less is rounder
 * @param teeth - saw teeth around the whole edge
 * @param notch - half the gap at the stalk, radians
 */
export function palmate(
  lobes: readonly Lobe[],
  { between = 20, pointed = 0.7, teeth = 0, depth = 0.1, notch = 0.25, base = [50, 66] as Point } = {},
): Blade {
  const radius = (angle: number) => {
    const reach = Math.max(
      between,
      ...lobes.map((lobe) => lobe.length * Math.max(0, 1 - Math.abs(angle - lobe.angle) / lobe.spread) ** pointed),
    );
    return reach * (1 - depth * (teeth > 0 ? ((angle + Math.PI) * teeth) % 1 : 0));
  };
  const at = (angle: number, share = 1): Point => {
    const r = radius(angle) * share;
    return [base[0] + r * Math.sin(angle), base[1] - r * Math.cos(angle)];
  };
  const widest = Math.PI - notch;
  const outline = [base, ...Array.from({ length: steps + 1 }, (_, i) => at(-widest + (2 * widest * i) / steps))];
  const vein = ({ angle }: Lobe) => [base, at(angle, 0.5), at(angle, 0.9)];
  // The middle vein branches, so that there are veins to see where lobes are few.
  const branches = [0.4, 0.62].flatMap((share) =>
    [-1, 1].map((side) => [at(0, share), at(side * 0.12, share + 0.12), at(side * 0.16, Math.min(0.86, share + 0.22))]),
  );
  return {
    outline,
    midrib: [base, at(0, 0.3), at(0, 0.6), at(0, 0.95)],
    sideVeins: [...branches, ...lobes.slice(1).map(vein)],
    width: 1.2 * between,
  };
}
