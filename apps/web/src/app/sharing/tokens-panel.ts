import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { NewToken, Token } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import type { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { dayWord } from '../shared/days';
import { Submission } from '../shared/submission';

/** Tokens that one's own scripts use in this garden. */
@Component({
  selector: 'fn-tokens-panel',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './invitation-list.scss',
  template: `
    <h2>Scripts</h2>
    <p class="fn-small">
      A token lets a script of yours read or write this garden’s records, and nothing else. <a href="/api/docs">How scripts ask</a>
    </p>
    @if (list().length > 0) {
      <ul class="fn-list" aria-label="Tokens">
        @for (one of list(); track one.id) {
          <li>
            <span
              ><strong>{{ one.name }}</strong> {{ may[one.scope] }}</span
            >
            <span class="fn-small">{{ one.usedAt ? 'last used ' + day(one.usedAt) : 'not used yet' }}</span>
            <button matButton type="button" (click)="revoke(one)">Revoke</button>
          </li>
        }
      </ul>
    }
    @if (made(); as made) {
      <div class="link" role="status">
        <p>The token of {{ made.name }}. It is shown this once:</p>
        <p>
          <output aria-label="Token">{{ made.secret }}</output>
        </p>
        @if (made.scope === 'calendar') {
          <p class="fn-small">
            It goes with the calendar’s address: <output>{{ feedOf(made.secret) }}</output>
          </p>
        } @else {
          <p class="fn-small">Send it along as <code>Authorization: Bearer …</code></p>
        }
      </div>
    }
    <form class="fn-form" [formGroup]="form" (ngSubmit)="make()" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Name of the script</mat-label>
        <input matInput formControlName="name" autocomplete="off" />
        @if (form.controls.name.invalid) {
          <mat-error>{{ form.controls.name.errors?.['server'] ?? 'Give it a name, so that you know which to revoke.' }}</mat-error>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>The script may</mat-label>
        <mat-select formControlName="scope">
          <mat-option value="read">read</mat-option>
          <mat-option value="write">read and write</mat-option>
          <mat-option value="calendar">show the plan in a calendar</mat-option>
        </mat-select>
      </mat-form-field>
      <div class="fn-actions"><button matButton="outlined" [disabled]="submission.busy()">Make a token</button></div>
    </form>
    @if (submission.refusal(); as line) {
      <p class="fn-stop" role="alert">{{ line }}</p>
    }
  `,
})
export class TokensPanel {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  readonly #in = { params: { garden: this.#garden.summary().id } };
  protected readonly list = signal<readonly Token[]>([]);
  protected readonly made = signal<NewToken | undefined>(undefined);
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    scope: new FormControl<Token['scope']>('read', { nonNullable: true }),
  });
  protected readonly submission = new Submission(this.form);
  protected readonly may = { read: 'may read', write: 'may write', calendar: 'shows the plan in a calendar' } as const;
  protected readonly feedOf = (secret: string) => `${location.origin}/api/v1/calendars/${secret}.ics`;
  protected readonly day = (instant: string) => dayWord(instant.slice(0, 10), this.#garden.today());

  constructor() {
    this.#api.send('get /api/v1/gardens/{garden}/tokens', this.#in).subscribe({
      next: (list) => this.list.set(list),
      error: (error: ApiError) => this.submission.refusal.set(error.message),
    });
  }

  protected async make(): Promise<void> {
    this.made.set(undefined);
    await this.submission.send(async () => {
      const body = { id: crypto.randomUUID(), ...this.form.getRawValue(), expiresOn: null };
      const made = await firstValueFrom(this.#api.send('post /api/v1/gardens/{garden}/tokens', { ...this.#in, body }));
      this.made.set(made);
      this.list.update((list) => [made, ...list]);
      this.form.reset();
    });
  }

  protected async revoke({ id }: Token): Promise<void> {
    const call = { params: { ...this.#in.params, token: id } };
    await this.submission.run(async () => {
      this.list.set(await firstValueFrom(this.#api.send('delete /api/v1/gardens/{garden}/tokens/{token}', call)));
      if (this.made()?.id === id) this.made.set(undefined);
    });
  }
}
