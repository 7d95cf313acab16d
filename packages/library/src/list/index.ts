/** Reading a list of what grows in a garden. */
export { placeNamed } from './placeNamed.js';
export type { NamedPlace } from './placeNamed.js';
export { readCells, readList } from './readList.js';
export type { ListedCells, ListedPlanting } from './readList.js';
export { firstPlaces } from './firstPlace.js';
