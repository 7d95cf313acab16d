/** The main views in the order of the work, with the letter that follows "g". */
export const navigation = [
  { path: 'today', word: 'Today', icon: 'today', key: 't' },
  { path: 'ground', word: 'Ground', icon: 'ground', key: 'g' },
  { path: 'plantings', word: 'Chart', icon: 'chart', key: 'c' },
  { path: 'cases', word: 'Cases', icon: 'cases', key: 'k' },
  { path: 'log', word: 'Log', icon: 'log', key: 'l' },
  { path: 'settings', word: 'Settings', icon: 'settings', key: 's' },
] as const;

export const goKeys: ReadonlyMap<string, string> = new Map(navigation.map(({ key, path }) => [key, path]));
