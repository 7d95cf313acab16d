import type { Product } from '@field-nurse/contract';
import { productNeeded, rateAt, sprayPerPlant } from '@field-nurse/core/dose';
import { cardFor } from '@field-nurse/core/label';
import type { LabelCard } from '@field-nurse/core/label';
import { usedAmount } from '@field-nurse/core/shelf';
import type { Host, Intervention } from '@field-nurse/library';
import type { OnShelf } from './shelf-now';

/** What a pack is worth for one treatment of a planting. */
export interface PackInHand {
  /** the card that counts for it here */
  readonly card: Intervention & Pick<LabelCard, 'allowedRate'>;
  /** what one treatment takes at most, in what the product is measured in; nothing where that can't be told */
  readonly needed: number | undefined;
  /** how many treatments are left in it; nothing where that can't be told */
  readonly times: number | undefined;
}

/**
 * A pack held against a planting: how much of it one treatment takes at the highest rate, and how often it is enough for.
 *
 * @param targets - conditions that it is used against
 */
export function packInHand(
  typical: Intervention,
  { product, left, card: label }: OnShelf,
  host: Host,
  targets: readonly string[],
  plants: number,
): PackInHand {
  const card: PackInHand['card'] = label ? cardFor(typical, label, host, targets) : typical;
  const rate = card.allowedRate ? { ...card.allowedRate, amount: card.allowedRate.high } : typicalRate(typical, product);
  const quantity = rate && productNeeded(rate, { plants, litresPerPlant: litresOn(typical, host) });
  const needed = quantity
    ? usedAmount(product, {
        productMl: quantity.unit === 'ml' ? quantity.amount : null,
        productG: quantity.unit === 'g' ? quantity.amount : null,
        productPieces: null,
      })
    : null;
  return {
    card,
    needed: needed ?? undefined,
    times: needed && left !== null ? Math.max(0, Math.floor(left / needed + 1e-9)) : undefined,
  };
}

/** The typical rate for a product of this strength; none where the strength is not known. */
function typicalRate({ rate }: Intervention, { strength }: Product) {
  if (!rate || (strength && strength.unit !== rate.strength.unit)) return undefined;
  const { most } = rateAt(rate, strength?.amount ?? rate.strength.amount);
  return { amount: most, unit: rate.unit, per: rate.per } as Parameters<typeof productNeeded>[0];
}

const litresOn = ({ rate }: Intervention, { habit }: Host) =>
  rate?.coverage?.per === 'plant' && rate.coverage.unit === 'l' ? rate.coverage.amount : sprayPerPlant(habit);
