import type { CaseFinding, Written } from '@field-nurse/contract';
import { withDiagnosis } from './case-diagnoses';

/** A case that begins with what was said and found. */
export const begunCase = (
  plantingId: string,
  on: string,
  told: {
    readonly words?: string;
    readonly findings?: readonly CaseFinding[];
    readonly helpersSeen?: boolean;
    readonly photos?: readonly string[];
    readonly working?: readonly string[];
  } = {},
): Written<'cases'> => ({
  plantingId,
  openedOn: on,
  words: told.words ?? '',
  findings: [...(told.findings ?? [])],
  onset: null,
  pattern: null,
  stage: null,
  hidden: null,
  helpersSeen: told.helpersSeen ?? false,
  photos: [...(told.photos ?? [])],
  diagnoses: withDiagnosis([], on, told.working ?? [], ''),
  closedOn: null,
  outcome: null,
  note: '',
});
