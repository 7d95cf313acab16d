// What is drawn, with what is known of it
export { damagedLeaf } from './damagedLeaf.js';
export type { DamagedLeaf, DamageShape, DamageSpread } from './damagedLeaf.js';
export { gatheredBelow } from './gathered.js';
export { standSeverities } from './standSeverities.js';
export type { StandPattern } from './standSeverities.js';
export { crawlersOn } from './crawlers.js';
export type { Crawler } from './crawlers.js';
export { areaGrid } from './areaGrid.js';
export type { AreaGrid, Point } from './areaGrid.js';

// How the eye did
export { agreement } from './agreement.js';
export type { Agreement, Guess } from './agreement.js';
export { fewestGuesses, triedEye } from './eyeCorrection.js';
export type { CorrectedEye, TriedEye } from './eyeCorrection.js';

// Telling look-alikes apart
export { beliefAfter, bestLook, scoreLooks, worthOf } from './lookAlikes.js';
export type { LookAlike, ScoredLook, TakenLook } from './lookAlikes.js';

// What comes next
export { gradeOfChoice, gradeOfCount, gradeOfLooks, gradeOfPercent } from './grade.js';
export { drillOrder, dueTimes } from './schedule.js';
export type { DrillItem, Grade, Review } from './schedule.js';
