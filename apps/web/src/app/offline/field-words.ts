import type { Subject } from '@field-nurse/contract';

/** What waits or was set aside, in a gardener's words. */
export const subjectWords: Readonly<Record<Subject | 'photos', string>> = {
  places: 'A place',
  plantings: 'A planting',
  cases: 'A case',
  products: 'A product',
  labelCards: 'A label card',
  stockMoves: 'A change of stock',
  treatmentPlans: 'A plan',
  plannedApplications: 'A round of a plan',
  workTimes: 'Somebody’s hours',
  sprayers: 'A sprayer',
  testSprays: 'A test on a few leaves',
  decisions: 'A decision',
  applications: 'An entry of the log',
  assessments: 'A look',
  harvests: 'A harvest',
  lessons: 'A lesson',
  removals: 'A removal',
  drills: 'A drill',
  traps: 'A trap',
  catches: 'A catch',
  scoutingRounds: 'A round',
  stops: 'A stop',
  leafMeasurements: 'A measured leaf',
  preventionTasks: 'A prevention check',
  groundEvents: 'An event of resting ground',
  thresholds: 'A level of your own',
  ownEntries: 'A library entry of your own',
  clinicSamples: 'A sample for a plant clinic',
  comments: 'A comment',
  photos: 'A photo',
};

/** "lookedAt" as "Looked at". */
export const fieldWord = (name: string): string => {
  const words = name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
  return words.charAt(0).toUpperCase() + words.slice(1);
};
