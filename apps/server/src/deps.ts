import type { Library } from '@field-nurse/library';
import type { Logger } from 'pino';
import type { Pool } from 'pg';
import type { Calculator } from './calc/calculator.js';
import type { Clinics } from './clinic/clinics.js';
import type { Db } from './db/client.js';
import type { Mailer } from './mail/mail.js';
import type { PartName } from '@field-nurse/library/parts';
import type { Limits } from './people/limits.js';
import type { Strategies } from './season/strategies.js';
import type { FileStore } from './photos/fileStore.js';
import type { LabelRegister } from './shelf/registers.js';
import type { Stations } from './weather/stations.js';

/** All that the server takes from outside. */
export interface Deps {
  readonly db: Db;
  readonly pool: Pool;
  readonly library: Library;
  /** the parts of the library as JSON pressed by brotli, made by the build; none in tests of the API */
  readonly pressedParts?: Readonly<Record<PartName, Buffer>>;
  readonly calculator: Calculator;
  readonly strategies: Strategies;
  readonly now: () => Date;
  readonly log: Logger;
  /** signs cookies */
  readonly secret: string;
  /** folder of the built pages; none in tests of the API */
  readonly webFolder?: string;
  /** where pictures are kept */
  readonly photoFiles: FileStore;
  /** the weather outside */
  readonly stations: Stations;
  /** the plant clinics that can be asked over the net */
  readonly clinics: Clinics;
  /** what is registered for which crop */
  readonly labelRegister: LabelRegister;
  /** letters with invitations and new passwords */
  readonly mail: Mailer;
  /** where people reach this server: what links in letters begin with */
  readonly publicUrl: string;
  /** reached over https alone, and cookies go over it alone */
  readonly secureCookies: boolean;
  /** proxies in front, whose word on the caller's address and on https is taken; 0 for none */
  readonly proxies: number;
  /** where true, the calculations need no sign-in */
  readonly openCalc: boolean;
  readonly limits: Limits;
  /** true in tests: every answer is held against the contract */
  readonly checkAnswers: boolean;
}
