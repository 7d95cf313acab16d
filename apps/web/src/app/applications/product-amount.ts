import type { Application, Written } from '@field-nurse/contract';
import type { Intervention } from '@field-nurse/library';
import { convert, dimensionOf } from '@field-nurse/core/units';
import { stockWord } from '../shared/units';
import type { UnitSystem } from '../shared/units';

/** Units in which a gardener may say how much product it was; `pieces` for sachets, mites and cards. */
export const productUnits = ['ml', 'l', 'g', 'kg', 'tsp-us', 'tbsp-us', 'floz-us', 'oz', 'lb', 'pieces'] as const;
export type ProductUnit = (typeof productUnits)[number];

type Kept = Pick<Written<'applications'>, 'productMl' | 'productG' | 'productPieces'>;

/** An amount as it is kept: by volume in ml, by mass in g, or by the piece. */
export function keptProduct(amount: number | null, unit: ProductUnit | null): Kept {
  const none: Kept = { productMl: null, productG: null, productPieces: null };
  if (amount === null || unit === null) return none;
  if (unit === 'pieces') return { ...none, productPieces: amount };
  const isVolume = dimensionOf(unit) === 'volume';
  const kept = Number(convert({ amount, unit }, isVolume ? 'ml' : 'g').amount.toPrecision(9));
  return isVolume ? { ...none, productMl: kept } : { ...none, productG: kept };
}

/** The amount that was kept, for a form to change. */
export function productOf({ productMl, productG, productPieces }: Kept): { amount: number | null; unit: ProductUnit | null } {
  if (productMl !== null) return { amount: productMl, unit: 'ml' };
  if (productG !== null) return { amount: productG, unit: 'g' };
  return { amount: productPieces, unit: productPieces === null ? null : 'pieces' };
}

/** "60 g", "2.1 oz", "6 pieces", "43 collected" */
export function productWord(application: Pick<Application, keyof Kept | 'collected'>, system: UnitSystem): string {
  const { amount, unit } = productOf(application);
  const used = amount === null || unit === null ? '' : stockWord(amount, unit as 'ml' | 'g' | 'pieces', system);
  return [used, collectedWord(application)].filter(Boolean).join(', ');
}

/** Work of hands by which something is collected that can be counted: picking off, squashing, vacuuming, traps. */
export const isCollecting = (card: Pick<Intervention, 'rung' | 'reach'> | undefined): boolean =>
  card?.reach === 'physical' && (card.rung === 'hand' || card.rung === 'trap');

/** "43 collected" */
export const collectedWord = ({ collected }: Pick<Application, 'collected'>): string =>
  // What older pages kept on a device does not have it.
  typeof collected === 'number' ? `${collected.toLocaleString('en')} collected` : '';
