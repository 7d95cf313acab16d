interface View {
  /** first part of the address below the garden's */
  readonly path: string;
  readonly word: string;
  /** the letter that follows "g" */
  readonly key: string;
}

interface Room {
  readonly word: string;
  readonly icon: string;
  readonly views: readonly View[];
}

/** The rooms of a garden, in the order of the work; each has its views, of which the first is where one enters. */
export const rooms: readonly Room[] = [
  { word: 'Today', icon: 'today', views: [{ path: 'today', word: 'Today', key: 't' }] },
  {
    word: 'Walk',
    icon: 'round',
    views: [
      { path: 'round', word: 'Round', key: 'r' },
      { path: 'traps', word: 'Traps', key: 'a' },
      { path: 'prevention', word: 'Prevention', key: 'p' },
      { path: 'around', word: 'Around', key: 'u' },
      { path: 'leaf-gauge', word: 'Leaf gauge', key: 'e' },
    ],
  },
  {
    word: 'Garden',
    icon: 'ground',
    views: [
      { path: 'ground', word: 'Ground', key: 'g' },
      { path: 'plantings', word: 'Chart', key: 'c' },
      { path: 'rests', word: 'Rests', key: 'v' },
    ],
  },
  {
    word: 'Cases',
    icon: 'cases',
    views: [
      { path: 'cases', word: 'Cases', key: 'k' },
      { path: 'plan', word: 'Plan', key: 'd' },
      { path: 'shelf', word: 'Shelf', key: 'h' },
      { path: 'log', word: 'Log', key: 'l' },
    ],
  },
  {
    word: 'Learn',
    icon: 'library',
    views: [
      { path: 'almanac', word: 'Almanac', key: 'm' },
      { path: 'season', word: 'Season', key: 'n' },
      { path: 'drills', word: 'Drills', key: 'i' },
      { path: 'report', word: 'Report', key: 'o' },
      { path: 'library', word: 'Library', key: 'b' },
    ],
  },
];

/** What is set up once and seldom looked at: it stands aside from the rooms. */
export const household: Room = {
  word: 'Settings',
  icon: 'settings',
  views: [
    { path: 'settings', word: 'Settings', key: 's' },
    { path: 'weather', word: 'Weather', key: 'w' },
  ],
};

/** Every main view. */
export const navigation: readonly View[] = [...rooms, household].flatMap(({ views }) => views);

export const goKeys: ReadonlyMap<string, string> = new Map(navigation.map(({ key, path }) => [key, path]));

/** The room that an address lies in ("/g/1/traps/2" in Walk); nothing where it is in none. */
export function roomAt(address: string): Room | undefined {
  const path = /^\/g\/[^/]+\/([^/?#]+)/.exec(address)?.[1];
  return [...rooms, household].find(({ views }) => views.some((view) => view.path === path));
}
