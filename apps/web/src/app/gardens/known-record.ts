import type { Stored, Subject } from '@field-nurse/contract';

/** A record as it stands, or that it is gone. */
export interface KnownRecord {
  readonly subject: Subject;
  readonly id: string;
  readonly record: Stored<Subject> | null;
}
