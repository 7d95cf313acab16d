import type { Signal } from '@angular/core';
import { computed, inject, Injectable, signal } from '@angular/core';
import type { Case, Written } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Offline } from '../offline/offline';

export type CaseValue = Written<'cases'>;
/** A change to a case that may be made twice without harm: it is made again when somebody else was faster. */
export type CaseChange = (value: CaseValue) => CaseValue;

/** How a case's changes stand: with the server, on their way, on this device until there is signal, or refused. */
export type EditState = 'saved' | 'saving' | 'kept' | 'failed';

interface Pending {
  readonly change: CaseChange;
  readonly said: string | undefined;
  /** a later change of the same name takes its place: typing is one change */
  readonly name: string | undefined;
}

interface Edits {
  readonly pending: readonly Pending[];
  readonly state: EditState;
  readonly refusal: string;
}

const none: Edits = { pending: [], state: 'saved', refusal: '' };
const mostTries = 4;
const typingPauseMs = 500;

/**
 * Changes to cases: shown at once, written one after the other, and kept here under the case that they were made to, whichever is open by then.
 * Where the server does not answer, they wait on this device with all else that waits.
 */
@Injectable({ providedIn: 'root' })
export class CaseEdits {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #edits = signal<ReadonlyMap<string, Edits>>(new Map());
  readonly #writing = new Map<string, Promise<void>>();
  readonly #typing = new Map<string, ReturnType<typeof setTimeout>>();

  constructor() {
    // Who puts the phone away while typing has written it.
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') for (const id of this.#typing.keys()) void this.write(id);
    });
  }

  of = (id: string): Edits => this.#edits().get(id) ?? none;

  /** A case as it is on this screen: as it is stored, with what is still on its way. */
  value(id: string): CaseValue | undefined {
    const stored = this.#garden.case(id);
    return stored && this.of(id).pending.reduce((value, { change }) => change(value), writtenPart(stored));
  }

  /** @param said - for a change worth a line with Undo */
  change(id: string, change: CaseChange, said?: string): void {
    this.#update(id, ({ pending, ...rest }) => ({ ...rest, pending: [...pending, { change, said, name: undefined }] }));
    void this.write(id);
  }

  /** Words are shown at once, and written when the typing pauses. */
  type(id: string, words: string): void {
    const typed: Pending = { change: (value) => ({ ...value, words }), said: undefined, name: 'words' };
    this.#update(id, ({ pending, ...rest }) => ({ ...rest, pending: [...pending.filter(({ name }) => name !== 'words'), typed] }));
    clearTimeout(this.#typing.get(id));
    this.#typing.set(
      id,
      setTimeout(() => void this.write(id), typingPauseMs),
    );
  }

  /** Write what is waiting for this case; also the way to try again. @returns when it is written, or has failed */
  write(id: string): Promise<void> {
    const writing = this.#writing.get(id) ?? this.#writeAll(id).finally(() => this.#writing.delete(id));
    this.#writing.set(id, writing);
    return writing;
  }

  async #writeAll(id: string): Promise<void> {
    clearTimeout(this.#typing.get(id));
    this.#typing.delete(id);
    this.#update(id, (edits) => ({ ...edits, state: 'saving', refusal: '' }));
    try {
      let kept = false;
      for (let tries = 0; this.of(id).pending.length > 0 && tries < mostTries; tries++) {
        const outcome = await this.#writeBatch(id);
        if (outcome !== 'faster') tries = -1;
        kept ||= outcome === 'kept';
      }
      const state = this.of(id).pending.length > 0 ? 'failed' : kept ? 'kept' : 'saved';
      this.#update(id, (edits) => ({ ...edits, state }));
    } catch (error) {
      this.#update(id, (edits) => ({ ...edits, state: 'failed', refusal: ApiError.from(error).message }));
    }
  }

  /** @returns `faster` when somebody else has changed the case meanwhile: theirs is in the store now, ours goes on top of it next time */
  async #writeBatch(id: string): Promise<'saved' | 'kept' | 'faster'> {
    const stored = this.#garden.case(id);
    const batch = this.of(id).pending;
    if (!stored) throw new ApiError(404, 'gone', 'This case is not in the garden any more.');
    const value = batch.reduce((so, { change }) => change(so), writtenPart(stored));
    const said = batch.flatMap((one) => one.said ?? []).at(-1);
    try {
      const outcome = await this.#records.saveOrQueue('cases', id, stored.version, value, said, stored);
      this.#update(id, ({ pending, ...rest }) => ({ ...rest, pending: pending.filter((one) => !batch.includes(one)) }));
      return outcome;
    } catch (error) {
      if (ApiError.from(error).code === 'changed-elsewhere') return 'faster';
      throw error;
    }
  }

  #update(id: string, change: (edits: Edits) => Edits): void {
    this.#edits.update((all) => new Map(all).set(id, change(all.get(id) ?? none)));
  }
}

/** One case on a page, and what is being changed about it. */
export interface CaseInEdit {
  readonly stored: Signal<Case | undefined>;
  readonly value: Signal<CaseValue | undefined>;
  readonly planting: Signal<Planting | undefined>;
  readonly state: Signal<EditState>;
  readonly refusal: Signal<string>;
  change(change: CaseChange, said?: string): void;
  type(words: string): void;
  write(): Promise<void>;
}

/** The edits of the case whose id stands in the address. Call it where things are injected. */
export function caseInEdit(id: Signal<string>): CaseInEdit {
  const [edits, garden, offline] = [inject(CaseEdits), inject(Garden), inject(Offline)];
  const stored = computed(() => garden.case(id()));
  return {
    stored,
    value: computed(() => edits.value(id())),
    planting: computed(() => garden.planting(stored()?.plantingId ?? '')),
    state: computed(() => {
      const { state } = edits.of(id());
      return state === 'kept' && offline.waiting() === 0 ? 'saved' : state;
    }),
    refusal: computed(() => edits.of(id()).refusal),
    change: (change, said) => edits.change(id(), change, said),
    type: (words) => edits.type(id(), words),
    write: () => edits.write(id()),
  };
}

function writtenPart({ id: _, version: __, ...value }: Case): CaseValue {
  return value;
}
