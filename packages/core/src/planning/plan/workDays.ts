import { group } from 'd3-array';
import { addDays } from '../../timing/index.js';
import type { Placing } from './placing.js';
import type { PlanQuestion } from './planQuestion.js';

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
export const crumb = 1e-6;

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

  /** Everybody who is named and may do it alone. */
  whoMayDo(placing: Placing): string[] {
    const [work] = workOf(this.#question, [placing]);
    return (this.handsOn(placing.day) ?? []).filter((hands) => mayDo(hands, work!)).map(({ id }) => id);
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

/** A day whose rounds the hands can't share out, though all together they have the minutes; and as few of the rounds as collide. */
export interface CrowdedDay {
  readonly day: number;
  readonly colliding: readonly Placing[];
}

export function crowdedDays(question: PlanQuestion, placed: readonly Placing[]): CrowdedDay[] {
  const workDays = new WorkDays(question);
  return [...group(placed, ({ day }) => day)].flatMap(([day, together]) => {
    const hands = workDays.handsOn(day);
    const fits = (some: readonly Placing[]) => !hands || shareOut(workOf(question, some), hands) !== undefined;
    if (fits(together)) return [];
    const colliding = together.reduce<readonly Placing[]>((kept, one) => {
      const without = kept.filter((other) => other !== one);
      return fits(without) ? kept : without;
    }, together);
    return [{ day, colliding }];
  });
}

/** Work in whole pieces of a length: what is over counts for nothing. Whoever does their work alone does no more pieces than their time has. */
export const piecesOf = (minutes: number, length: number): number => Math.floor(minutes / length + crumb);
