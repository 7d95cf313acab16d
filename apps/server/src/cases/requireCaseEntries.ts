import type { Written } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { requireEntry } from '../library/requireEntry.js';

/** Refuse a case that names signs or troubles which the library does not hold. @param path - where the case stands in what was sent */
export function requireCaseEntries(
  library: Library,
  { findings, diagnoses }: Pick<Written<'cases'>, 'findings' | 'diagnoses'>,
  path: readonly (string | number)[],
): void {
  findings.forEach(({ sign }, i) => requireEntry(library.signs, sign, [...path, 'findings', i, 'sign']));
  diagnoses.forEach(({ conditions }, i) =>
    conditions.forEach((condition, j) => requireEntry(library.conditions, condition, [...path, 'diagnoses', i, 'conditions', j])),
  );
}
