import { gaugeLeaf, renderLeaf } from '@field-nurse/core/leaf';
import type { RenderOptions } from '@field-nurse/core/leaf';

/** Mean absolute error of the leaf gauge on drawn leaves whose damage is known, in points of percent. */
const shapes = ['ovate', 'lance', 'heart', 'round', 'toothed'] as const;
const perShape = 6;
const size = { width: 480, height: 360 };
const looks: Readonly<Record<string, Partial<RenderOptions>>> = {
  clean: {},
  grain: { noise: 14 },
  blur: { blur: 3 },
  shadow: { shadow: 0.45 },
  tilt: { tilt: 25 },
  'all four': { noise: 10, blur: 2, shadow: 0.35, tilt: 20 },
};

const leaves: RenderOptions[] = shapes.flatMap((shape, s) =>
  Array.from({ length: perShape }, (_, i) => ({
    seed: s * 1000 + i * 17 + 1,
    shape,
    holes: i % 5,
    bites: (i + s) % 4,
    spots: (i * 3) % 8,
  })),
);

console.log(`leaf gauge, ${leaves.length} drawn leaves of ${shapes.length} shapes, mean absolute error in points of percent:`);
for (const [name, look] of Object.entries(looks)) {
  const errors = leaves.map((leaf) => {
    const { picture, eatenPercent, discolouredPercent } = renderLeaf({ ...leaf, ...look, ...size });
    const started = performance.now();
    const reading = gaugeLeaf(picture, { blade: 'simple' });
    return {
      ms: performance.now() - started,
      eaten: Math.abs(reading.eatenPercent - eatenPercent),
      discoloured: Math.abs(reading.discolouredPercent - discolouredPercent),
      damaged: Math.abs(reading.damagedPercent - eatenPercent - discolouredPercent),
      inside: Math.abs(reading.damagedPercent - eatenPercent - discolouredPercent) <= reading.uncertainty,
    };
  });
  const mean = (key: 'ms' | 'eaten' | 'discoloured' | 'damaged') =>
    (errors.reduce((sum, one) => sum + one[key], 0) / errors.length).toFixed(key === 'ms' ? 0 : 2);
  const worst = Math.max(...errors.map(({ damaged }) => damaged)).toFixed(1);
  const covered = ((100 * errors.filter(({ inside }) => inside).length) / errors.length).toFixed(0);
  console.log(
    `  ${name.padEnd(9)} eaten ${mean('eaten')}  discoloured ${mean('discoloured')}  damaged ${mean('damaged')} (worst ${worst}; within its own doubt ${covered} %)  ${mean('ms')} ms each`,
  );
}
