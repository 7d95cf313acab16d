import { computed, inject, Injectable, resource, signal } from '@angular/core';
import type { OptionsRequest } from '@field-nurse/contract';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { keepLatest, sameQuestion } from '../shared/keep-latest';
import { situationOf } from './situation';
import { TodaysWeather } from './todays-weather';

/** The options of one case, judged for today. */
@Injectable()
export class CaseOptions {
  readonly #garden = inject(Garden);
  readonly #calc = inject(Calc);
  readonly #weather = inject(TodaysWeather);
  readonly #id = signal('');

  readonly case = computed(() => this.#garden.case(this.#id()));
  readonly planting = computed(() => this.#garden.planting(this.case()?.plantingId ?? ''));
  readonly situation = computed(() => this.#situation(), { equal: sameQuestion });
  readonly #answer = resource({ params: () => this.situation(), loader: ({ params }) => this.#calc.options(params) });
  readonly answer = keepLatest(this.#id, () => (this.#answer.hasValue() ? this.#answer.value() : undefined));
  readonly failed = computed(() => this.#answer.error()?.message);

  open(id: string): void {
    this.#id.set(id);
  }

  #situation(): OptionsRequest | undefined {
    const [one, planting] = [this.case(), this.planting()];
    return one && planting
      ? situationOf({
          case: one,
          planting,
          garden: this.#garden.summary(),
          applications: this.#garden.applicationsOn(planting.id),
          today: this.#garden.today(),
          weather: this.#weather.said(),
        })
      : undefined;
  }
}
