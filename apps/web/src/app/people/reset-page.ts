import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Drawing } from '../drawing/drawing';
import { Submission } from '../shared/submission';
import { leastPassword, passwordHint } from './password-words';

/** Where the link for a new password leads. */
@Component({
  selector: 'fn-reset-page',
  imports: [ReactiveFormsModule, MatFormFieldModule, MatInputModule, MatButtonModule, RouterLink, Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './door.scss',
  template: `
    <aside>
      <fn-drawing organ="leaf" leaf="lobed" mark="notches" [severity]="0.3" />
      <p>A few words that have nothing to do with each other.</p>
    </aside>
    <main>
      @if (done()) {
        <div class="door" role="status">
          <h1>The new password is set</h1>
          <p>Every device was signed out. Sign in with the new one.</p>
          <a matButton="filled" routerLink="/sign-in">Sign in</a>
        </div>
      } @else {
        <form [formGroup]="form" (ngSubmit)="set()" novalidate>
          <h1>New password</h1>
          <mat-form-field>
            <mat-label>New password</mat-label>
            <input matInput type="password" formControlName="password" autocomplete="new-password" />
            <mat-hint>{{ hint }}</mat-hint>
            @if (form.controls.password.invalid) {
              <mat-error>{{ form.controls.password.errors?.['server'] ?? hint }}</mat-error>
            }
          </mat-form-field>
          @if (submission.refusal(); as line) {
            <p class="fn-stop" role="alert">{{ line }} <a routerLink="/forgotten">Ask for another link</a></p>
          }
          <button matButton="filled" [disabled]="submission.busy()">Set the password</button>
        </form>
      }
    </main>
  `,
})
export class ResetPage {
  readonly #api = inject(Api);
  /** the secret in the address */
  readonly secret = input.required<string>();
  protected readonly hint = passwordHint;
  protected readonly done = signal(false);
  protected readonly form = new FormGroup({
    password: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.minLength(leastPassword)] }),
  });
  protected readonly submission = new Submission(this.form);

  protected async set(): Promise<void> {
    await this.submission.send(async () => {
      await firstValueFrom(this.#api.session());
      const body = { secret: this.secret(), password: this.form.getRawValue().password };
      await firstValueFrom(this.#api.send('put /api/v1/password-resets', { body }));
      this.done.set(true);
    });
  }
}
