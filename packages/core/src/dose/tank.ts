import { fromDecimal } from '../units/index.js';

/** A planting that one tank goes to. */
export interface TankTarget {
  readonly id: string;
  readonly plants: number;
  /** spray that one plant takes */
  readonly litresPerPlant: number;
  /** the most that the label allows there, in the unit and on the terms of the rate; none: the label says nothing of it */
  readonly most?: number | undefined;
}

/** What goes into one tank. */
export interface Tank {
  readonly litres: number;
  readonly rate: number;
  readonly most: number;
  /** the planting whose label line keeps the rate down; none: it is the usual rate */
  readonly strictest: string | undefined;
}

/**
 * One tank for several plantings: the water for all of them, at a rate that the strictest of their label lines allows.
 *
 * @param usual - the rate that would be taken where no label is stricter, with the most that goes for it
 * @throws RangeError if there is no planting
 * @example
 * // leeks take up to 3 g, roses up to 2 g to the litre: all of them get 2
 * tankFor({ rate: 3, most: 3 }, [
 *   { id: 'leeks', plants: 200, litresPerPlant: 0.05, most: 3 },
 *   { id: 'roses', plants: 10, litresPerPlant: 0.4, most: 2 },
 * ]) // => { litres: 14, rate: 2, most: 2, strictest: 'roses' }
 */
export function tankFor(usual: { readonly rate: number; readonly most: number }, targets: readonly TankTarget[]): Tank {
  if (targets.length === 0) throw new RangeError('tankFor requires a planting');
  const litres = targets.reduce(
    (sum, { plants, litresPerPlant }) => sum.add(fromDecimal(plants).mul(fromDecimal(litresPerPlant))),
    fromDecimal(0),
  );
  const limited = targets.filter((one): one is TankTarget & { most: number } => one.most !== undefined).sort((a, b) => a.most - b.most);
  const [strictest] = limited;
  const most = strictest?.most ?? usual.most;
  return {
    litres: litres.valueOf(),
    rate: Math.min(usual.rate, most),
    most,
    strictest: strictest && (strictest.most < usual.rate || limited.some((one) => one.most > strictest.most)) ? strictest.id : undefined,
  };
}
