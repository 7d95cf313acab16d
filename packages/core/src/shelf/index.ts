export { shelfStates, stockLedger, stockLeft, usedAmount } from './stockLedger.js';
export type { LedgerRow, ProductUse, ShelfState, StockedProduct, StockMove } from './stockLedger.js';
