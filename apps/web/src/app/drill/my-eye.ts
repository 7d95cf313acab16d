import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import { triedEye } from '@field-nurse/core/drill';
import { guessesOf } from '@field-nurse/library/drill';
import { Garden } from '../gardens/garden';
import { sessionFeature } from '../store/session-state';
import { damageOf } from './measured-leaf';

/** How the eye of whoever works here has done: in drills, and on leaves that were measured after they were judged. */
@Injectable({ providedIn: 'root' })
export class MyEye {
  readonly #garden = inject(Garden);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);

  readonly name = computed(() => this.#person()?.name ?? 'Somebody');
  readonly sittings = computed(() => this.#garden.drills().filter(({ by }) => by === this.name()));
  readonly measured = computed(() =>
    this.#garden
      .leafMeasurements()
      .filter(({ by }) => by === this.name())
      .flatMap((one) => (one.eyedPercent === null ? [] : [{ truth: damageOf(one), guess: one.eyedPercent }])),
  );
  readonly leaves = computed(() => [...this.measured(), ...guessesOf(this.sittings(), 'leaf')]);
  readonly stands = computed(() => guessesOf(this.sittings(), 'stand'));
  readonly counts = computed(() => guessesOf(this.sittings(), 'count'));
  /** what each is read as, once there are guesses enough */
  readonly leafEye = computed(() => triedEye(this.leaves()));
  readonly standEye = computed(() => triedEye(this.stands()));
}
