import type { Subject } from '@field-nurse/contract';

export type Fields = Readonly<Record<string, unknown>>;

/** A write that waits to be sent. The same change id goes with it however often it is sent. */
export interface WaitingWrite {
  /** given by the store, in the order of writing */
  readonly sequence?: number;
  readonly garden: string;
  readonly subject: Subject;
  readonly id: string;
  readonly change: string;
  /** of the record that it was made from, 0 for a new one */
  readonly version: number;
  readonly value: Fields;
  /** the record that it was made from: what merging starts from */
  readonly base: Fields | null;
  readonly at: string;
}

/** A photo that waits to be sent; once sent it is kept here no longer. */
export interface WaitingPhoto {
  readonly id: string;
  readonly garden: string;
  readonly image: Blob;
  readonly at: string;
}

/** Something that could not be sent as it was: nothing is lost without being shown. */
export interface SetAside {
  readonly sequence?: number;
  readonly garden: string;
  readonly subject: Subject | 'photos';
  readonly id: string;
  /** why, in words for the gardener */
  readonly why: string;
  /** what was not taken over, by field */
  readonly lost: Fields;
  readonly at: string;
}
