import type { OptionsAnswer } from '@field-nurse/contract';
import { rungWords } from '../shared/words';

export type JudgedIntervention = OptionsAnswer['options'][number];

/** One rung of the ladder: what can be done, best first, and what is ruled out. */
export interface Rung {
  readonly id: string;
  readonly word: string;
  readonly means: string;
  readonly open: readonly JudgedIntervention[];
  readonly ruledOut: readonly JudgedIntervention[];
}

/** Options by rung, from leaving the plant alone to taking it out; rungs without any are left out. */
export function ladderOf(options: readonly JudgedIntervention[]): Rung[] {
  return Object.entries(rungWords).flatMap(([id, { word, means }]) => {
    const own = options.filter(({ rung }) => rung === id);
    if (own.length === 0) return [];
    return [
      {
        id,
        word,
        means,
        open: own.filter(({ verdict }) => verdict !== 'ruled-out'),
        ruledOut: own.filter(({ verdict }) => verdict === 'ruled-out'),
      },
    ];
  });
}

/** Of those that are open, what was chosen where growers differ, and then the option with the least expected loss. */
export const firstChoice = (options: readonly JudgedIntervention[]): JudgedIntervention | undefined =>
  options.filter(({ verdict }) => verdict !== 'ruled-out').sort((a, b) => Number(isChosen(b)) - Number(isChosen(a)) || a.loss - b.loss)[0];

const isChosen = ({ reasons }: JudgedIntervention) => reasons.some(({ code }) => code === 'own-school');
