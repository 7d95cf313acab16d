/** Instant until which nobody enters without protection; nothing when all is open. */
export const keepOutUntil = (applied: readonly { readonly reEntryAt: string }[], now: string): string | undefined =>
  latest(applied.map(({ reEntryAt }) => reEntryAt).filter((until) => until > now));

/** First day on which the crop may be picked again; nothing when that is today or past. */
export const notPickedUntil = (applied: readonly { readonly notPickedBefore: string | null }[], today: string): string | undefined =>
  latest(applied.flatMap(({ notPickedBefore }) => notPickedBefore ?? []).filter((day) => day > today));

const latest = (times: readonly string[]): string | undefined => [...times].sort().at(-1);
