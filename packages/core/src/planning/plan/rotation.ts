import { daysBetween } from '../../timing/index.js';
import type { MilpRow } from './milp.js';
import { slotOf } from './placing.js';
import type { Placing } from './placing.js';
import { row } from './planRow.js';
import type { Fault, PlacingColumn, RowTag } from './planRow.js';
import type { PlanQuestion } from './planQuestion.js';

/** What was done of a case, and when; before the morning of its day. */
interface Fixed {
  readonly at: number;
  readonly group: string | undefined;
}

const doneOf = ({ start, rules }: PlanQuestion, name: string): Fixed[] =>
  (rules.done ?? [])
    .filter((one) => one.case === name)
    .map(({ date, group }) => ({ at: slotOf({ day: daysBetween(start, date), evening: false }) - 0.5, group }))
    .sort((a, b) => a.at - b.at);

const wanted = ({ rules }: PlanQuestion) => rules.rotate ?? true;

/**
 * Lines that hold from the start: where a case's rounds follow each other in one line, neighbours in it never share a mode of action, nor does the
 * first share that of what was done last. Other orders are told when a solution breaks them (`rotationFaults`): there would be too many of them.
 */
export function rotationRows(question: PlanQuestion, columns: readonly PlacingColumn[]): MilpRow<RowTag>[] {
  if (!wanted(question)) return [];
  const { rounds } = question;
  return [...new Set(rounds.map((round) => round.case))].flatMap((name) => {
    const line = lineOf(question, name);
    if (!line) return [];
    const of = (round: number, group: string) => columns.filter((one) => one.round === round && one.product.group === group);
    const groups = new Set(line.flatMap((round) => rounds[round]!.products.flatMap(({ group }) => group ?? [])));
    const last = groupBefore(question, name);
    return [...groups].flatMap((group) =>
      line.flatMap((round, i) => {
        const before = i === 0 ? [] : of(line[i - 1]!, group);
        const here = of(round, group);
        const upper = i === 0 && group === last ? 0 : 1;
        return row(
          'rotation',
          [...before, ...here].map(({ column }) => [column, 1] as const),
          { upper },
        );
      }),
    );
  });
}

/** Mode of action of what was done last of a case. */
export const groupBefore = (question: PlanQuestion, name: string): string | undefined => doneOf(question, name).at(-1)?.group;

/** The rounds of a case in the order that "after" gives them, if it gives them one and nothing that was done falls between them. */
export function lineOf(question: PlanQuestion, name: string): number[] | undefined {
  const { rounds } = question;
  if (doneOf(question, name).some(({ at }) => at >= 0)) return undefined;
  const own = [...rounds.keys()].filter((r) => rounds[r]!.case === name);
  const [first, ...others] = own.filter((r) => !own.some((q) => rounds[q]!.id === rounds[r]!.after?.round));
  if (first === undefined || others.length > 0) return undefined;
  const line = [first];
  for (;;) {
    const next = own.filter((r) => rounds[r]!.after?.round === rounds[line.at(-1)!]!.id);
    if (next.length === 0) return line.length === own.length ? line : undefined;
    if (next.length > 1 || rounds[next[0]!]!.after!.minDays < 1) return undefined;
    line.push(next[0]!);
  }
}

/**
 * Lines that a solution breaks: two neighbours of a case that share a mode of action. In any stretch of time that nothing done before falls into, a mode of
 * action is used at most once more often than others are; behind something done with it, no more often.
 *
 * @param placed - the placings of the solution
 */
export function rotationFaults(question: PlanQuestion, placed: readonly Placing[]): Fault[] {
  if (!wanted(question)) return [];
  const { rounds } = question;
  return [...new Set(rounds.map((round) => round.case))].flatMap((name) => {
    const sequence = [
      ...doneOf(question, name).map((one) => ({ ...one, fixed: 1 })),
      ...placed.filter(({ round }) => rounds[round]!.case === name).map((one) => ({ at: slotOf(one), group: one.product.group, fixed: 0 })),
    ].sort((a, b) => a.at - b.at);
    return sequence.slice(1).flatMap((later, i) => {
      const before = sequence[i]!;
      const fixed = before.fixed + later.fixed;
      if (later.group === undefined || later.group !== before.group || fixed === 2) return [];
      const isBetween = (one: Placing) => rounds[one.round]!.case === name && slotOf(one) >= before.at && slotOf(one) <= later.at;
      const weightOf = (one: Placing) => (!isBetween(one) ? 0 : one.product.group === later.group ? 1 : -1);
      return { tag: 'rotation' as const, weightOf, upper: 1 - fixed };
    });
  });
}
