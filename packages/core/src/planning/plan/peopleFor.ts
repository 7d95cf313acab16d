import type { Placing } from './placing.js';
import type { PlanQuestion } from './planQuestion.js';
import { shareOut, WorkDays } from './workDays.js';

/** Rounds that come out of one tank: of one pack, in one half-day. */
type Tank = readonly Placing[];

/**
 * Who does each placed round: one tank is one person's, where their hours allow it, and who was told already does it, where that can be.
 *
 * @returns nothing for a round where nobody is named
 */
export function peopleFor(question: PlanQuestion, placed: readonly Placing[]): Map<Placing, { person: string }> {
  const workDays = new WorkDays(question);
  const days = [...new Set(placed.map(({ day }) => day))];
  return new Map(
    days.flatMap((day) => {
      const hands = workDays.handsOn(day) ?? [];
      const together = placed.filter((one) => one.day === day);
      const [tanks, alone] = [tanksOf(question, together), together.map((one): Tank => [one])];
      for (const pieces of [tanks, alone])
        for (const told of [true, false]) {
          const doneBy = shareOut(
            pieces.map((tank) => workOfTank(question, tank, told)),
            hands,
          );
          if (doneBy) return pieces.flatMap((tank, i) => tank.map((one) => [one, { person: doneBy[i]! }] as const));
        }
      return [];
    }),
  );
}

function tanksOf({ rounds }: PlanQuestion, together: readonly Placing[]): Tank[] {
  const tanks = new Map<string, Placing[]>();
  for (const one of together) {
    const key = `${one.evening} ${one.product.pack ?? one.product.id} ${rounds[one.round]!.person ?? ''}`;
    tanks.set(key, [...(tanks.get(key) ?? []), one]);
  }
  return [...tanks.values()];
}

/** @param told - who was told before is to do it */
function workOfTank({ rounds }: PlanQuestion, tank: Tank, told: boolean) {
  const of = tank.map(({ round }) => rounds[round]!);
  const named = of.map(({ person }) => person).find(Boolean);
  const toldOne = told ? of.map(({ expected }) => expected?.person).find(Boolean) : undefined;
  return { minutes: tank.reduce((sum, { product }) => sum + product.minutes, 0), person: named ?? toldOne };
}
