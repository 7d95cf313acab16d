import type { Application, LabelCard, Product, StockMove } from '@field-nurse/contract';
import { cardThatCounts, productsAtHand } from '@field-nurse/core/label';
import { shelfStates, stockLeft } from '@field-nurse/core/shelf';
import type { ShelfState } from '@field-nurse/core/shelf';

/** A product as it stands on the shelf today. */
export interface OnShelf {
  readonly product: Product;
  /** in what it is measured in; `null` where nothing was ever written down */
  readonly left: number | null;
  readonly states: readonly ShelfState[];
  /** the card that counts: copied from the pack, or else from the register */
  readonly card: LabelCard | undefined;
}

interface Shelf {
  readonly products: readonly Product[];
  readonly labelCards: readonly LabelCard[];
  readonly stockMoves: readonly StockMove[];
  readonly applications: readonly Application[];
}

/** Every product that was not given up, with what is left of it. */
export const shelfNow = ({ products, labelCards, stockMoves, applications }: Shelf, today: string): OnShelf[] =>
  products
    .filter(({ endedOn }) => !endedOn)
    .map((product) => {
      const isOf = ({ productId }: { readonly productId: string | null }) => productId === product.id;
      const left = stockLeft(product, stockMoves.filter(isOf), applications.filter(isOf));
      return { product, left, states: shelfStates(product, left, today), card: cardThatCounts(labelCards.filter(isOf)) };
    });

/** The products that can be taken, as options are asked with them. */
export const atHandOf = (shelf: readonly OnShelf[], labelCards: readonly LabelCard[]) =>
  productsAtHand(
    shelf.filter(({ left }) => left === null || left > 0).map(({ product }) => product),
    labelCards,
  );
