import { inject, Injectable, signal } from '@angular/core';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { SessionActions } from '../store/session-state';

/** Looking round a demo garden without an account: a copy of one's own, for a day. */
@Injectable({ providedIn: 'root' })
export class Visit {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly busy = signal(false);
  readonly refusal = signal('');

  /** Go into the demo garden; for a visitor, into a fresh one. */
  async begin(): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      const session = await firstValueFrom(this.#api.visit());
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#router.navigate(['/g', session.gardens[0]!.id, 'today']);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}
