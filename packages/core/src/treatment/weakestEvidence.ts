import type { Effect } from './interventionFacts.js';

const grades: readonly Effect['evidence'][] = ['strong', 'moderate', 'weak', 'folk'];

/** The grade of the least tested of its effects: what acts on several causes is as well proved as on the worst of them. */
export const weakestEvidence = (effects: readonly Effect[]): Effect['evidence'] =>
  grades[Math.max(...effects.map(({ evidence: grade }) => grades.indexOf(grade)))] ?? 'weak';
