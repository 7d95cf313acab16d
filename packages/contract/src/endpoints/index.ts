import { calculations } from './calculations.js';
import { gardensEndpoints } from './gardens.js';
import { libraryEndpoints } from './library.js';
import { peopleEndpoints } from './people.js';
import { recordsEndpoints } from './records.js';
import { seasonEndpoints } from './season.js';
import { sharingEndpoints } from './sharing.js';
import { surroundingsEndpoints } from './surroundings.js';

export { calculations } from './calculations.js';
export type { CalculationAnswer, CalculationName, CalculationRequest } from './calculations.js';
export type { Endpoint } from './endpoint.js';

/** Every operation of the API: the server serves them, the document describes them, the pages call them. */
export const endpoints = {
  ...peopleEndpoints,
  ...gardensEndpoints,
  ...sharingEndpoints,
  ...recordsEndpoints,
  ...surroundingsEndpoints,
  ...libraryEndpoints,
  ...calculations,
  ...seasonEndpoints,
} as const;

export type EndpointName = keyof typeof endpoints;
