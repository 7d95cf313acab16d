// The law
export { countedAs, harmTo, judgeByLabel, preHarvestFor } from './judgeByLabel.js';
export type { LabelQuestion } from './judgeByLabel.js';
export { rateLine } from './rateLine.js';

// What it judges
export { earlierApplications } from './earlierApplications.js';
export type {
  EarlierApplication,
  JudgedLine,
  LabelCard,
  LabelledHost,
  LabelledPlanting,
  LabelLine,
  Living,
  PlantState,
  Warmth,
} from './labelCard.js';
