import { computed, inject, Injectable } from '@angular/core';
import { checkOn, pausedOn } from '@field-nurse/core/sampling';
import type { Task } from '@field-nurse/library';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { countDue, walkPlaces } from './prevention-list';
import type { WalkPlace } from './prevention-list';

const stores: ReadonlySet<string> = new Set(['store', 'housing', 'heap']);

/** The prevention walk of the open garden, and the short round around its plants, place by place with how much is due in each. */
@Injectable({ providedIn: 'root' })
export class PreventionWalk {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly places = computed(() => this.#placesOf('prevention'));
  readonly due = computed(() => this.places().reduce((sum, one) => sum + one.due, 0));
  /** What is stored or kept first, then beds with their mulch. */
  readonly around = computed(() => {
    const places = this.#placesOf('around');
    const isStore = ({ place }: WalkPlace) => stores.has(place.kind);
    return [...places.filter(isStore), ...places.filter((one) => !isStore(one))];
  });
  /** Traps that catch what lives around the plants: rats, mice, flies. */
  readonly traps = computed(() => {
    const [today, catches] = [this.#garden.today(), this.#garden.catches()];
    return this.#garden
      .traps()
      .filter(({ kind, endedOn }) => (kind === 'snap' || kind === 'fly') && (!endedOn || endedOn > today))
      .map((trap) => {
        const rest = pausedOn(today, trap);
        const dueOn = rest ? null : checkOn(trap, catches, today);
        return { trap, rest, dueOn, isDue: dueOn !== null && dueOn <= today };
      });
  });
  /** Where nothing is stored, kept or heaped, and no such trap stands, nobody is sent round. */
  readonly hasAround = computed(
    () => this.traps().length > 0 || this.#garden.places().some(({ kind, endedOn }) => !endedOn && stores.has(kind)),
  );
  readonly aroundDue = computed(
    () => this.around().reduce((sum, one) => sum + one.due, 0) + this.traps().filter(({ isDue }) => isDue).length,
  );

  #placesOf(round: Task['round']) {
    return walkPlaces({
      tasks: this.#library.index()?.tasks ?? [],
      round,
      places: this.#garden.places(),
      preventionTasks: this.#garden.preventionTasks(),
      today: this.#garden.today(),
      hemisphere: (this.#garden.summary().latitude ?? 0) < 0 ? 'south' : 'north',
    }).map((one) => ({ ...one, due: countDue(one) }));
  }
}
