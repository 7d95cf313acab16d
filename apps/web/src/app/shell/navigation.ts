/** The main views in the order of the work, with the letter that follows "g"; those that a phone shows first are marked. */
export const navigation = [
  { path: 'today', word: 'Today', icon: 'today', key: 't', phone: true },
  { path: 'round', word: 'Round', icon: 'round', key: 'r', phone: true },
  { path: 'ground', word: 'Ground', icon: 'ground', key: 'g', phone: true },
  { path: 'plantings', word: 'Chart', icon: 'chart', key: 'c', phone: false },
  { path: 'cases', word: 'Cases', icon: 'cases', key: 'k', phone: true },
  { path: 'log', word: 'Log', icon: 'log', key: 'l', phone: false },
  { path: 'traps', word: 'Traps', icon: 'traps', key: 'a', phone: false },
  { path: 'prevention', word: 'Prevention', icon: 'prevention', key: 'p', phone: false },
  { path: 'leaf-gauge', word: 'Leaf gauge', icon: 'leaf-gauge', key: 'e', phone: false },
  { path: 'weather', word: 'Weather', icon: 'weather', key: 'w', phone: false },
  { path: 'library', word: 'Library', icon: 'library', key: 'b', phone: false },
  { path: 'settings', word: 'Settings', icon: 'settings', key: 's', phone: false },
] as const;

export const goKeys: ReadonlyMap<string, string> = new Map(navigation.map(({ key, path }) => [key, path]));
