/** The main views in the order of the work, with the letter that follows "g". */
export const navigation = [
  { path: 'ground', word: 'Ground', icon: 'ground', key: 'g' },
  { path: 'settings', word: 'Settings', icon: 'settings', key: 's' },
] as const;

export const goKeys: ReadonlyMap<string, string> = new Map(navigation.map(({ key, path }) => [key, path]));
