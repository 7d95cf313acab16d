import type { Agreement } from '@field-nurse/core/drill';
import type { DrillKind } from '@field-nurse/library/drill';

/** The drills, in a gardener's words. */
export const drillWords: Readonly<Record<DrillKind, { readonly name: string; readonly what: string }>> = {
  leaf: { name: 'Damage on a leaf', what: 'How much of it is spotted, powdered, scorched or gone?' },
  'look-alikes': { name: 'Look-alikes', what: 'Which trouble is it? Choose the looks that tell most.' },
  count: { name: 'Counting', what: 'Small crawling things, seen for three seconds.' },
  stage: { name: 'Stages', what: 'Egg, young, larva, pupa or adult? What works depends on it.' },
  stand: { name: 'A whole bed', what: 'How bad is the stand, clean plants counted in?' },
  fresh: { name: 'Fresh or old', what: 'Is the cause still at work?' },
};

const right = 0.5;

/** "8 points too much" */
export function pointsWord(points: number): string {
  const size = Math.abs(points);
  if (size < right) return 'right';
  const number = size < 9.5 ? Number(size.toFixed(1)) : Math.round(size);
  return `${number} ${number === 1 ? 'point' : 'points'} too ${points > 0 ? 'much' : 'little'}`;
}

/** Stages that are told apart by their looks. */
export const stageAnswers: Readonly<Record<string, string>> = {
  egg: 'eggs',
  nymph: 'young, like the adult but smaller',
  larva: 'a grub, maggot or caterpillar',
  pupa: 'a pupa or cocoon',
  adult: 'the adult',
};

/** "4 points too much, give or take 6, over 48; concordance 0.86" */
export function agreementWord(measures: Agreement | null): string {
  if (!measures) return '';
  const concordance = measures.concordance === null ? '' : `; concordance ${measures.concordance.toFixed(2)}`;
  return `${pointsWord(measures.bias)} on the average, give or take ${measures.scatter.toFixed(0)}, over ${measures.guesses}${concordance}`;
}
