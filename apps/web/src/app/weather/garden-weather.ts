import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { WeatherAnswer } from '@field-nurse/contract';
import { addDays, instantOf, recentWeather, sprayWindows } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Offline } from '../offline/offline';

/** so many days back are asked for */
export const daysBack = 3;

/** The garden's weather of the last days and the next ten, asked for afresh each hour; without signal as this device last knew it. */
@Injectable({ providedIn: 'root' })
export class GardenWeather {
  readonly #api = inject(Api);
  readonly #offline = inject(Offline);
  readonly #garden = inject(Garden);
  readonly #answer = signal<WeatherAnswer | null>(null);
  readonly #asked = computed(() => {
    const { id, timeZone, weatherStation } = this.#garden.summary();
    return JSON.stringify([id, timeZone, weatherStation, this.#garden.now().slice(0, 13)]);
  });
  readonly answer = this.#answer.asReadonly();
  /** why nothing newer is shown */
  readonly fault = signal('');

  readonly measured = computed<readonly WeatherHour[]>(() => this.#answer()?.hours ?? []);
  /** hours to come */
  readonly forecast = computed<readonly WeatherHour[]>(() => {
    const now = Date.parse(this.#garden.now());
    return (this.#answer()?.forecast?.hours ?? []).filter(({ at }) => Date.parse(at) > now);
  });
  /** hours in which the forecast allows to spray */
  readonly windows = computed(() => sprayWindows(this.forecast(), this.#garden.summary().timeZone));
  /** what hastens trouble; nothing when too little is known */
  readonly recent = computed(() => recentWeather(this.measured(), this.#garden.now()) ?? undefined);

  constructor() {
    effect(() => {
      this.#asked();
      void untracked(() => this.load());
    });
  }

  /** First instant that is shown: midnight, some days back. */
  readonly from = computed(() => instantOf(`${addDays(this.#garden.today(), -daysBack)}T00:00`, this.#garden.summary().timeZone));

  async load(): Promise<void> {
    const { id } = this.#garden.summary();
    try {
      const answer = await firstValueFrom(this.#api.weather(id, this.from(), this.#garden.now()));
      if (id !== this.#garden.summary().id) return;
      this.#answer.set(answer);
      this.fault.set('');
      await this.#offline.saveWeather(id, answer).catch(() => undefined);
    } catch (error) {
      const kept = await this.#offline.weather(id).catch(() => undefined);
      if (id !== this.#garden.summary().id) return;
      this.#answer.set(kept ?? null);
      this.fault.set(ApiError.from(error).message);
    }
  }
}
