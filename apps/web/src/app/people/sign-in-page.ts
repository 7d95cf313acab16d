import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Drawing } from '../drawing/drawing';
import { SessionActions } from '../store/session-state';
import { Submission } from '../shared/submission';

@Component({
  selector: 'fn-sign-in-page',
  imports: [ReactiveFormsModule, MatFormFieldModule, MatInputModule, MatButtonModule, RouterLink, Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './door.scss',
  template: `
    <aside>
      <fn-drawing organ="leaf" leaf="lobed" mark="winding-mine" [severity]="0.5" />
      <p>What is it, what fits this plant today, and is it getting better.</p>
    </aside>
    <main>
      <form [formGroup]="form" (ngSubmit)="signIn()" novalidate>
        <h1>Field Nurse</h1>
        <mat-form-field>
          <mat-label>E-mail address</mat-label>
          <input matInput type="email" formControlName="email" autocomplete="username" />
          @if (form.controls.email.invalid) {
            <mat-error>Write an address such as you&#64;example.org.</mat-error>
          }
        </mat-form-field>
        <mat-form-field>
          <mat-label>Password</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="current-password" />
          @if (form.controls.password.invalid) {
            <mat-error>Write your password.</mat-error>
          }
        </mat-form-field>
        @if (submission.refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <button matButton="filled" [disabled]="submission.busy()">Sign in</button>
        <p class="also"><a routerLink="/forgotten">Forgotten the password?</a></p>
        <p>No account yet? <a routerLink="/sign-up" [queryParams]="{ to: to() }">Make one</a></p>
      </form>
    </main>
  `,
})
export class SignInPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  /** where to go after */
  readonly to = input<string>();
  protected readonly form = new FormGroup({
    email: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.email] }),
    password: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
  });
  protected readonly submission = new Submission(this.form);

  protected async signIn(): Promise<void> {
    await this.submission.send(async () => {
      const { email, password } = this.form.getRawValue();
      // Asking for the session first hands this page the token that a write needs.
      await firstValueFrom(this.#api.session());
      const session = await firstValueFrom(this.#api.signIn(email.trim(), password));
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#router.navigateByUrl(this.to() ?? '/');
    });
  }
}
