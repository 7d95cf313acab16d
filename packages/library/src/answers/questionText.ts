import type { OpenFact } from '@field-nurse/core/treatment';

const questions: Readonly<Record<OpenFact, string>> = {
  stage: 'Which stage is there now?',
  flowersInDays: 'Does it flower within the next two weeks?',
  bare: 'Is it bare now, without leaves?',
  waterNear: 'Is a pond, a ditch or a fish tank near?',
  animalsNear: 'Do cats, dogs or hens come near?',
  daysToHarvest: 'When is it picked next?',
  temperatureC: 'How warm is it?',
  hidden: 'Does it sit in the open, or hidden?',
};

/** What to ask the grower for a fact that would change a verdict. */
export const questionText = (fact: OpenFact): string => questions[fact];
