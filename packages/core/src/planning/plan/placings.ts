import { daysBetween } from '../../timing/index.js';
import { drySlots, slotOf } from './placing.js';
import type { Placing } from './placing.js';
import type { Counts, PlanLine, PlanProduct, PlanQuestion, PlanRound, SlotWeather } from './planQuestion.js';
import { WorkDays } from './workDays.js';

/** The days of a round, counted from the start. */
interface RoundDays {
  readonly earliest: number;
  readonly latest: number;
  readonly flowers: Stretch | undefined;
  readonly harvests: readonly number[];
  readonly expectedSlot: number | undefined;
}

interface Stretch {
  readonly from: number;
  readonly until: number;
}

/** Every half-day of a plan judged by what does not depend on the other rounds. */
export class Placings {
  readonly #question: PlanQuestion;
  readonly #weather: ReadonlyMap<number, SlotWeather>;
  readonly #days: ReadonlyMap<PlanRound, RoundDays>;
  readonly #barred: ReadonlyMap<PlanProduct, readonly Stretch[]>;
  readonly #workDays: WorkDays;

  constructor(question: PlanQuestion) {
    const { start, weather, rounds } = question;
    const dayOf = (date: string) => daysBetween(start, date);
    const stretch = ({ from, until }: { readonly from: string; readonly until: string }) => ({ from: dayOf(from), until: dayOf(until) });
    this.#question = question;
    this.#workDays = new WorkDays(question);
    this.#barred = new Map(rounds.flatMap(({ products }) => products.map((one) => [one, (one.barred ?? []).map(stretch)] as const)));
    this.#weather = new Map(weather.map((one) => [slotOf({ day: dayOf(one.date), evening: one.slot === 'evening' }), one]));
    this.#days = new Map(
      rounds.map((round) => [
        round,
        {
          earliest: round.earliest === undefined ? 0 : dayOf(round.earliest),
          latest: round.latest === undefined ? Infinity : dayOf(round.latest),
          flowers: round.flowers && stretch(round.flowers),
          harvests: (round.harvests ?? []).map(dayOf),
          expectedSlot: round.expected && slotOf({ day: dayOf(round.expected.date), evening: round.expected.slot === 'evening' }),
        },
      ]),
    );
  }

  /** Lines that a round with this product would break in a half-day by itself; none: it may be there. */
  broken(round: PlanRound, product: PlanProduct, day: number, evening: boolean): PlanLine[] {
    const slot = slotOf({ day, evening });
    const weather = this.#weather.get(slot);
    const { earliest, latest, flowers, harvests } = this.#days.get(round)!;
    const holds = ({ from, until }: Stretch) => from <= day && day <= until;
    const inFlower = flowers !== undefined && holds(flowers);
    const lines: [PlanLine, boolean][] = [
      ['earliest', day < earliest || (slot === 0 && this.#question.startSlot === 'evening')],
      ['latest', day > latest],
      ['half-day', round.only !== undefined && evening !== (round.only === 'evening')],
      ['label', this.#barred.get(product)!.some(holds)],
      ['minutes', !this.#workDays.isLongEnough(day, product.minutes, round.person)],
      [
        'temperature',
        weather !== undefined && (weather.temperatureC < (product.minC ?? -Infinity) || weather.temperatureC > (product.maxC ?? Infinity)),
      ],
      ['wind', weather !== undefined && weather.windKmh > (product.maxWindKmh ?? Infinity)],
      ['rain', this.#toStayDry(product, slot).some((half) => half !== undefined && barsByRain(half))],
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
  open(counts: Counts = () => true): Placing[] {
    const { rounds, days } = this.#question;
    return rounds.flatMap((round, r) =>
      Array.from({ length: days }, (_, day) => day).flatMap((day) =>
        [false, true].flatMap((evening) =>
          round.products
            .filter((product) => !this.broken(round, product, day, evening).some(counts))
            .map((product): Placing => ({ round: r, day, evening, product, loss: this.loss(round, product, { day, evening }) })),
        ),
      ),
    );
  }

  /** What is lost with a round in that half-day: by waiting for it, by moving it, by what it leaves, in money and in work. */
  loss(round: PlanRound, product: PlanProduct, { day, evening }: Pick<Placing, 'day' | 'evening'>): number {
    const { cost, minutes } = product;
    const slot = slotOf({ day, evening });
    const { earliest, expectedSlot } = this.#days.get(round)!;
    const waited = round.dailyLoss * (day - Math.max(0, earliest));
    const moved = expectedSlot === undefined || expectedSlot === slot ? 0 : round.expected!.moveLoss;
    return (
      waited +
      moved +
      (1 - product.efficacy * this.#staysDry(product, slot)) * round.value +
      cost +
      minutes * (this.#question.rules.minutePrice ?? 0)
    );
  }

  /** Weather of the half-days in which rain would wash it off. */
  #toStayDry(product: PlanProduct, slot: number): (SlotWeather | undefined)[] {
    return Array.from({ length: drySlots(product) }, (_, k) => this.#weather.get(slot + k));
  }

  /** Chance that it is not washed off: its half-days count as if each were rained on by itself. */
  #staysDry(product: PlanProduct, slot: number): number {
    const usual = this.#question.rules.rainChance ?? 0;
    return this.#toStayDry(product, slot).reduce((dry, half) => dry * (1 - (half ? (half.rainChance ?? 0) : usual)), 1);
  }
}

const barsByRain = ({ rainMm, rainChance = 1 }: SlotWeather) => rainMm > 0 && rainChance >= 0.5;
