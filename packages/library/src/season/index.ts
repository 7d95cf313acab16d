export { seasonModelOf, seasonQuestion } from './seasonQuestion.js';
export type { SeasonAsked, SeasonQuestion } from './seasonQuestion.js';
export { askedSeason } from './askedSeason.js';
export { troubleOf } from './seasonActions.js';
export type { OpenAction, School } from './schools.js';
