import { inject, Injectable } from '@angular/core';
import type { Case, Written } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import { begunCase } from '../cases/begun-case';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import type { StopDraft } from './stop-draft';

const lookAgainDays = 7;

/** What a stop tells a case: a new one is opened with its finds, or an open one is fed with them and with a look. */
@Injectable({ providedIn: 'root' })
export class StopCases {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);

  /** @returns id of the new case */
  async open(plantingId: string, draft: StopDraft): Promise<string> {
    const id = crypto.randomUUID();
    const told = { words: draft.note, findings: this.#findings(draft.signs), helpersSeen: draft.helpers > 0, photos: draft.photos };
    await this.#records.keep('cases', id, 0, begunCase(plantingId, this.#garden.today(), told));
    if (draft.rated) await this.#records.keep('assessments', crypto.randomUUID(), 0, this.#look({ id, plantingId }, draft));
    return id;
  }

  async feed(known: Case, draft: StopDraft): Promise<void> {
    const { id, version, ...value } = known;
    const fresh = draft.signs.filter((sign) => !known.findings.some((finding) => finding.sign === sign && finding.state === 'seen'));
    if (fresh.length > 0 || (draft.helpers > 0 && !known.helpersSeen)) {
      const kept = known.findings.filter(({ sign }) => !fresh.includes(sign));
      await this.#records.keep(
        'cases',
        id,
        version,
        { ...value, findings: [...kept, ...this.#findings(fresh)], helpersSeen: known.helpersSeen || draft.helpers > 0 },
        known,
      );
    }
    if (draft.rated) await this.#records.keep('assessments', crypto.randomUUID(), 0, this.#look(known, draft));
  }

  #look(
    { id, plantingId }: Pick<Case, 'id' | 'plantingId'>,
    { severity, sample, measure, damage, note }: StopDraft,
  ): Written<'assessments'> {
    const counted = measure?.startsWith('count-');
    return {
      caseId: id,
      plantingId,
      assessedOn: this.#garden.today(),
      severity,
      count: counted && sample.length > 0 ? Math.round(sample.reduce((sum, value) => sum + value, 0)) : null,
      newGrowth: damage === 'old' ? 'clean' : damage ? 'marked' : 'unknown',
      nextAssessmentOn: addDays(this.#garden.today(), lookAgainDays),
      note,
    };
  }

  #findings(signs: readonly string[]): Case['findings'] {
    return signs.map((sign) => ({ sign, state: 'seen', source: 'look', phrase: null, on: this.#garden.today() }));
  }
}
