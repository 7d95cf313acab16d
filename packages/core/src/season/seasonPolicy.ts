import type { SeasonAction } from './seasonAction.js';
import type { SeasonDay } from './seasonDays.js';

/** When something is done. */
export type When =
  | { readonly kind: 'never' }
  /** on days that are set, whatever comes; the first day is 0 */
  | { readonly kind: 'rounds'; readonly rounds: readonly { readonly day: number; readonly action: string }[] }
  /** by the calendar, whether there is anything or not */
  | { readonly kind: 'calendar'; readonly from: number; readonly everyDays: number; readonly until: number }
  /** a look each so many days, and only where it finds so many */
  | { readonly kind: 'threshold'; readonly from: number; readonly lookEvery: number; readonly actAt: number };

/** A way to meet a season. */
export interface TriedStrategy {
  readonly id: string;
  readonly name: string;
  /** what it uses: of those that are open on a day the first, unless it acts as the last did and another does not */
  readonly actions: readonly SeasonAction[];
  /** begins with the first, and takes the next where the look after it still finds too many */
  readonly growing?: boolean | undefined;
  /** what is put up or begun on the first day, once */
  readonly first?: readonly SeasonAction[] | undefined;
  readonly when: When;
  /** everything is done so many days later */
  readonly lateDays?: number | undefined;
}

// What dries on the leaf is not sprayed into rain; a millimetre wets.
const rainMm = 1;
// What is being picked is picked every few days: what waits longer spoils a picking.
const pickedEvery = 3;

/** Decides day by day what a strategy does. One for each run. */
export class SeasonPolicy {
  readonly #strategy: TriedStrategy;
  readonly #harvestDay: number;
  readonly #usedOn = new Map<string, number[]>();
  #lastGroup: string | undefined;
  #next: number;
  #wantedFrom: number | undefined;
  #rung = -1;
  looks = 0;

  /** @param harvestDay - the first on which it is picked; Infinity where nothing is */
  constructor(strategy: TriedStrategy, harvestDay: number) {
    this.#strategy = strategy;
    this.#harvestDay = harvestDay;
    const { when, lateDays = 0 } = strategy;
    this.#next = when.kind === 'calendar' ? when.from + lateDays : when.kind === 'threshold' ? when.from : 0;
  }

  /**
   * What is done at the start of a day.
   *
   * @param seen - what a look would find
   */
  todays(day: number, weather: SeasonDay, seen: () => number): readonly SeasonAction[] {
    const { first = [], lateDays = 0 } = this.#strategy;
    const begun = day === lateDays ? first : [];
    return [...begun, ...this.#rounds(day, weather, seen)];
  }

  #rounds(day: number, weather: SeasonDay, seen: () => number): readonly SeasonAction[] {
    const { when, actions, lateDays = 0 } = this.#strategy;
    if (when.kind === 'never') return [];
    if (when.kind === 'rounds')
      return when.rounds.filter((one) => one.day + lateDays === day).flatMap(({ action }) => actions.find(({ id }) => id === action) ?? []);
    if (!(when.kind === 'calendar' ? day >= this.#next && day <= when.until + lateDays : this.#isWanted(day, when, lateDays, seen)))
      return [];
    const action = this.#open(day, weather);
    if (!action) return [];
    this.#usedOn.set(action.id, [...(this.#usedOn.get(action.id) ?? []), day]);
    this.#lastGroup = action.group;
    this.#wantedFrom = undefined;
    if (when.kind === 'calendar') this.#next = day + when.everyDays;
    return [action];
  }

  #isWanted(day: number, when: Extract<When, { kind: 'threshold' }>, lateDays: number, seen: () => number): boolean {
    if (day >= this.#next) {
      this.#next = day + when.lookEvery;
      this.looks++;
      const isMany = seen() >= when.actAt;
      this.#rung = isMany ? this.#rung + 1 : -1;
      if (isMany) this.#wantedFrom ??= day + lateDays;
    }
    return this.#wantedFrom !== undefined && day >= this.#wantedFrom;
  }

  #open(day: number, weather: SeasonDay): SeasonAction | undefined {
    const { actions, growing } = this.#strategy;
    const from = growing ? Math.min(Math.max(0, this.#rung), actions.length - 1) : 0;
    const open = actions.slice(from).filter((action) => this.#isOpen(action, day, weather));
    return open.find(({ group }) => group === undefined || group !== this.#lastGroup) ?? open[0];
  }

  #isOpen(action: SeasonAction, day: number, weather: SeasonDay): boolean {
    const { isSpray, minC = -Infinity, maxC = Infinity, preHarvestDays = 0, everyDays, most = Infinity } = action;
    const used = this.#usedOn.get(action.id) ?? [];
    if (isSpray && weather.rainMm >= rainMm) return false;
    if (weather.meanC < minC || weather.meanC > maxC) return false;
    const toHarvest = day < this.#harvestDay ? this.#harvestDay - day : pickedEvery;
    if (toHarvest < preHarvestDays) return false;
    return used.length < most && day - (used.at(-1) ?? -Infinity) >= everyDays;
  }
}
