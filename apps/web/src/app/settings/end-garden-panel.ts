import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Offline } from '../offline/offline';
import { SessionActions } from '../store/session-state';
import { Submission } from '../shared/submission';
import { Garden } from '../gardens/garden';
import { GardenActions } from '../store/garden-state';

/** Taking everything along, and deleting the garden for good. */
@Component({
  selector: 'fn-end-garden-panel',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section,
    .fn-stop,
    form {
      display: grid;
      gap: 14px;
    }
    mat-form-field {
      max-width: 420px;
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="data">
      <h2 id="data">Everything in this garden</h2>
      <p>One zip file with every record as JSON, the weather, and the photos. It is yours.</p>
      <div class="fn-actions"><a matButton="outlined" [href]="download" download>Download the garden</a></div>
      @if (isOwner() && !asked()) {
        <div class="fn-actions"><button matButton type="button" (click)="asked.set(true)">Delete this garden …</button></div>
      }
      @if (asked()) {
        <div class="fn-stop">
          <p>
            <strong>This can’t be taken back.</strong> Every place, planting, case, log entry and photo goes, for everybody who shares the
            garden. Download it first if you may want it again.
          </p>
          <form [formGroup]="form" (ngSubmit)="end()" novalidate>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Write its name, {{ name }}</mat-label>
              <input matInput formControlName="name" autocomplete="off" />
              @if (form.controls.name.invalid) {
                <mat-error>{{ form.controls.name.errors?.['server'] ?? 'Write the name just as it stands.' }}</mat-error>
              }
            </mat-form-field>
            @if (submission.refusal(); as line) {
              <p role="alert">{{ line }}</p>
            }
            <div class="fn-actions">
              <button matButton="filled" [disabled]="submission.busy()">Delete the garden for good</button>
              <button matButton type="button" (click)="asked.set(false)">Keep it</button>
            </div>
          </form>
        </div>
      }
    </section>
  `,
})
export class EndGardenPanel {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #offline = inject(Offline);
  readonly #garden = inject(Garden);
  readonly #id = this.#garden.summary().id;
  protected readonly name = this.#garden.summary().name;
  protected readonly isOwner = this.#garden.isOwner;
  protected readonly download = `/api/v1/gardens/${this.#id}/download`;
  protected readonly asked = signal(false);
  protected readonly form = new FormGroup({ name: new FormControl('', { nonNullable: true, validators: [Validators.required] }) });
  protected readonly submission = new Submission(this.form);

  protected async end(): Promise<void> {
    await this.submission.send(async () => {
      const call = { params: { garden: this.#id }, body: { name: this.form.getRawValue().name.trim() } };
      const session = await firstValueFrom(this.#api.send('delete /api/v1/gardens/{garden}', call));
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#offline.forgetGarden(this.#id);
      await this.#router.navigate(['/']);
      this.#store.dispatch(GardenActions.closed({ garden: this.#id }));
    });
  }
}
