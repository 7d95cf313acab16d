import type { ClinicReport, GardenContents, Session, WeatherAnswer } from '@field-nurse/contract';
import type { DexieOptions, Table } from 'dexie';
import Dexie from 'dexie';
import type { SetAside, WaitingPhoto, WaitingWrite } from './waiting';

/** A garden as this device last knew it. */
export interface GardenCopy {
  readonly id: string;
  readonly contents: GardenContents;
  readonly savedAt: string;
}

/** What this device keeps for when there is no signal. */
export class LocalDb extends Dexie {
  declare readonly sessions: Table<{ readonly key: 'session'; readonly session: Session }, string>;
  declare readonly gardens: Table<GardenCopy, string>;
  declare readonly writes: Table<WaitingWrite, number>;
  declare readonly photos: Table<WaitingPhoto, string>;
  declare readonly weather: Table<{ readonly garden: string; readonly answer: WeatherAnswer }, string>;
  declare readonly clinics: Table<{ readonly garden: string; readonly reports: readonly ClinicReport[] }, string>;
  declare readonly aside: Table<SetAside, number>;

  /** @param options - another IndexedDB than the browser's, for tests */
  constructor(options?: DexieOptions) {
    super('field-nurse', options);
    this.version(1).stores({
      sessions: 'key',
      gardens: 'id',
      writes: '++sequence, garden',
      photos: 'id, garden',
      aside: '++sequence, garden',
    });
    this.version(2).stores({ weather: 'garden' });
    this.version(3).stores({ clinics: 'garden' });
  }
}
