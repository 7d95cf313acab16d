import { computed, inject, Injectable, signal } from '@angular/core';
import type { Case, Written } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';

export type CaseValue = Written<'cases'>;
/** A change to a case that may be made twice without harm: it is made again when somebody else was faster. */
export type CaseChange = (value: CaseValue) => CaseValue;

const mostTries = 4;

/** One open case on the screen: changes show at once, are written one after the other, and stay here until the server has them. */
@Injectable()
export class CaseEdits {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #id = signal('');
  readonly #pending = signal<readonly { change: CaseChange; said: string | undefined }[]>([]);
  #writing = false;

  readonly stored = computed<Case | undefined>(() => this.#garden.case(this.#id()));
  readonly value = computed<CaseValue | undefined>(() => {
    const stored = this.stored();
    return stored && this.#pending().reduce((value, { change }) => change(value), writtenPart(stored));
  });
  readonly planting = computed(() => this.#garden.planting(this.stored()?.plantingId ?? ''));
  readonly state = signal<'saved' | 'saving' | 'failed'>('saved');
  readonly refusal = signal('');

  open(id: string): void {
    this.#id.set(id);
  }

  /** @param said - for a change worth a line with Undo */
  change(change: CaseChange, said?: string): void {
    this.#pending.update((pending) => [...pending, { change, said }]);
    void this.write();
  }

  /** Write what is waiting; also the way to try again. */
  async write(): Promise<void> {
    if (this.#writing) return;
    this.#writing = true;
    this.state.set('saving');
    this.refusal.set('');
    try {
      for (let tries = 0; this.#pending().length > 0 && tries < mostTries; tries++) if (await this.#writeBatch()) tries = -1;
      this.state.set(this.#pending().length === 0 ? 'saved' : 'failed');
    } catch (error) {
      this.state.set('failed');
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.#writing = false;
    }
  }

  /** @returns false when somebody else has changed the case meanwhile: theirs is in the store now, ours goes on top of it next time */
  async #writeBatch(): Promise<boolean> {
    const stored = this.stored();
    const batch = this.#pending();
    if (!stored) throw new ApiError(404, 'gone', 'This case is not in the garden any more.');
    const value = batch.reduce((so, { change }) => change(so), writtenPart(stored));
    try {
      await this.#records.save(
        'cases',
        stored.id,
        stored.version,
        value,
        batch
          .map(({ said }) => said)
          .filter(Boolean)
          .at(-1),
      );
    } catch (error) {
      if (ApiError.from(error).code === 'changed-elsewhere') return false;
      throw error;
    }
    this.#pending.update((pending) => pending.slice(batch.length));
    return true;
  }
}

function writtenPart({ id: _, version: __, ...value }: Case): CaseValue {
  return value;
}
