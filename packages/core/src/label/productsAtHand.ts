import { cardThatCounts } from './productCard.js';
import type { ProductCard } from './productCard.js';

/**
 * The products of a shelf as options are asked with them: each with the card that counts for it.
 *
 * @param products - those that are used up or given up are left out
 * @param cards - of any products, in any order
 */
export function productsAtHand<C extends ProductCard & { readonly productId: string }>(
  products: readonly { readonly id: string; readonly name: string; readonly intervention: string; readonly endedOn: string | null }[],
  cards: readonly C[],
) {
  return products
    .filter(({ endedOn }) => !endedOn)
    .map(({ id, name, intervention }) => {
      const card = cardThatCounts(cards.filter(({ productId }) => productId === id));
      return { id, name, intervention, card: card ? asAsked(card) : null };
    });
}

/** The fields of a card that its law goes by, without those of the record around it. */
const asAsked = <C extends ProductCard>(card: C): Pick<C, keyof ProductCard> => ({
  source: card.source,
  validUntil: card.validUntil,
  soldTo: card.soldTo,
  reEntryHours: card.reEntryHours,
  rainFastHours: card.rainFastHours,
  temperatureC: card.temperatureC,
  maxWindKmh: card.maxWindKmh,
  bufferM: card.bufferM,
  bees: card.bees,
  daysBeforeFlower: card.daysBeforeFlower,
  apartFrom: card.apartFrom,
  lines: card.lines,
});
