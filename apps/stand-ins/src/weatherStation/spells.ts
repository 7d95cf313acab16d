/** A stretch of days that the made-up scenario wants to be so. */
export interface Spell {
  readonly from: string;
  readonly until: string;
  /** how wet the days are, from −1 to 1 */
  readonly wetter: number;
  readonly warmerC: number;
}

/** The seasons of the invented tidal river: what the demo garden's stories speak of. */
export const spells: readonly Spell[] = [
  { from: '2025-06-01', until: '2025-06-10', wetter: 0.5, warmerC: -1 },
  { from: '2025-07-25', until: '2025-08-08', wetter: -0.7, warmerC: 3 },
  { from: '2026-06-05', until: '2026-06-08', wetter: 1, warmerC: -2 },
  { from: '2026-06-22', until: '2026-07-04', wetter: -1, warmerC: 4 },
  { from: '2026-07-06', until: '2026-07-14', wetter: 0.8, warmerC: -1 },
  { from: '2026-07-18', until: '2026-07-20', wetter: -0.8, warmerC: 1 },
  { from: '2026-07-21', until: '2026-07-23', wetter: 0.8, warmerC: 0 },
];
