import { usedAmount } from '@field-nurse/core/shelf';
import { convert, dimensionOf } from '@field-nurse/core/units';
import type { Quantity } from '@field-nurse/core/units';
import type { OnShelf } from '../gardens/shelf-now';
import type { UnitSystem } from '../shared/units';
import { stockWord } from '../shared/units';

/** What stands on the shelf after a mix, and what it took of the price of its pack; nothing where that can't be told. */
export function afterMix(amount: Quantity, pack: OnShelf | undefined, system: UnitSystem): string {
  if (!pack) return '';
  const used = usedOf(amount, pack);
  if (used === null) return '';
  const { product, left } = pack;
  const word = (of: number) => stockWord(of, product.measuredIn, system);
  const cost =
    product.price !== null && product.packAmount
      ? ` It takes ${((used / product.packAmount) * product.price).toFixed(2)} of its price.`
      : '';
  if (left === null) return cost.trim();
  return used > left
    ? `Only ${word(left)} of ${product.name} are on the shelf: ${word(used - left)} are missing.${cost}`
    : `After it, ${word(left - used)} of ${product.name} are left on the shelf.${cost}`;
}

function usedOf({ unit, amount }: Quantity, { product }: OnShelf): number | null {
  const kind = dimensionOf(unit);
  return usedAmount(product, {
    productMl: kind === 'volume' ? convert({ amount, unit }, 'ml').amount : null,
    productG: kind === 'mass' ? convert({ amount, unit }, 'g').amount : null,
    productPieces: null,
  });
}
