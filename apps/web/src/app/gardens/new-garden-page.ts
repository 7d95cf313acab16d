import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { SessionActions } from '../people/session-state';
import { showFieldErrors } from '../shared/field-errors';
import { gardenForm, GardenFormFields } from './garden-form';

@Component({
  selector: 'fn-new-garden-page',
  imports: [MatButtonModule, GardenFormFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="fn-page">
      <div class="fn-head">
        <div>
          <h1>New garden</h1>
          <p>All of it can be changed later. A windowsill counts.</p>
        </div>
      </div>
      <form class="fn-panel" (submit)="$event.preventDefault(); make()" novalidate>
        <fn-garden-form [form]="form" />
        @if (refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <div class="fn-actions"><button matButton="filled" [disabled]="busy()">Make the garden</button></div>
      </form>
    </main>
  `,
})
export class NewGardenPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #id = crypto.randomUUID();
  protected readonly form = gardenForm();
  protected readonly busy = signal(false);
  protected readonly refusal = signal('');

  protected async make(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid || this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      const garden = await firstValueFrom(this.#api.createGarden(this.#id, this.form.getRawValue()));
      this.#store.dispatch(SessionActions.gardenAdded({ garden }));
      await this.#router.navigate(['/g', garden.id, 'today']);
    } catch (error) {
      this.refusal.set(showFieldErrors(this.form, ApiError.from(error)));
    } finally {
      this.busy.set(false);
    }
  }
}
