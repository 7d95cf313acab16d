/** How fast a trouble came. */
export type Onset = 'overnight' | 'days' | 'weeks' | 'season';
