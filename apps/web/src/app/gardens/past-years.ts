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
    // What is written changes what it says: asked again when a case or a look comes in.
    params: () => ({ garden: this.#garden.id(), cases: this.#garden.cases().length, looks: this.#garden.assessments().length }),
    loader: async ({ params: { garden } }) => (garden ? firstValueFrom(this.#api.almanac(garden)) : undefined),
  });
  readonly answer = computed(() => (this.#answer.hasValue() ? this.#answer.value() : undefined));
  /** why there is none */
  readonly fault = computed(() => (this.#answer.error() ? ApiError.from(this.#answer.error()).message : ''));
}
