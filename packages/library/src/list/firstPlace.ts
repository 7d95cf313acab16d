import type { NamedPlace } from './placeNamed.js';

/** A place for plants of which nobody has said yet where they stand, by how they stand. */
export const firstPlaces: Readonly<Record<NamedPlace['setting'], NamedPlace>> = {
  indoor: { name: 'Indoors', kind: 'windowsill', setting: 'indoor' },
  outdoor: { name: 'Outdoors', kind: 'bed', setting: 'outdoor' },
  greenhouse: { name: 'Under cover', kind: 'greenhouse', setting: 'greenhouse' },
  hydroponic: { name: 'Water culture', kind: 'trough', setting: 'hydroponic' },
};
