import { effect, Injectable, signal } from '@angular/core';
import type { CaseFinding } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';

/** What somebody without an account has told of a sick plant. */
export interface DoorDraft {
  /** id of the plant in the library; none before it is named */
  readonly host: string | null;
  /** what was typed beside its name ("cherry", "in the tunnel") */
  readonly beside: string;
  readonly words: string;
  readonly findings: readonly CaseFinding[];
  /** corrections of what was taken for granted; nothing where it was right */
  readonly setting: Planting['setting'] | null;
  readonly eaten: boolean | null;
  readonly inFlower: boolean | null;
  readonly picked: boolean | null;
  /** the causes that options were shown for, when it is kept */
  readonly working: readonly string[];
  /** ids of what is made when it is kept: however often that is tried, it is made once */
  readonly ids: Readonly<Record<'garden' | 'place' | 'planting' | 'case', string>>;
}

const storageKey = 'field-nurse-door';
const empty = (): DoorDraft => ({
  host: null,
  beside: '',
  words: '',
  findings: [],
  setting: null,
  eaten: null,
  inFlower: null,
  picked: null,
  working: [],
  ids: { garden: crypto.randomUUID(), place: crypto.randomUUID(), planting: crypto.randomUUID(), case: crypto.randomUUID() },
});

/** What was told at the door: it stays on this device, over reloads and a lost network, until it is kept or cleared. */
@Injectable({ providedIn: 'root' })
export class DoorDrafts {
  readonly draft = signal<DoorDraft>(stored());

  constructor() {
    effect(() => {
      try {
        localStorage.setItem(storageKey, JSON.stringify(this.draft()));
      } catch {
        // Storage may be off or full: what was told then lasts as long as the page.
      }
    });
  }

  change(told: Partial<DoorDraft>): void {
    this.draft.update((draft) => ({ ...draft, ...told }));
  }

  /** Another plant: what was found on the one before is no longer said. */
  begin(told: Partial<DoorDraft>): void {
    this.draft.set({ ...empty(), ...told });
  }
}

function stored(): DoorDraft {
  try {
    return { ...empty(), ...(JSON.parse(localStorage.getItem(storageKey) ?? '{}') as Partial<DoorDraft>) };
  } catch {
    return empty();
  }
}
