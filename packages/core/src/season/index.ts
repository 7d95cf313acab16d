export type { Immigration, PestModel, PestStage, SeasonTreatment } from './pestModel.js';
export { Population } from './population.js';
export type { RunFactors } from './population.js';
export { bestShares, mostNumbers, requireSeason, runStrategy } from './strategies.js';
export type { BandDay, SeasonScenario, SeasonStrategy, StrategyOutcome } from './strategies.js';
