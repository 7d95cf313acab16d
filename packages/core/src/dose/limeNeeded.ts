/** How heavy the ground is; the heavier, the more lime it takes. */
export const limeSoils = ['sand', 'loam', 'clay', 'peat'] as const;
export type LimeSoil = (typeof limeSoils)[number];

// Tonnes of ground limestone a hectare for one unit of pH, to 20 cm: lime factors of the AHDB Nutrient Management Guide (RB209, 2023), section 1.
const factors: Readonly<Record<LimeSoil, number>> = { sand: 6, loam: 7, clay: 8, peat: 16 };
const gramsPerM2 = 100;
// More than ten tonnes a hectare is given in two halves (same source).
const mostAtOnce = 1000;

/** How much lime, and in how many gifts. */
export interface LimeNeeded {
  /** ground limestone, g/m² in all; 0: none */
  readonly gramsPerM2: number;
  /** 2: half dug in, and half on top the season after */
  readonly gifts: 1 | 2;
}

/**
 * Ground limestone that raises the pH of the top 20 cm.
 *
 * @param test - pH that was measured, 3 to 9, and pH that is wanted, 4 to 8
 * @throws RangeError outside of these
 * @example
 * limeNeeded({ ph: 5.8, wanted: 6.5, soil: 'loam' }) // => { gramsPerM2: 490, gifts: 1 }
 */
export function limeNeeded({ ph, wanted, soil }: { readonly ph: number; readonly wanted: number; readonly soil: LimeSoil }): LimeNeeded {
  if (!(ph >= 3 && ph <= 9)) throw new RangeError(`limeNeeded requires a measured pH from 3 to 9, got ${ph}`);
  if (!(wanted >= 4 && wanted <= 8)) throw new RangeError(`limeNeeded requires a wanted pH from 4 to 8, got ${wanted}`);
  const needed = Math.max(0, Math.round((wanted - ph) * factors[soil] * gramsPerM2));
  return { gramsPerM2: needed, gifts: needed > mostAtOnce ? 2 : 1 };
}
