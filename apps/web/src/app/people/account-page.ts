import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import type { DeviceSession, SecurityEvent } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Offline } from '../offline/offline';
import { instantWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { SecurityLog } from './security-log';
import { deviceWord } from './device-word';
import { leastPassword, passwordHint } from './password-words';
import { SessionActions, sessionFeature } from '../store/session-state';

const required = (...more: (typeof Validators)['required'][]) =>
  new FormControl('', { nonNullable: true, validators: [Validators.required, ...more] });

/** One's own account: password, devices, what happened to it, and its end. */
@Component({
  selector: 'fn-account-page',
  imports: [ReactiveFormsModule, RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, SecurityLog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './account-page.scss',
  template: `
    <main class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Your account</h1>
          <p>{{ person()?.name }}, {{ person()?.email }}</p>
        </div>
        <div class="fn-actions"><a matButton routerLink="/">Back to the garden</a></div>
      </div>

      <section class="fn-panel" aria-labelledby="password">
        <h2 id="password">Password</h2>
        <form class="fn-form" [formGroup]="password" (ngSubmit)="change()" novalidate>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Password so far</mat-label>
            <input matInput type="password" formControlName="current" autocomplete="current-password" />
            @if (password.controls.current.invalid) {
              <mat-error>{{ password.controls.current.errors?.['server'] ?? 'Write the password that you have now.' }}</mat-error>
            }
          </mat-form-field>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>New password</mat-label>
            <input matInput type="password" formControlName="password" autocomplete="new-password" />
            <mat-hint>{{ hint }}</mat-hint>
            @if (password.controls.password.invalid) {
              <mat-error>{{ password.controls.password.errors?.['server'] ?? hint }}</mat-error>
            }
          </mat-form-field>
          <div class="fn-actions fn-wide">
            <button matButton="filled" [disabled]="changing.busy()">Change the password</button>
            <span class="fn-small" role="status">{{ changed() }}</span>
          </div>
        </form>
        @if (changing.refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
      </section>

      <section class="fn-panel" aria-labelledby="devices">
        <h2 id="devices">Devices</h2>
        <p class="fn-small">Where you are signed in. One that you don’t know: sign it out, and change the password.</p>
        <ul class="fn-list" aria-label="Devices">
          @for (one of devices(); track one.id) {
            <li>
              <span>
                <strong>{{ deviceWord(one.device) }}</strong>
                <span class="fn-small since">{{ one.here ? 'this one' : 'last used ' + when(one.seenAt) }}</span>
              </span>
              @if (!one.here) {
                <button matButton type="button" (click)="end(one)">Sign it out</button>
              }
            </li>
          }
        </ul>
        @if (events().length > 0) {
          <details>
            <summary>What happened to the account</summary>
            <fn-security-log [events]="events()" [timeZone]="zone" />
          </details>
        }
      </section>

      <section class="fn-panel" aria-labelledby="end">
        <h2 id="end">End of the account</h2>
        @if (!asked()) {
          <p class="fn-small">What you wrote in the gardens of others stays there.</p>
          <div class="fn-actions"><button matButton type="button" (click)="asked.set(true)">Delete my account …</button></div>
        } @else {
          <div class="fn-stop">
            <p><strong>This can’t be taken back.</strong> Your name, address and password are deleted.</p>
            @if (own().length > 0) {
              <p>
                These gardens are yours, and go with everything in them unless you hand them over first. Download what you want to keep:
              </p>
              <ul class="own">
                @for (one of own(); track one.id) {
                  <li>
                    {{ one.name }} <a [href]="'/api/v1/gardens/' + one.id + '/download'" download>Download {{ one.name }}</a>
                  </li>
                }
              </ul>
            }
            <form [formGroup]="ending" (ngSubmit)="delete()" novalidate>
              <mat-form-field subscriptSizing="dynamic">
                <mat-label>Your password</mat-label>
                <input matInput type="password" formControlName="password" autocomplete="current-password" />
                @if (ending.controls.password.invalid) {
                  <mat-error>{{ ending.controls.password.errors?.['server'] ?? 'Write your password.' }}</mat-error>
                }
              </mat-form-field>
              @if (endingSent.refusal(); as line) {
                <p role="alert">{{ line }}</p>
              }
              <div class="fn-actions">
                <button matButton="filled" [disabled]="endingSent.busy()">Delete my account for good</button>
                <button matButton type="button" (click)="asked.set(false)">Keep it</button>
              </div>
            </form>
          </div>
        }
      </section>
    </main>
  `,
})
export class AccountPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #offline = inject(Offline);
  protected readonly person = this.#store.selectSignal(sessionFeature.selectPerson);
  readonly #gardens = this.#store.selectSignal(sessionFeature.selectGardens);
  protected readonly own = computed(() => this.#gardens().filter(({ role }) => role === 'owner'));
  protected readonly hint = passwordHint;
  protected readonly deviceWord = deviceWord;
  protected readonly zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  protected readonly devices = signal<readonly DeviceSession[]>([]);
  protected readonly events = signal<readonly SecurityEvent[]>([]);
  protected readonly changed = signal('');
  protected readonly asked = signal(false);
  protected readonly password = new FormGroup({ current: required(), password: required(Validators.minLength(leastPassword)) });
  protected readonly changing = new Submission(this.password);
  protected readonly ending = new FormGroup({ password: required() });
  protected readonly endingSent = new Submission(this.ending);
  protected readonly when = (instant: string) => instantWord(instant, this.zone);

  constructor() {
    void this.changing.run(() => this.#load());
  }

  async #load(): Promise<void> {
    this.devices.set(await firstValueFrom(this.#api.send('get /api/v1/account/sessions')));
    this.events.set(await firstValueFrom(this.#api.send('get /api/v1/account/security-log')));
  }

  protected async change(): Promise<void> {
    this.changed.set('');
    await this.changing.send(async () => {
      await firstValueFrom(this.#api.send('put /api/v1/account/password', { body: this.password.getRawValue() }));
      this.password.reset();
      this.changed.set('The password is changed, and every other device is signed out.');
      await this.#load();
    });
  }

  protected async end({ id }: DeviceSession): Promise<void> {
    await this.changing.run(async () => {
      this.devices.set(await firstValueFrom(this.#api.send('delete /api/v1/account/sessions/{session}', { params: { session: id } })));
    });
  }

  protected async delete(): Promise<void> {
    await this.endingSent.send(async () => {
      const body = { ...this.ending.getRawValue(), gardens: this.own().map(({ id }) => id) };
      const session = await firstValueFrom(this.#api.send('post /api/v1/account/delete', { body }));
      await this.#offline.forget();
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#router.navigate(['/sign-in']);
    });
  }
}
