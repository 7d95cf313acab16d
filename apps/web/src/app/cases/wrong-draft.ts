import { effect, inject, Injectable, signal } from '@angular/core';
import type { CaseFinding } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { remember, remembered } from '../shared/tab-memory';
import type { PlantingFacts } from '../gardens/plantings-now';

/** What is being told of a sick plant, before its case is open. */
export interface WrongDraft {
  /** id of the plant in the library */
  readonly host: string | null;
  readonly beside: string;
  readonly words: string;
  /** id of the planting; empty for one that is not written down yet, none before that is chosen */
  readonly chosen: string | null;
  /** id of the place that was looked at */
  readonly place: string | null;
  readonly findings: readonly CaseFinding[];
  readonly photos: readonly string[];
  /** corrections of what was taken for granted */
  readonly facts: Partial<PlantingFacts>;
  /** ids of what is made: however often that is tried, it is made once */
  readonly ids: Readonly<Record<'place' | 'planting' | 'case', string>>;
}

const empty = (): WrongDraft => ({
  host: null,
  beside: '',
  words: '',
  chosen: null,
  place: null,
  findings: [],
  photos: [],
  facts: {},
  ids: { place: crypto.randomUUID(), planting: crypto.randomUUID(), case: crypto.randomUUID() },
});

/** What is told stays on this device until its case is open: over a reload, a lost network and a session that has ended. */
@Injectable({ providedIn: 'root' })
export class WrongDrafts {
  readonly #garden = inject(Garden);
  readonly draft = signal(empty());
  #of = '';

  constructor() {
    effect(() => {
      const draft = this.draft();
      if (this.#of) remember(this.#of, draft);
    });
  }

  /**
   * Begin with what is known, or take up what was being told of the same.
   *
   * @param about - id of the planting or place that it is about; empty where nothing is known
   */
  open(about: string, known: Partial<WrongDraft>): void {
    this.#of = `field-nurse-wrong ${this.#garden.summary().id} ${about}`;
    const before = { ...empty(), ...remembered<Partial<WrongDraft>>(this.#of) };
    this.draft.set(before.words !== '' || before.photos.length > 0 ? before : { ...empty(), ...known });
  }

  change(told: Partial<WrongDraft>): void {
    this.draft.update((draft) => ({ ...draft, ...told }));
  }

  /** Its case is open. */
  close(): void {
    this.draft.set(empty());
  }
}
