/** How severe one plant was, first and now. */
export interface PlantCourse {
  readonly plant: number;
  /** percent, 0 to 100 */
  readonly first: number;
  readonly last: number;
}

// Eyes can't tell closer than this, percent of the plant.
const noticeable = 3;
const fewestPlants = 3;

/**
 * Plants that lag behind their group: the group recovers, and they have come less than half as far as its middle one.
 *
 * @returns their numbers; none for a group of fewer than three, or one that does not recover
 */
export function laggingPlants(plants: readonly PlantCourse[]): number[] {
  if (plants.length < fewestPlants) return [];
  const gains = plants.map(({ first, last }) => first - last).sort((a, b) => a - b);
  const middle = (gains[Math.floor((gains.length - 1) / 2)]! + gains[Math.floor(gains.length / 2)]!) / 2;
  if (middle <= noticeable) return [];
  return plants.filter(({ first, last }) => first > noticeable && first - last < middle / 2).map(({ plant }) => plant);
}
