import { addDays } from '../../timing/index.js';
import type { MilpRow } from './milp.js';
import type { Placing } from './placing.js';
import type { PlanQuestion } from './planQuestion.js';
import { row } from './planRow.js';
import type { PlacingColumn, RowTag } from './planRow.js';

/** Work of one round, and who has to do it, where that is settled. */
interface Work {
  readonly minutes: number;
  readonly person: string | undefined;
}

interface Hands {
  readonly id: string;
  readonly minutes: number;
}

// Sums of minutes leave crumbs.
const crumb = 1e-9;

/** The minutes that there are on each day, of everybody. */
export class WorkDays {
  readonly #question: PlanQuestion;
  readonly #known = new Map<number, readonly Hands[] | undefined>();

  constructor(question: PlanQuestion) {
    this.#question = question;
  }

  /** Minutes of a day, of all together; infinite where nobody says. */
  minutesOn(day: number): number {
    const { minutesPerDay = Infinity } = this.#question.rules;
    const hands = this.handsOn(day);
    return Math.min(minutesPerDay, hands ? hands.reduce((sum, { minutes }) => sum + minutes, 0) : Infinity);
  }

  /** Everybody's minutes of a day; nothing where nobody is named. */
  handsOn(day: number): readonly Hands[] | undefined {
    if (!this.#known.has(day)) this.#known.set(day, this.#handsOn(day));
    return this.#known.get(day);
  }

  #handsOn(day: number): Hands[] | undefined {
    const { start, rules } = this.#question;
    return rules.people?.map(({ id, minutesPerDay, minutesOn = {} }) => ({ id, minutes: minutesOn[addDays(start, day)] ?? minutesPerDay }));
  }

  /** Whether one person alone could do it on that day: the one who has to, or anybody. */
  isLongEnough(day: number, minutes: number, person: string | undefined): boolean {
    const hands = this.handsOn(day);
    return !hands || hands.some((one) => mayDo(one, { minutes, person }));
  }
}

const mayDo = (hands: Hands, { minutes, person }: Work) => (person ?? hands.id) === hands.id && minutes <= hands.minutes + crumb;

/** The work of some placings. */
export const workOf = ({ rounds }: PlanQuestion, placings: readonly Placing[]): Work[] =>
  placings.map(({ round, product }) => ({ minutes: product.minutes, person: rounds[round]!.person }));

/**
 * Who does what on a day, each piece of work by one person alone.
 *
 * @returns a person for each piece, in the order given; nothing where it does not fit
 */
export function shareOut(work: readonly Work[], hands: readonly Hands[]): string[] | undefined {
  const order = [...work.keys()].sort((a, b) => work[b]!.minutes - work[a]!.minutes);
  const doneBy: string[] = [];
  const fits = (next: number, left: readonly Hands[]): boolean => {
    const index = order[next];
    if (index === undefined) return true;
    return left.some((one, i) => {
      // Two with as much time left are as good as each other, unless somebody is named.
      const isSame = (other: Hands) => Math.abs(other.minutes - one.minutes) < crumb;
      if (!mayDo(one, work[index]!) || (work.every(({ person }) => !person) && left.slice(0, i).some(isSame))) return false;
      doneBy[index] = one.id;
      return fits(
        next + 1,
        left.map((other) => (other === one ? { ...one, minutes: one.minutes - work[index]!.minutes } : other)),
      );
    });
  };
  return fits(0, hands) ? doneBy : undefined;
}

/**
 * Lines that a solution breaks: a day whose rounds no two hands can share out, though all together they have the minutes. Of these rounds, and of
 * whatever takes as long, one is not done on that day.
 *
 * @param placed - the placings of the solution
 */
export function workFaults(question: PlanQuestion, columns: readonly PlacingColumn[], placed: readonly Placing[]): MilpRow<RowTag>[] {
  if (!question.rules.people) return [];
  const workDays = new WorkDays(question);
  return [...new Set(placed.map(({ day }) => day))].flatMap((day) => {
    const hands = workDays.handsOn(day)!;
    const fits = (some: readonly Placing[]) => shareOut(workOf(question, some), hands) !== undefined;
    const together = placed.filter((one) => one.day === day);
    if (fits(together)) return [];
    // The fewest rounds that collide say the most.
    const colliding = together.reduce((kept, one) => {
      const without = kept.filter((other) => other !== one);
      return fits(without) ? kept : without;
    }, together);
    const minutes = new Map(colliding.map(({ round, product }) => [round, product.minutes]));
    const within = columns.filter((one) => one.day === day && one.product.minutes >= (minutes.get(one.round) ?? Infinity) - crumb);
    return row(
      'minutes',
      within.map(({ column }) => [column, 1] as const),
      { upper: colliding.length - 1 },
    );
  });
}
