import { DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';

export const themeNames = ['auto', 'light', 'dark', 'sun'] as const;
export type ThemeName = (typeof themeNames)[number];

const storageKey = 'field-nurse-theme';

/** The chosen look of this device: as the system says, light, dark, or high contrast for full sun. */
@Injectable({ providedIn: 'root' })
export class Theme {
  readonly #root = inject(DOCUMENT).documentElement;
  readonly name = signal<ThemeName>(stored());

  constructor() {
    effect(() => {
      const name = this.name();
      if (name === 'auto') this.#root.removeAttribute('data-theme');
      else this.#root.setAttribute('data-theme', name);
      try {
        localStorage.setItem(storageKey, name);
      } catch {
        // Storage may be off: the choice then lasts as long as the page.
      }
    });
  }

  /** The next look in the row. */
  next(): void {
    this.name.update((name) => themeNames[(themeNames.indexOf(name) + 1) % themeNames.length]!);
  }
}

function stored(): ThemeName {
  try {
    return themeNames.find((name) => name === localStorage.getItem(storageKey)) ?? 'auto';
  } catch {
    return 'auto';
  }
}
