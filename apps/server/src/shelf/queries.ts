import type { Stored } from '@field-nurse/contract';
import { cardThatCounts, productsAtHand } from '@field-nurse/core/label';
import { stockLeft } from '@field-nurse/core/shelf';
import { and, eq } from 'drizzle-orm';
import { applications } from '../applications/tables.js';
import type { Db } from '../db/client.js';
import { recordById, recordsOf } from '../records/recordStore.js';
import { labelCards, stockMoves } from './tables.js';

type Reader = Pick<Db, 'select'>;

/** The card of a product that counts: copied from the pack before read from the register; none: typical figures stand in. */
export async function cardOf(db: Reader, gardenId: string, productId: string): Promise<Stored<'labelCards'> | undefined> {
  const rows = await db
    .select({ id: labelCards.id })
    .from(labelCards)
    .where(and(eq(labelCards.gardenId, gardenId), eq(labelCards.productId, productId)));
  const cards = await Promise.all(rows.map(({ id }) => recordById(db, 'labelCards', gardenId, id)));
  return cardThatCounts(cards.flatMap((card) => card ?? []));
}

/** The products of a garden that can be taken, with the cards that count for them: what is used up decides nothing, as on the pages. */
export async function shelfOf(db: Reader, gardenId: string) {
  const products = await recordsOf(db, 'products', gardenId);
  const there = await Promise.all(
    products.map(async (product) => {
      const left = stockLeft(product, await movesOf(db, gardenId, product.id), await usesOf(db, gardenId, product.id));
      return left === null || left > 0 ? [product] : [];
    }),
  );
  return productsAtHand(there.flat(), await recordsOf(db, 'labelCards', gardenId));
}

/**
 * What would be left of a product after a move.
 *
 * @param id - of the move: as it is kept it does not count
 */
export async function leftAfter(db: Reader, gardenId: string, product: Stored<'products'>, id: string, move: Move): Promise<number | null> {
  const moves = (await movesOf(db, gardenId, product.id)).filter((one) => one.id !== id);
  return stockLeft(product, [...moves, move], await usesOf(db, gardenId, product.id));
}

type Move = Pick<Stored<'stockMoves'>, 'movedAt' | 'kind' | 'amount'>;

async function movesOf(db: Reader, gardenId: string, productId: string): Promise<(Move & { readonly id: string })[]> {
  const rows = await db
    .select({ id: stockMoves.id, movedAt: stockMoves.movedAt, kind: stockMoves.kind, amount: stockMoves.amount })
    .from(stockMoves)
    .where(and(eq(stockMoves.gardenId, gardenId), eq(stockMoves.productId, productId)));
  return rows as (Move & { readonly id: string })[];
}

const usesOf = (db: Reader, gardenId: string, productId: string) =>
  db
    .select({
      appliedAt: applications.appliedAt,
      productMl: applications.productMl,
      productG: applications.productG,
      productPieces: applications.productPieces,
    })
    .from(applications)
    .where(and(eq(applications.gardenId, gardenId), eq(applications.productId, productId)));
