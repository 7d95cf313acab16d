export { audpc, audps, relativeArea } from './areaUnderCurve.js';
export type { Reading } from './areaUnderCurve.js';
export { progress } from './progress.js';
export type { Progress } from './progress.js';
export { expectedSeverity, fitProgress } from './progressModel.js';
export type { ProgressFit, ProgressModelName } from './progressModel.js';
export { daysToNextLook, recoveryStatus } from './status.js';
export type { Assessment, RecoveryStatus } from './status.js';
