// The law
export { countedAs, harmTo, judgeByLabel, preHarvestFor } from './judgeByLabel.js';
export type { LabelQuestion } from './judgeByLabel.js';
export { amountUsed, judgeApplied } from './judgeApplied.js';
export type { Applied } from './judgeApplied.js';
export { rateLine } from './rateLine.js';

// The label of a product in hand
export { cardFor } from './cardFor.js';
export { cardDifferences } from './cardDifferences.js';
export type { CardDifference } from './cardDifferences.js';
export { cardThatCounts } from './productCard.js';
export type { CardLine, ProductCard } from './productCard.js';
export { productsAtHand } from './productsAtHand.js';
export { linesFor } from './linesFor.js';
export { usedRate } from './usedRate.js';

// What it judges
export { earlierApplications } from './earlierApplications.js';
export type {
  ApplicationWeather,
  CardRate,
  EarlierApplication,
  JudgedLine,
  LabelCard,
  LabelledHost,
  LabelledPlanting,
  LabelLine,
  Living,
  PlantState,
  UsedAmount,
} from './labelCard.js';
