import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { SessionActions } from '../store/session-state';
import { Submission } from '../shared/submission';
import { gardenForm, GardenFormFields } from './garden-form';
import { RestorePanel } from './restore-panel';

@Component({
  selector: 'fn-new-garden-page',
  imports: [MatButtonModule, GardenFormFields, RestorePanel],
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
        @if (submission.refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <div class="fn-actions"><button matButton="filled" [disabled]="submission.busy()">Make the garden</button></div>
      </form>
      <fn-restore-panel class="fn-panel" />
    </main>
  `,
})
export class NewGardenPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #id = crypto.randomUUID();
  protected readonly form = gardenForm();
  protected readonly submission = new Submission(this.form);

  protected async make(): Promise<void> {
    await this.submission.send(async () => {
      const garden = await firstValueFrom(this.#api.createGarden(this.#id, this.form.getRawValue()));
      this.#store.dispatch(SessionActions.gardenAdded({ garden }));
      await this.#router.navigate(['/g', garden.id, 'today']);
    });
  }
}
