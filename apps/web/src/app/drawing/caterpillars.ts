import { line, rings } from './creature-parts';
import type { Draw } from './creature-parts';
import { ellipse, polar } from './geometry';
import type { Point, Shape, Tone } from './shape';
import { inked, stroke, wash } from './shape';

interface Style {
  readonly tone: Tone;
  readonly head?: Tone;
  /** how high the back is arched */
  readonly arch?: number;
  readonly thick?: number;
  /** legs under the body, as shares of its length */
  readonly feet?: readonly number[];
}

const trueFeet = [0.06, 0.12, 0.18];
const stubFeet = [0.42, 0.5, 0.58, 0.66];

/** A caterpillar from the side, head to the left. */
function body({ tone, head = 'brown', arch = 10, thick = 9, feet = [...trueFeet, ...stubFeet, 0.96] }: Style): {
  at: (t: number) => Point;
  shapes: Shape[];
} {
  const at = (t: number): Point => [13 + 74 * t, 60 - arch * Math.sin(Math.PI * t)];
  return {
    at,
    shapes: [
      ...feet.map((t) => stroke(`M${at(t)[0]} ${at(t)[1] + thick * 0.6}v${thick * 0.9}`, 1.8)),
      ...rings(line(12, at), (t) => thick * (0.82 + 0.24 * Math.sin(Math.PI * t)), tone, head),
    ],
  };
}

/** A stripe along the body at a height above its middle. */
const stripe = (at: (t: number) => Point, height: number, fill: Tone, width: number): Shape => ({
  d: `M${line(12, (t): Point => [at(0.08 + 0.88 * t)[0], at(0.08 + 0.88 * t)[1] - height])
    .map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('L')}`,
  fill,
  line: -width,
});

const twig: Shape[] = [inked('M4 70Q50 64 96 70V77Q50 71 4 77Z', 'amber', 0.9)];

/** Caterpillars and larvae that look like them, by the name that the library uses. */
export const caterpillars: Readonly<Record<string, Draw>> = {
  hornworm: () => {
    const { at, shapes } = body({ tone: 'leaf', head: 'leaf-deep', thick: 13, arch: 12 });
    return [
      stroke('M86 52L96 34', 2.6),
      ...shapes,
      ...[0.2, 0.32, 0.44, 0.56, 0.68, 0.8].map((t): Shape => ({
        d: `M${at(t)[0] - 3} ${at(t)[1] + 8}L${at(t)[0] + 5} ${at(t)[1] - 8}`,
        fill: 'white',
        line: -1.6,
      })),
      ...[0.24, 0.36, 0.48, 0.6, 0.72].map((t) => wash(ellipse([at(t)[0], at(t)[1] + 6], 1.3, 1.3), 'dark')),
    ];
  },
  looper: () => {
    const { at, shapes } = body({ tone: 'leaf', head: 'leaf-deep', arch: 38, thick: 7, feet: [...trueFeet, 0.86, 0.96] });
    return [...twig, ...shapes, stripe(at, 3, 'white', 1)];
  },
  'hairy-caterpillar': (random) => {
    const { at, shapes } = body({ tone: 'brown', head: 'dark' });
    return [
      ...line(34, (t): Point => at(t)).flatMap((centre, i) =>
        [-1.9, -1.5, -1.1].map((angle) => {
          const [x, y] = polar(centre, 20 + 5 * random(), angle + (random() - 0.5) * 0.5);
          return stroke(`M${centre[0]} ${centre[1]}L${x} ${y}`, 0.6, i % 2 ? 0.8 : 0.5);
        }),
      ),
      ...shapes,
      stripe(at, 4, 'orange', 1.8),
    ];
  },
  'striped-caterpillar': () => {
    const { at, shapes } = body({ tone: 'olive', head: 'amber' });
    return [...shapes, stripe(at, 5, 'dark', 1.6), stripe(at, 1, 'cream', 1.6), stripe(at, -3, 'dark', 1.6)];
  },
  wriggler: () => {
    const at = (t: number): Point => [20 + 60 * t, 58 + 13 * Math.sin(t * 6.4)];
    return [
      { d: 'M80 58Q88 30 84 4', fill: 'silver', line: -1 },
      ...rings(line(13, at), (t) => 3.4 + 4 * Math.sin(Math.PI * t), 'leaf', 'amber'),
    ];
  },
  cutworm: () => [
    wash('M6 78Q50 72 94 78V96H6Z', 'soil', 0.7),
    ...rings(
      line(12, (t): Point => polar([50, 48], 21, -2.9 + t * 5.3)),
      (t) => 8.4 + 2.4 * Math.sin(Math.PI * t),
      'grey',
      'brown',
    ),
    ...line(8, (t): Point => polar([50, 48], 27, -2.4 + t * 4.2)).map((at) => wash(ellipse(at, 1.1, 1.1), 'dark')),
  ],
  sawfly: () => [
    inked('M6 72Q50 58 94 70L94 76Q50 66 6 78Z', 'leaf-deep', 0.9),
    ...[0, 1, 2].flatMap((i) => {
      const x = 20 + i * 27;
      return [
        ...rings(
          line(9, (t): Point => [x + 22 * t - 6, 62 - 30 * t ** 1.7 + (t > 0.8 ? -6 * (t - 0.8) : 0)]),
          (t) => 5.4 - 1.6 * t,
          'leaf',
          'dark',
        ),
        ...line(5, (t): Point => [x + 2 + 13 * t, 57 - 16 * t ** 1.6]).map((at) => wash(ellipse(at, 0.9, 0.9), 'dark')),
      ];
    }),
  ],
  slugworm: () => [
    inked('M10 74Q50 62 92 72L90 86Q50 78 12 88Z', 'leaf', 1),
    inked('M18 66C14 48 30 40 44 46C62 52 80 54 88 66C70 72 34 74 18 66Z', 'olive', 1.3),
    wash('M26 54C30 48 38 48 44 52C38 56 30 58 26 54Z', 'silver', 0.8),
    stroke('M50 56Q68 58 82 64', 0.7, 0.5),
  ],
  'cocooned-caterpillar': () => {
    const { at, shapes } = body({ tone: 'leaf', head: 'leaf-deep', thick: 11, arch: 12 });
    return [
      ...shapes,
      ...[0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8].flatMap((t, i) => {
        const [x, y] = at(t);
        return [inked(ellipse([x + (i % 2 ? 2 : -2), y - 15], 2.6, 7, (i % 2 ? 1 : -1) * 0.25), 'white', 0.8)];
      }),
    ];
  },
  bagworm: (random) => [
    inked('M12 10Q50 2 88 10L88 15Q50 8 12 15Z', 'amber', 1),
    stroke('M50 9V22', 1.6),
    inked('M50 20C66 30 68 62 50 94C32 62 34 30 50 20Z', 'brown', 1.3),
    ...Array.from({ length: 22 }, (_, i): Shape => {
      const y = 28 + i * 2.6;
      const x = 50 + (random() - 0.5) * 22 * Math.sin(((y - 20) / 74) * Math.PI);
      return { d: `M${x - 5} ${y - 3}L${x + 5} ${y + 4}`, fill: i % 2 ? 'leaf-deep' : 'olive', line: -2 };
    }),
    inked(ellipse([50, 20], 5, 4), 'dark', 0.9),
  ],
};
