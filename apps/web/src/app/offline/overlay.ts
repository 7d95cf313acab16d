import type { GardenContents, Subject } from '@field-nurse/contract';
import type { Fields, WaitingWrite } from './waiting';

/** What the server fills in by itself, until it has answered. */
const filledIn: Readonly<Record<string, Fields>> = { scoutingRounds: { clockMended: false }, stops: { clockMended: false } };

/** A write as the record that it will become. */
export const asRecord = ({ subject, id, version, value, reckoned }: WaitingWrite): Fields & { readonly id: string } => ({
  ...filledIn[subject],
  ...value,
  ...reckoned,
  id,
  version: version + 1,
});

/** The garden with one record more, or as it is now. */
export function withRecord(contents: GardenContents, subject: Subject, record: { readonly id: string }): GardenContents {
  // A copy that an older version left on the device may not know the subject yet.
  const known = (contents as Partial<GardenContents>)[subject] as readonly { readonly id: string }[] | undefined;
  const others = (known ?? []).filter(({ id }) => id !== record.id);
  return { ...contents, [subject]: [...others, record] };
}

/** The garden with everything that still waits to be sent, in the order in which it was written. */
export const withWaiting = (contents: GardenContents, writes: readonly WaitingWrite[]): GardenContents =>
  writes.reduce((so, write) => withRecord(so, write.subject, asRecord(write)), contents);
