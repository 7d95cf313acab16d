const browsers: readonly (readonly [string, RegExp])[] = [
  ['Edge', /Edg/],
  ['Firefox', /Firefox|FxiOS/],
  ['Chromium', /Chrome|CriOS|Chromium/],
  ['Safari', /Safari/],
];
const systems: readonly (readonly [string, RegExp])[] = [
  ['Android', /Android/],
  ['iPhone', /iPhone/],
  ['iPad', /iPad/],
  ['Windows', /Windows/],
  ['Mac', /Macintosh/],
  ['Linux', /Linux/],
];

/** "Firefox on Android": what a browser says of itself, as far as a person can tell devices apart by it. */
export function deviceWord(userAgent: string): string {
  const find = (list: typeof browsers) => list.find(([, pattern]) => pattern.test(userAgent))?.[0];
  const [browser, system] = [find(browsers), find(systems)];
  return browser ? `${browser}${system ? ` on ${system}` : ''}` : userAgent;
}
