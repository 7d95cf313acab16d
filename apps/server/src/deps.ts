import type { Library } from '@field-nurse/library';
import type { Logger } from 'pino';
import type { Pool } from 'pg';
import type { Db } from './db/client.js';
import type { Clinics } from './clinic/clinics.js';
import type { Stations } from './weather/stations.js';

/** All that the server takes from outside. */
export interface Deps {
  readonly db: Db;
  readonly pool: Pool;
  readonly library: Library;
  readonly now: () => Date;
  readonly log: Logger;
  /** signs cookies */
  readonly secret: string;
  /** folder of the built pages; none in tests of the API */
  readonly webFolder?: string;
  /** the weather outside */
  readonly stations: Stations;
  /** the plant clinics that can be asked over the net */
  readonly clinics: Clinics;
  /** cookies over https only */
  readonly secureCookies: boolean;
  /** where true, the calculations need no sign-in */
  readonly openCalc: boolean;
  /** how many tries to sign in, and how many new accounts from one address, within a quarter of an hour */
  readonly signInTries: number;
}
