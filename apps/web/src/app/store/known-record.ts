import type { Stored, Subject } from '@field-nurse/contract';

/** A record as it stands, or that it is gone. */
export interface KnownRecord {
  readonly subject: Subject;
  readonly id: string;
  readonly record: Stored<Subject> | null;
}

/** Whether a record is older than the one that is known: versions only grow. */
export const isOvertaken = (known: object | undefined, record: object): boolean => versionOf(record) < versionOf(known ?? {});

const versionOf = (record: object) => (record as { readonly version?: number }).version ?? 0;
