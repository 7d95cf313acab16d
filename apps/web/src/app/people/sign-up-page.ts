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
import { Submission } from '../shared/submission';
import { leastPassword, passwordHint } from './password-words';
import { SessionActions } from '../store/session-state';

@Component({
  selector: 'fn-sign-up-page',
  imports: [ReactiveFormsModule, MatFormFieldModule, MatInputModule, MatButtonModule, RouterLink, Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './door.scss',
  template: `
    <aside>
      <fn-drawing organ="leaf" leaf="heart" mark="notches" [severity]="0.4" />
      <p>One account, as many gardens as you tend.</p>
    </aside>
    <main>
      <form [formGroup]="form" (ngSubmit)="signUp()" novalidate>
        <h1>New account</h1>
        @if (to() === '/keep') {
          <p>What you told of the plant comes along: its place, its case and what was found.</p>
        }
        <mat-form-field>
          <mat-label>Your name</mat-label>
          <input matInput formControlName="name" autocomplete="name" />
          @if (form.controls.name.invalid) {
            <mat-error>{{ form.controls.name.errors?.['server'] ?? 'Write the name that goes into the log.' }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field>
          <mat-label>E-mail address</mat-label>
          <input matInput type="email" formControlName="email" autocomplete="username" />
          @if (form.controls.email.invalid) {
            <mat-error>{{ form.controls.email.errors?.['server'] ?? 'Write an address such as you@example.org.' }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field>
          <mat-label>Password</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="new-password" />
          <mat-hint>{{ hint }}</mat-hint>
          @if (form.controls.password.invalid) {
            <mat-error>{{ form.controls.password.errors?.['server'] ?? hint }}</mat-error>
          }
        </mat-form-field>
        @if (submission.refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <button matButton="filled" [disabled]="submission.busy()">Make the account</button>
        <p class="also">Have one? <a routerLink="/sign-in" [queryParams]="{ to: to() }">Sign in</a></p>
      </form>
    </main>
  `,
})
export class SignUpPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  /** where to go after */
  readonly to = input<string>();
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    email: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.email] }),
    password: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.minLength(leastPassword)] }),
  });
  protected readonly hint = passwordHint;
  protected readonly submission = new Submission(this.form);

  protected async signUp(): Promise<void> {
    await this.submission.send(async () => {
      const { name, email, password } = this.form.getRawValue();
      await firstValueFrom(this.#api.session());
      const session = await firstValueFrom(this.#api.signUp(name, email.trim(), password));
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#router.navigateByUrl(this.to() ?? '/');
    });
  }
}
