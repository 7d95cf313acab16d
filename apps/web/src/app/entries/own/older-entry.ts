/** An entry that was written before interventions had that name, in today's words. */
export function entryOfToday<T extends object>(entry: T): T {
  const { treat } = entry as { treat?: unknown };
  if (!Array.isArray(treat)) return entry;
  const renamed = treat.map((one: object) => {
    if (!('use' in one)) return one;
    const { use, ...rest } = one;
    return { intervention: use, ...rest };
  });
  return { ...entry, treat: renamed };
}
