// A pest model of one's own, as the endpoint takes it
export type { Immigration, PestModel, PestStage, SeasonTreatment } from './pestModel.js';
export { Population } from './population.js';
export type { RunFactors } from './population.js';
export { bestShares, requireSeason, runStrategy } from './strategies.js';
export type { BandDay } from './runBands.js';
export type { SeasonScenario, SeasonStrategy, StrategyOutcome } from './strategies.js';

// Troubles of the library in a garden's season
export { generationDays } from './generationDays.js';
export { requireTrouble } from './troubleModel.js';
export type { Arrivals, DiseaseTrouble, Enemies, Harm, PestTrouble, Resistance, TroubleModel, TroubleStage } from './troubleModel.js';
export type { CropGrowth, RunChances } from './troubleSeason.js';
export type { KnownDay, SeasonCalendar, SeasonDay } from './seasonDays.js';
export type { SeasonAction, Span } from './seasonAction.js';
export type { TriedStrategy, When } from './seasonPolicy.js';
export { mostRuns, requireTrial, trySeason } from './trySeason.js';
export type { FittedRun, SeasonTrial, TriedSeason } from './trySeason.js';
export { fitSeason } from './fitSeason.js';
export type { CountedDay } from './fitSeason.js';
export { groundYears } from './groundYears.js';
export type { GroundTrouble, GroundYear } from './groundYears.js';
export { standingsOf, whatDecides } from './compareSeasons.js';
export type { Decider, SeasonStanding } from './compareSeasons.js';
