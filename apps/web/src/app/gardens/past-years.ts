import { computed, inject, Injectable, resource } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from './garden';

/** All years of the garden in short, weather by days and a line for each case: almanac, chart and report read the same. */
@Injectable({ providedIn: 'root' })
export class PastYears {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  readonly #answer = resource({
    // Asked again when a case is opened; earlier seasons that come to this device change nothing.
    params: () => ({ garden: this.#garden.id(), cases: this.#garden.caseLines().length }),
    loader: async ({ params: { garden } }) => (garden ? firstValueFrom(this.#api.almanac(garden)) : undefined),
  });
  /** Ask again: looks and treatments may have come in since. What is known stays in sight meanwhile. */
  refresh = (): void => void this.#answer.reload();
  readonly answer = computed(() => (this.#answer.hasValue() ? this.#answer.value() : undefined));
  /** it is here, or it is known why not */
  readonly isReady = computed(() => this.#answer.hasValue() || this.#answer.error() !== undefined);
  /** why there is none */
  readonly fault = computed(() => (this.#answer.error() ? ApiError.from(this.#answer.error()).message : ''));
}
