import type { Applied } from '../gardens/applied';

/** Instant until which nobody enters without protection; nothing when all is open. */
export const keepOutUntil = (applications: readonly Applied[], now: string): string | undefined =>
  latest(applications.map(({ reEntryAt }) => reEntryAt).filter((until) => until > now));

/** First day on which the crop may be picked again; nothing when that is today or past. */
export const safeToPickFrom = (applications: readonly Applied[], today: string): string | undefined =>
  latest(applications.flatMap(({ notPickedBefore }) => notPickedBefore ?? []).filter((day) => day > today));

const latest = (times: readonly string[]): string | undefined => [...times].sort().at(-1);
