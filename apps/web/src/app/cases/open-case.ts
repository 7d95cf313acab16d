import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { ApiError } from '../api/api-error';
import { begunCase } from './begun-case';

/** Opening a case on a planting, from wherever the sick plant was met. */
@Injectable({ providedIn: 'root' })
export class OpenCase {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #router = inject(Router);

  async on(plantingId: string): Promise<void> {
    const id = crypto.randomUUID();
    try {
      await this.#records.save('cases', id, 0, begunCase(plantingId, this.#garden.today()), 'Case opened.');
      await this.#router.navigate(['/g', this.#garden.summary().id, 'cases', id]);
    } catch (error) {
      this.#records.say(ApiError.from(error).message);
    }
  }
}
