import type { Stop, Written } from '@field-nurse/contract';
import { noSample } from './meter';
import type { Sample } from './meter';

/** What is being noted at a stop; kept on the device until the stop is saved, so that a closed page loses nothing. */
export interface StopDraft extends Sample {
  readonly signs: readonly string[];
  readonly severity: number;
  readonly rated: boolean;
  /** percent damaged, by the leaf gauge */
  readonly gauged: number | null;
  readonly damage: Stop['damage'];
  readonly helpers: number;
  readonly droppings: boolean;
  readonly eggs: boolean;
  readonly photos: readonly string[];
  readonly note: string;
  /** the open case that the finds belong to, a new one, or none */
  readonly case: string;
}

export const newCase = 'new';

export const emptyDraft = (openCase: string | undefined): StopDraft => ({
  ...noSample,
  signs: [],
  severity: 0,
  rated: false,
  gauged: null,
  damage: null,
  helpers: 0,
  droppings: false,
  eggs: false,
  photos: [],
  note: '',
  case: openCase ?? '',
});

const keyOf = (round: string, planting: string) => `field-nurse-stop ${round} ${planting}`;

/** The draft that was left at this stop, if any. */
export function readDraft(round: string, planting: string): StopDraft | undefined {
  try {
    const kept = localStorage.getItem(keyOf(round, planting));
    return kept ? { ...emptyDraft(undefined), ...(JSON.parse(kept) as StopDraft) } : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(round: string, planting: string, draft: StopDraft): void {
  localStorage.setItem(keyOf(round, planting), JSON.stringify(draft));
}

export const dropDraft = (round: string, planting: string): void => localStorage.removeItem(keyOf(round, planting));

/** Whether anything was noted at all. */
export function isFind(draft: StopDraft): boolean {
  const { signs, rated, severity, gauged, droppings, eggs, sample } = draft;
  return signs.length > 0 || (rated && severity > 0) || (gauged ?? 0) > 0 || droppings || eggs || sample.some((value) => value > 0);
}

/** The stop as it is written. */
export function stopOf(
  draft: StopDraft,
  at: { readonly roundId: string; readonly plantingId: string; readonly lookedAt: string; readonly caseId: string | null },
): Written<'stops'> {
  const { signs, severity, rated, photos, case: _, ...rest } = draft;
  return {
    ...rest,
    ...at,
    found: isFind(draft),
    signs: [...signs],
    sample: [...rest.sample],
    severity: rated ? severity : null,
    photos: [...photos],
    note: rest.note.trim(),
  };
}
