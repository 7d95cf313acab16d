/** A run with clean water: how much went out, and over what it did. What was not measured is null. */
export interface CalibrationRun {
  readonly litres: number;
  readonly seconds: number | null;
  readonly metres: number | null;
  readonly widthM: number | null;
  readonly plants: number | null;
}

/** What a sprayer gives, as its user walks and pumps. What does not follow from what was measured is null. */
export interface Calibrated {
  readonly flowLPerMin: number | null;
  readonly litresPerM2: number | null;
  readonly litresPerPlant: number | null;
  /** how much more than when it was new, percent; below zero: less */
  readonly wearPercent: number | null;
  readonly nozzle: 'fine' | 'worn' | 'blocked' | 'unknown';
}

// A nozzle that gives a tenth more than when it was new is replaced (ASABE EP367.2); one that gives as much less is cleaned.
const wornPercent = 10;

/**
 * What follows from a run with clean water.
 *
 * @param run - litres, and at least one of: seconds; metres walked and metres wide; plants. All above 0
 * @param newFlowLPerMin - of the nozzle when new; not known: null
 * @throws RangeError for what is not above 0
 * @example
 * // 1.2 l over 20 m, 1.5 m wide, in 60 s:
 * calibrated({ litres: 1.2, seconds: 60, metres: 20, widthM: 1.5, plants: null }, 1)
 * // => flow 1.2 l/min, 0.04 l/m², wear 20 %: worn
 */
export function calibrated({ litres, seconds, metres, widthM, plants }: CalibrationRun, newFlowLPerMin: number | null): Calibrated {
  for (const [name, value] of Object.entries({ litres, seconds, metres, widthM, plants, newFlowLPerMin }))
    if (value !== null && !(value > 0 && value < Infinity)) throw new RangeError(`calibrated requires ${name} above 0, got ${value}`);
  const flowLPerMin = seconds === null ? null : litres / (seconds / 60);
  const wearPercent = flowLPerMin === null || newFlowLPerMin === null ? null : (flowLPerMin / newFlowLPerMin - 1) * 100;
  return {
    flowLPerMin,
    litresPerM2: metres === null || widthM === null ? null : litres / (metres * widthM),
    litresPerPlant: plants === null ? null : litres / plants,
    wearPercent,
    nozzle: wearPercent === null ? 'unknown' : wearPercent > wornPercent ? 'worn' : wearPercent < -wornPercent ? 'blocked' : 'fine',
  };
}
