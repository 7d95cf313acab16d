// The plan
export { boundsOf, centreOf, containsPoint, corners, movedBy, planArea, snapShift } from './shape.js';
export type { Bounds, PlanShape, Point, Rectangle } from './shape.js';
export { plantSpot, rowsOf, stripsOf } from './rows.js';
export { layOutIn, layOutUndrawn } from './layOut.js';

// The round
export { collectionsOf, crowding, warmSpell } from './collections.js';
export type { Crowding, SharedPlace } from './collections.js';
export { cleanToSick, isYoung, planScoutingRound, pressingStops } from './scoutingRound.js';
export type { FirstSight, RecentWeather, RoundReason, RoundStop, ToWalk } from './scoutingRound.js';
export { walkingOrder, walkLength } from './walkingOrder.js';
export type { WalkStop } from './walkingOrder.js';

export { lastLooksOf, quarantineOf, toWalk } from './toWalk.js';
export type { RoundKnowledge, RoundLook, RoundPlanting, RoundRecords } from './toWalk.js';

// Prevention
export { mulchSum, tasksDue } from './preventionTasks.js';
export type { DoneTask, DueTask, MulchSum, Task } from './preventionTasks.js';
export { quarantineState } from './quarantine.js';
export type { Quarantine, QuarantineState } from './quarantine.js';

// Plantings over time
export { plantedOnIfKnown, plantingOn } from './plantingOn.js';
export type { PlantingEvent, PlantingHistory, PlantingState } from './plantingOn.js';
export { bedRestsOf, restsAgainst } from './bedRests.js';
export type { BedRest, GroundTest, LastingCondition, GroundCase } from './bedRests.js';

// Beside each other
export { companionsNow } from './companions.js';
export type { CompanionFacts, CompanionUse, NeedyPlanting } from './companions.js';

// Taking plants out
export { removalSteps, sourceHunt } from './removalSteps.js';
export type { PossibleSource, RemovalFacts, RemovalStep } from './removalSteps.js';

// Next season's places
export { assignment } from './assignment.js';
export { planRotation, reasonsAgainst, swapCost } from './rotation.js';
export type { GrewThere, RotationCrop, RotationPlace, RotationPlan, RotationQuestion, RotationReason, RotationSlot } from './rotation.js';
