/** Something that changes what is true of a planting, from a day on. Days are calendar days, both ends included. */
export type PlantingEvent<Setting extends string = string> =
  | { readonly kind: 'moved'; readonly on: string; readonly placeId: string; readonly setting: Setting }
  | { readonly kind: 'flowering'; readonly on: string; readonly until: string | null }
  | { readonly kind: 'harvest'; readonly on: string; readonly until: string | null }
  | { readonly kind: 'stage'; readonly on: string; readonly stage: string }
  | { readonly kind: 'ended'; readonly on: string };

export interface PlantingHistory<Setting extends string = string> {
  /** where it was planted, and how it stood there */
  readonly placeId: string;
  readonly setting: Setting;
  readonly events: readonly PlantingEvent<Setting>[];
}

/** A planting as it stands on one day. */
export interface PlantingState<Setting extends string = string> {
  readonly placeId: string;
  readonly setting: Setting;
  readonly inFlower: boolean;
  readonly stage: string | null;
  /** the window in which it is picked now, or else the next one that is planned */
  readonly harvest: { readonly from: string; readonly until: string | null } | null;
  /** first day after this one on which it is to flower, as planned */
  readonly nextFlowerOn: string | null;
  /** whether it is being picked */
  readonly picked: boolean;
  /** first day from this one on on which it may be picked */
  readonly nextHarvestOn: string | null;
  /** the day on which it ended, if it has by then */
  readonly endedOn: string | null;
}

/**
 * What is true of a planting on a day, from what happened to it.
 *
 * Of two events of a kind the later one counts; on one day, the one that was noted later. What is planned for a later day is not true yet,
 * except that a harvest to come is the next harvest. A flowering or a harvest without an end lasts as long as the planting.
 *
 * @param day - calendar day
 * @example
 * plantingOn({ placeId: 'bed', setting: 'outdoor', events: [{ kind: 'harvest', on: '2026-07-20', until: null }] }, '2026-07-18').nextHarvestOn
 * // => '2026-07-20'
 */
export function plantingOn<Setting extends string>(planting: PlantingHistory<Setting>, day: string): PlantingState<Setting> {
  const past = planting.events.filter(({ on }) => on <= day).sort((a, b) => a.on.localeCompare(b.on));
  const last = <K extends PlantingEvent['kind']>(kind: K) =>
    past.findLast((event): event is Extract<PlantingEvent<Setting>, { kind: K }> => event.kind === kind);
  const moved = last('moved');
  const flowering = last('flowering');
  const endedOn = last('ended')?.on ?? null;
  const harvest = endedOn ? null : harvestOn(planting.events, day);
  return {
    placeId: moved?.placeId ?? planting.placeId,
    setting: moved?.setting ?? planting.setting,
    inFlower: !endedOn && flowering !== undefined && (flowering.until === null || flowering.until >= day),
    stage: last('stage')?.stage ?? null,
    nextFlowerOn: endedOn ? null : firstAfter(day, planting.events),
    harvest,
    picked: harvest !== null && harvest.from <= day,
    nextHarvestOn: harvest && (harvest.from > day ? harvest.from : day),
    endedOn,
  };
}

/** The day on which it was planted; nothing where that was only taken for granted when it was written down. */
export const plantedOnIfKnown = ({
  plantedOn,
  assumed,
}: {
  readonly plantedOn: string;
  readonly assumed: readonly string[];
}): string | null => (assumed.includes('plantedOn') ? null : plantedOn);

const firstAfter = (day: string, events: readonly PlantingEvent[]): string | null =>
  events.flatMap(({ kind, on }) => (kind === 'flowering' && on > day ? [on] : [])).sort()[0] ?? null;

function harvestOn(events: readonly PlantingEvent[], day: string): PlantingState['harvest'] {
  const windows = events
    .flatMap((event) => (event.kind === 'harvest' ? [{ from: event.on, until: event.until }] : []))
    .filter(({ until }) => until === null || until >= day)
    .sort((a, b) => a.from.localeCompare(b.from));
  // Of windows that are open, the one that was opened last.
  return windows.findLast(({ from }) => from <= day) ?? windows[0] ?? null;
}
