import { daysBetween } from '../../timing/index.js';
import type { PlanLine, PlanProduct, PlanQuestion, PlanRound, SlotWeather } from './planQuestion.js';

/** A round in a half-day with a product, and what that loses. */
export interface Placing {
  readonly round: number;
  /** days from the start */
  readonly day: number;
  readonly evening: boolean;
  readonly product: PlanProduct;
  readonly loss: number;
}

/** Half-days from the start, a morning first. */
export const slotOf = ({ day, evening }: Pick<Placing, 'day' | 'evening'>): number => 2 * day + Number(evening);

const hoursInSlot = 12;
// Spraying itself takes hours of which nobody knows when they fall in the half-day.
const hoursToSpray = 6;

/** Half-days that must stay dry from the one of the application on; none for what rain does nothing to. */
export const drySlots = ({ rainFastHours }: PlanProduct): number =>
  rainFastHours === undefined ? 0 : Math.max(1, Math.ceil((rainFastHours + hoursToSpray) / hoursInSlot));

/** Half-days for which nothing else is done in the place, that of the application among them. */
export const closedSlots = ({ reEntryHours = 0 }: PlanProduct): number => Math.ceil(reEntryHours / hoursInSlot);

/** What is lost where a round is not done. */
export const dropLossOf = ({ dropLoss, dailyLoss, value }: PlanRound, days: number): number => dropLoss ?? dailyLoss * days + value;

/** The days of a round, counted from the start. */
interface RoundDays {
  readonly earliest: number;
  readonly latest: number;
  readonly flowers: { readonly from: number; readonly until: number } | undefined;
  readonly harvests: readonly number[];
}

/** Every half-day of a plan judged by what does not depend on the other rounds. */
export class Placings {
  readonly #question: PlanQuestion;
  readonly #weather: ReadonlyMap<number, SlotWeather>;
  readonly #days: ReadonlyMap<PlanRound, RoundDays>;

  constructor(question: PlanQuestion) {
    const { start, weather, rounds } = question;
    const dayOf = (date: string) => daysBetween(start, date);
    this.#question = question;
    this.#weather = new Map(weather.map((one) => [slotOf({ day: dayOf(one.date), evening: one.slot === 'evening' }), one]));
    this.#days = new Map(
      rounds.map((round) => [
        round,
        {
          earliest: round.earliest === undefined ? 0 : dayOf(round.earliest),
          latest: round.latest === undefined ? Infinity : dayOf(round.latest),
          flowers: round.flowers && { from: dayOf(round.flowers.from), until: dayOf(round.flowers.until) },
          harvests: (round.harvests ?? []).map(dayOf),
        },
      ]),
    );
  }

  /** Lines that a round with this product would break in a half-day by itself; none: it may be there. */
  broken(round: PlanRound, product: PlanProduct, day: number, evening: boolean): PlanLine[] {
    const slot = slotOf({ day, evening });
    const weather = this.#weather.get(slot);
    const { earliest, latest, flowers, harvests } = this.#days.get(round)!;
    const inFlower = flowers !== undefined && flowers.from <= day && day <= flowers.until;
    const lines: [PlanLine, boolean][] = [
      ['earliest', day < earliest],
      ['latest', day > latest],
      [
        'temperature',
        weather !== undefined && (weather.temperatureC < (product.minC ?? -Infinity) || weather.temperatureC > (product.maxC ?? Infinity)),
      ],
      ['wind', weather !== undefined && weather.windKmh > (product.maxWindKmh ?? Infinity)],
      ['rain', Array.from({ length: drySlots(product) }, (_, k) => this.#weather.get(slot + k)?.rainMm ?? 0).some((rain) => rain > 0)],
      ['bees', inFlower && (product.bees === 'serious' || (product.bees === 'slight' && !evening))],
      ['harvest', harvests.some((harvest) => harvest >= day && harvest - day < (product.preHarvestDays ?? 0))],
    ];
    return lines.flatMap(([line, isBroken]) => (isBroken ? [line] : []));
  }

  /**
   * Every placing that breaks no line by itself, with its loss.
   *
   * @param counts - lines that are looked at; all of them, unless it is asked what would be without some
   */
  open(counts: (line: PlanLine) => boolean = () => true): Placing[] {
    const { rounds, days } = this.#question;
    return rounds.flatMap((round, r) =>
      Array.from({ length: days }, (_, day) => day).flatMap((day) =>
        [false, true].flatMap((evening) =>
          round.products
            .filter((product) => !this.broken(round, product, day, evening).some(counts))
            .map((product): Placing => ({ round: r, day, evening, product, loss: this.loss(round, product, day) })),
        ),
      ),
    );
  }

  /** What is lost with a round on that day: by waiting for it, by what it leaves, in money and in work. */
  loss(round: PlanRound, { efficacy, cost, minutes }: PlanProduct, day: number): number {
    const from = Math.max(0, this.#days.get(round)!.earliest);
    return round.dailyLoss * (day - from) + (1 - efficacy) * round.value + cost + minutes * (this.#question.rules.minutePrice ?? 0);
  }
}
