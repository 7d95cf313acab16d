// What is being told stays with its tab, over a reload and a session that has ended. Storage may be off or full: then it lasts as long as the page.

/** Keep something under a key. */
export function remember(key: string, value: unknown): void {
  try {
    sessionStorage.setItem(key, JSON.stringify(value));
  } catch {
    // told above
  }
}

/** What was kept; nothing where nothing was, or it can not be read. */
export function remembered<T>(key: string): T | undefined {
  try {
    return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as T | null) ?? undefined;
  } catch {
    return undefined;
  }
}
