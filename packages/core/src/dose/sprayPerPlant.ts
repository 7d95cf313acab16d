/** How a plant stands. */
export type Habit = 'tuft' | 'bush' | 'climber' | 'blades' | 'tree' | 'tray' | 'heap';

// What wets both sides of all leaves to the point of dripping, for a grown plant of middling size; our own round figures.
const litres: Readonly<Record<Habit, number>> = { tuft: 0.08, bush: 0.4, climber: 0.3, blades: 0.05, tree: 2, tray: 0.2, heap: 2 };

/** Spray that one plant takes over its leaves, litres: a first guess, which the gardener puts right. */
export const sprayPerPlant = (habit: Habit): number => litres[habit];
