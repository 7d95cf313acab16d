// The plan
export { boundsOf, centreOf, containsPoint, corners, movedBy, planArea, snapShift } from './shape.js';
export type { Bounds, PlanShape, Point, Rectangle } from './shape.js';
export { layOutIn, layOutUndrawn } from './layOut.js';

// The round
export { planRound, youngDays } from './roundPlan.js';
export type { RecentWeather, RoundReason, RoundStop, ToWalk } from './roundPlan.js';
export { walkingOrder, walkLength } from './walkingOrder.js';
export type { WalkStop } from './walkingOrder.js';

// Prevention
export { mulchSum, tasksDue } from './chores.js';
export type { DoneTask, DueTask, MulchSum, Task } from './chores.js';
export { quarantineState } from './quarantine.js';
export type { Quarantine, QuarantineState } from './quarantine.js';
