/** A pack whose stock is reckoned, with the unit that it is measured in. */
export interface StockedProduct {
  readonly measuredIn: 'ml' | 'g' | 'pieces';
  /** turns a volume into a mass; none: the two are not turned into each other */
  readonly densityGPerMl: number | null;
  readonly packAmount: number | null;
  readonly lowAt: number | null;
  readonly bestBefore: string | null;
}

export interface StockMove {
  /** instant, ISO 8601 in UTC */
  readonly movedAt: string;
  /** `counted` says how much stood there; the others what came or went */
  readonly kind: 'bought' | 'counted' | 'spilled' | 'given-away' | 'disposed';
  /** 0 or more, in what the product is measured in */
  readonly amount: number;
}

/** An application that used the product. */
export interface ProductUse {
  /** instant, ISO 8601 in UTC */
  readonly appliedAt: string;
  readonly productMl: number | null;
  readonly productG: number | null;
  readonly productPieces: number | null;
}

/** A row of the ledger: what happened, what changed, and what was left after it. */
export interface LedgerRow<M extends StockMove, U extends ProductUse> {
  readonly at: string;
  readonly of: { readonly kind: 'move'; readonly move: M } | { readonly kind: 'use'; readonly use: U };
  /** `null` where the amount was not noted, or is measured otherwise and no density is known */
  readonly change: number | null;
  readonly left: number;
}

/**
 * The ledger of a product: what was bought, used, spilled, given away and disposed of, oldest first.
 *
 * What an application used is its own amount: nothing is written twice, and who corrects the log has corrected the stock. A count sets
 * the stock to what was found. What falls below zero is shown so: something was not written down.
 *
 * @param moves - in any order
 * @param uses - in any order; at the same instant they come before a count
 */
export function stockLedger<M extends StockMove, U extends ProductUse>(
  product: StockedProduct,
  moves: readonly M[],
  uses: readonly U[],
): LedgerRow<M, U>[] {
  const events = [
    ...uses.map((use) => ({ at: use.appliedAt, counted: 0, of: { kind: 'use' as const, use } })),
    ...moves.map((move) => ({ at: move.movedAt, counted: move.kind === 'counted' ? 1 : 0, of: { kind: 'move' as const, move } })),
  ].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || a.counted - b.counted);
  let left = 0;
  return events.map(({ at, of }) => {
    const change = of.kind === 'use' ? usedAmount(product, of.use, -1) : changeBy(of.move, left);
    left = rounded(left + (change ?? 0));
    return { at, of, change, left };
  });
}

/** What is left now; `null` where nothing was ever written down of it. */
export function stockLeft(product: StockedProduct, moves: readonly StockMove[], uses: readonly ProductUse[]): number | null {
  return moves.length === 0 ? null : stockLedger(product, moves, uses).at(-1)!.left;
}

/** What speaks of a product on its shelf, worst first. */
export type ShelfState = 'below-zero' | 'past-date' | 'empty' | 'low';

/**
 * What is to be said of a product on its shelf.
 *
 * @param left - as {@link stockLeft} gives it
 * @param on - the day
 */
export function shelfStates({ bestBefore, lowAt }: StockedProduct, left: number | null, on: string): ShelfState[] {
  return [
    ...(left !== null && left < 0 ? ['below-zero' as const] : []),
    ...(bestBefore !== null && bestBefore < on ? ['past-date' as const] : []),
    ...(left === 0 ? ['empty' as const] : []),
    ...(left !== null && left > 0 && lowAt !== null && left <= lowAt ? ['low' as const] : []),
  ];
}

/**
 * What an application used, in what the product is measured in.
 *
 * @returns `null` where no amount was noted, or where it is of another kind and no density is known
 */
export function usedAmount(
  { measuredIn, densityGPerMl: density }: Pick<StockedProduct, 'measuredIn' | 'densityGPerMl'>,
  { productMl, productG, productPieces }: Omit<ProductUse, 'appliedAt'>,
  sign: 1 | -1 = 1,
): number | null {
  const of = {
    ml: productMl ?? (productG !== null && density ? productG / density : null),
    g: productG ?? (productMl !== null && density ? productMl * density : null),
    pieces: productPieces,
  }[measuredIn];
  return of === null ? null : sign * of || 0;
}

const changeBy = ({ kind, amount }: StockMove, left: number) =>
  kind === 'bought' ? amount : kind === 'counted' ? rounded(amount - left) : -amount;

// Sums of decimals leave crumbs far below a drop.
const rounded = (amount: number) => Number(amount.toFixed(6)) || 0;
