import type { Subject } from '@field-nurse/contract';

export type Fields = Readonly<Record<string, unknown>>;

interface Kept {
  readonly garden: string;
  /** who wrote it, and under whose name alone it is sent; none where an older version of the pages kept it */
  readonly person?: string | undefined;
  readonly at: string;
  /** how often the server failed at it while it was well otherwise */
  readonly failures?: number;
}

/** A write that waits to be sent. The same change id goes with it however often it is sent. */
export interface WaitingWrite extends Kept {
  /** given by the store, in the order of writing */
  readonly sequence?: number;
  readonly subject: Subject;
  readonly id: string;
  readonly change: string;
  /** of the record that it was made from, 0 for a new one */
  readonly version: number;
  readonly value: Fields;
  /** what the server will make of it, as this device reckons it */
  readonly reckoned?: Fields;
  /** the record that it was made from: what merging starts from */
  readonly base: Fields | null;
}

/** A photo that waits to be sent; once sent it is kept here no longer. */
export interface WaitingPhoto extends Kept {
  readonly id: string;
  readonly image: Blob;
}

/** Something that could not be sent as it was: nothing is lost without being shown. */
export interface SetAside extends Kept {
  readonly sequence?: number;
  readonly subject: Subject | 'photos';
  readonly id: string;
  /** why, in words for the gardener */
  readonly why: string;
  /** what was not taken over, by field */
  readonly lost: Fields;
  /** the whole write, where all of it was refused: it can be corrected and sent again */
  readonly write?: WaitingWrite;
  /** the photo itself */
  readonly image?: Blob;
}

/** Whether somebody may send this, and sees it. */
export const isOf =
  (person: string | null) =>
  ({ person: maker }: Kept): boolean =>
    maker === undefined || maker === person;
