import { computed, inject, Injectable, signal } from '@angular/core';
import type { SaidWeather } from '@field-nurse/core/treatment';
import { Garden } from '../gardens/garden';

const nothing: SaidWeather = { temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null };

/** What was said of the weather of one day in one garden: it is true there and then, and forgotten with the day. */
@Injectable({ providedIn: 'root' })
export class TodaysWeather {
  readonly #garden = inject(Garden);
  readonly #kept = signal({ of: '', said: nothing });
  readonly #of = computed(() => `${this.#garden.summary().id} ${this.#garden.today()}`);
  readonly said = computed(() => (this.#kept().of === this.#of() ? this.#kept().said : nothing));

  set(field: keyof SaidWeather, value: number | null): void {
    this.#kept.set({ of: this.#of(), said: { ...this.said(), [field]: value } });
  }
}
