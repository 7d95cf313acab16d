import type { DrillAnswer } from '@field-nurse/contract';
import type { Grade, Guess, Review } from '@field-nurse/core/drill';
import { lookAlikeId, lookAlikeOf } from './lookAlikeId.js';
import { gradeOfChoice, gradeOfCount, gradeOfLooks, gradeOfPercent } from '@field-nurse/core/drill';

/** A sitting as it is stored. */
interface Sitting {
  readonly heldAt: string;
  readonly answers: readonly DrillAnswer[];
}

/** How well an answer shows that its item is known. */
export function gradeOf(answer: DrillAnswer): Grade {
  switch (answer.kind) {
    case 'leaf':
    case 'stand':
      return gradeOfPercent(answer.truth, answer.guess);
    case 'count':
      return gradeOfCount(answer.truth, answer.guess);
    case 'look-alikes':
      return gradeOfLooks(answer.truth === answer.guess, answer.bits, answer.bestBits);
    default:
      return gradeOfChoice(answer.truth === answer.guess, answer.seconds);
  }
}

/** What was asked, for the schedule. Where one trouble was taken for another on a plant, the other is asked again too: the pair is confused. */
export const reviewsOf = (sittings: readonly Sitting[]): Review[] =>
  sittings.flatMap(({ heldAt, answers }) =>
    answers.flatMap((answer): Review[] => {
      const review: Review = { item: answer.item, at: heldAt, grade: gradeOf(answer) };
      const isConfused = answer.kind === 'look-alikes' && answer.guess !== answer.truth;
      return isConfused ? [review, { ...review, item: lookAlikeId(lookAlikeOf(answer.item).host, answer.guess) }] : [review];
    }),
  );

// An eye changes: what it said long ago does not count.
const lately = 120;

/** The latest guesses of a kind, the oldest first. */
export const guessesOf = (sittings: readonly Sitting[], kind: 'leaf' | 'stand' | 'count'): Guess[] =>
  [...sittings]
    .sort((a, b) => a.heldAt.localeCompare(b.heldAt))
    .flatMap(({ answers }) => answers.flatMap((answer) => (answer.kind === kind ? [{ truth: answer.truth, guess: answer.guess }] : [])))
    .slice(-lately);
