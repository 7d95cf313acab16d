// The law
export { judgeByLabel } from './judgeByLabel.js';
export type { LabelQuestion } from './judgeByLabel.js';
export { rateLine } from './rateLine.js';

// What it judges
export { earlierApplications } from './earlierApplications.js';
export type { EarlierApplication, JudgedLine, LabelCard, LabelledPlanting, LabelLine, Warmth } from './labelCard.js';
