import { computed, inject, Injectable, signal } from '@angular/core';
import { weatherToday } from '@field-nurse/core/timing';
import type { SaidWeather } from '@field-nurse/core/treatment';
import { Garden } from '../gardens/garden';
import { GardenWeather } from '../weather/garden-weather';

const nothingSaid: SaidWeather = { temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null };

/** The weather of one day in one garden: from the station, and over it what somebody said, which is forgotten with the day. */
@Injectable({ providedIn: 'root' })
export class TodaysWeather {
  readonly #garden = inject(Garden);
  readonly #weather = inject(GardenWeather);
  readonly #kept = signal<{ of: string; said: Partial<SaidWeather> }>({ of: '', said: {} });
  readonly #of = computed(() => `${this.#garden.summary().id} ${this.#garden.today()}`);
  readonly #typed = computed(() => (this.#kept().of === this.#of() ? this.#kept().said : {}));
  readonly #outdoors = computed<SaidWeather>(() => ({
    ...weatherToday(this.#weather.measured(), this.#weather.forecast(), this.#garden.now()),
    ...this.#typed(),
  }));
  readonly #indoors = computed<SaidWeather>(() => ({ ...nothingSaid, ...this.#typed() }));

  /** What is known for a planting that stands there: indoors a station says nothing. */
  said(setting: string | undefined): SaidWeather {
    return setting === 'indoor' ? this.#indoors() : this.#outdoors();
  }

  set(field: keyof SaidWeather, value: number | null): void {
    this.#kept.set({ of: this.#of(), said: { ...this.#typed(), [field]: value } });
  }
}
