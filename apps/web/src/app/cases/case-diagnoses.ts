import type { Written } from '@field-nurse/contract';

type Diagnoses = Written<'cases'>['diagnoses'];

/** Causes that the case works with now. */
export const workingConditions = (diagnoses: Diagnoses): readonly string[] => diagnoses.at(-1)?.conditions ?? [];

const mostTogether = 3;

/** The causes after one was taken or let go; a fourth one takes the place of the third. */
export function toggled(conditions: readonly string[], condition: string): string[] {
  if (conditions.includes(condition)) return conditions.filter((one) => one !== condition);
  return [...conditions.slice(0, mostTogether - 1), condition];
}

/** The history with a new working diagnosis. One day holds one entry; none at all takes the day's entry out. */
export function withDiagnosis(diagnoses: Diagnoses, on: string, conditions: readonly string[], why: string): Diagnoses {
  const before = diagnoses.filter((one) => one.on !== on);
  return conditions.length === 0 ? before : [...before, { on, conditions: [...conditions], why }];
}
