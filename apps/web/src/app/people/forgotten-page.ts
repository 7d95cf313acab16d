import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Drawing } from '../drawing/drawing';
import { Submission } from '../shared/submission';

@Component({
  selector: 'fn-forgotten-page',
  imports: [ReactiveFormsModule, MatFormFieldModule, MatInputModule, MatButtonModule, RouterLink, Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './door.scss',
  template: `
    <aside>
      <fn-drawing organ="leaf" leaf="lobed" mark="notches" [severity]="0.3" />
      <p>It happens between the last frost and the first beans.</p>
    </aside>
    <main>
      @if (asked()) {
        <div class="door" role="status">
          <h1>Look into your mail</h1>
          <p>If there is an account with that address, a letter with a link is on its way. The link works for an hour.</p>
          <p class="fn-small">Nothing there? Who keeps this server may have set up no mail: ask them.</p>
          <p class="also"><a routerLink="/sign-in">To the door</a></p>
        </div>
      } @else {
        <form [formGroup]="form" (ngSubmit)="ask()" novalidate>
          <h1>Forgotten password</h1>
          <mat-form-field>
            <mat-label>E-mail address of your account</mat-label>
            <input matInput type="email" formControlName="email" autocomplete="username" />
            @if (form.controls.email.invalid) {
              <mat-error>Write an address such as you&#64;example.org.</mat-error>
            }
          </mat-form-field>
          @if (submission.refusal(); as line) {
            <p class="fn-stop" role="alert">{{ line }}</p>
          }
          <button matButton="filled" [disabled]="submission.busy()">Send me a link</button>
          <p class="also"><a routerLink="/sign-in">To the door</a></p>
        </form>
      }
    </main>
  `,
})
export class ForgottenPage {
  readonly #api = inject(Api);
  protected readonly asked = signal(false);
  protected readonly form = new FormGroup({
    email: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.email] }),
  });
  protected readonly submission = new Submission(this.form);

  protected async ask(): Promise<void> {
    await this.submission.send(async () => {
      // Asking for the session first hands this page the token that a write needs.
      await firstValueFrom(this.#api.session());
      await firstValueFrom(this.#api.send('post /api/v1/password-resets', { body: { email: this.form.getRawValue().email.trim() } }));
      this.asked.set(true);
    });
  }
}
