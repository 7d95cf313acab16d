import { computed, inject, Injectable } from '@angular/core';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { countDue, walkPlaces } from './prevention-list';

/** The prevention walk of the open garden, place by place, with how much is due in each. */
@Injectable({ providedIn: 'root' })
export class PreventionWalk {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly places = computed(() =>
    walkPlaces({
      tasks: this.#library.index()?.tasks ?? [],
      places: this.#garden.places(),
      preventionTasks: this.#garden.preventionTasks(),
      today: this.#garden.today(),
      hemisphere: (this.#garden.summary().latitude ?? 0) < 0 ? 'south' : 'north',
    }).map((one) => ({ ...one, due: countDue(one) })),
  );
  readonly due = computed(() => this.places().reduce((sum, one) => sum + one.due, 0));
}
