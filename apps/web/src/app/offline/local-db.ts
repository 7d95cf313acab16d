import type { ClinicReport, GardenContents, Session, Stored, Subject, WeatherAnswer } from '@field-nurse/contract';
import type { DexieOptions, Table } from 'dexie';
import Dexie from 'dexie';
import { withNewFields, writeOfToday } from './older-writes';
import type { SetAside, WaitingPhoto, WaitingWrite } from './waiting';

/** What this device holds of a garden beside its records. */
export interface GardenCopy {
  readonly id: string;
  readonly head: GardenHead;
  /** first days of the older seasons that were opened here */
  readonly seasons: readonly string[];
  readonly savedAt: string;
}

/** A garden without its records. */
export type GardenHead = Pick<GardenContents, 'garden' | 'sequence' | 'season' | 'firstSeason' | 'pastCases'>;

/** One record of a garden, as this device last knew it. */
export interface RecordRow {
  readonly garden: string;
  readonly subject: Subject;
  readonly id: string;
  readonly record: Stored<Subject>;
}

/** What this device keeps for when there is no signal. */
export class LocalDb extends Dexie {
  declare readonly sessions: Table<{ readonly key: 'session'; readonly session: Session }, string>;
  declare readonly gardens: Table<GardenCopy, string>;
  declare readonly records: Table<RecordRow, [string, Subject, string]>;
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
    // One row for each record. Copies are fetched anew; what waits to be sent is kept, in the words of today.
    this.version(4)
      .stores({ records: '[garden+subject+id], garden' })
      .upgrade(async (old) => {
        await old.table('gardens').clear();
        await old
          .table<WaitingWrite>('writes')
          .toCollection()
          .modify((write, row) => void (row.value = writeOfToday(write)));
        await old
          .table<SetAside>('aside')
          .toCollection()
          .modify((one, row) => void (row.value = one.write ? { ...one, ...subjectOf(one.write), write: writeOfToday(one.write) } : one));
      });
    // Records have more fields than before: copies are fetched anew, what waits gets them.
    this.version(5).upgrade(async (old) => {
      await old.table('gardens').clear();
      await old.table('records').clear();
      await old
        .table<WaitingWrite>('writes')
        .toCollection()
        .modify((write, row) => void (row.value = withNewFields(write)));
      await old
        .table<SetAside>('aside')
        .toCollection()
        .modify((one, row) => void (row.value = one.write ? { ...one, write: withNewFields(one.write) } : one));
    });
    // Cases, looks, then applications say more than before, resting ground has events, and there are removals and drills; what waits is written without it, and the server knows what that means.
    for (const version of [6, 7, 8, 9, 10, 11])
      this.version(version).upgrade(async (old) => {
        await old.table('gardens').clear();
        await old.table('records').clear();
      });
  }
}

const subjectOf = (write: WaitingWrite) => ({ subject: writeOfToday(write).subject });
