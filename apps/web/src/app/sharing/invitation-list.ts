import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { GivenRole, Invitation, NewInvitation } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { dayWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { memberWords } from './role-words';

const stateWords: Readonly<Record<Invitation['state'], string>> = {
  open: 'waits for an answer',
  accepted: 'accepted',
  declined: 'declined',
  withdrawn: 'withdrawn',
  expired: 'too old now',
};

/** Inviting somebody by a link, and by mail where an address is given; and what became of the invitations. */
@Component({
  selector: 'fn-invitation-list',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './invitation-list.scss',
  template: `
    <h3>Invite somebody</h3>
    <form class="fn-form" [formGroup]="form" (ngSubmit)="invite()" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>E-mail address (if you like)</mat-label>
        <input matInput type="email" formControlName="email" autocomplete="off" />
        <mat-hint>Without one you get a link to hand on yourself.</mat-hint>
        @if (form.controls.email.invalid) {
          <mat-error>{{ form.controls.email.errors?.['server'] ?? 'Write an address such as you@example.org.' }}</mat-error>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>They may</mat-label>
        <mat-select formControlName="role">
          @for (role of given; track role) {
            <mat-option [value]="role">{{ words[role].may }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <div class="fn-actions"><button matButton="outlined" [disabled]="submission.busy()">Make the invitation</button></div>
    </form>
    @if (submission.refusal(); as line) {
      <p class="fn-stop" role="alert">{{ line }}</p>
    }
    @if (made(); as made) {
      <div class="link" role="status">
        <p>
          {{ made.mailed ? 'The invitation is on its way to ' + made.email + '. You can also hand on this link:' : 'Hand on this link:' }}
        </p>
        <p>
          <output aria-label="Invitation link">{{ made.link }}</output>
        </p>
        <p class="fn-small">It lets one person in, within two weeks. It is shown this once.</p>
        <div class="fn-actions">
          <button matButton type="button" (click)="copy(made.link)">{{ copied() ? 'Copied' : 'Copy the link' }}</button>
        </div>
      </div>
    }
    @if (list().length > 0) {
      <ul class="fn-list" aria-label="Invitations">
        @for (one of list(); track one.id) {
          <li>
            <span>{{ one.email ?? 'By link' }}, to {{ words[one.role].may }}</span>
            <span class="fn-small">{{ stateWords[one.state] }}, made {{ day(one.madeAt) }}</span>
            @if (one.state === 'open') {
              <button matButton type="button" (click)="withdraw(one)">Withdraw</button>
            }
          </li>
        }
      </ul>
    }
  `,
})
export class InvitationList {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  readonly #in = { params: { garden: this.#garden.summary().id } };
  protected readonly words = memberWords;
  protected readonly stateWords = stateWords;
  protected readonly given: readonly GivenRole[] = ['member', 'adviser', 'viewer'];
  readonly #all = signal<readonly Invitation[]>([]);
  /** the open ones, and the last few that were answered */
  protected readonly list = computed(() => {
    const open = this.#all().filter(({ state }) => state === 'open');
    const rest = this.#all().filter(({ state }) => state !== 'open');
    return [...open, ...rest.slice(0, 5)];
  });
  protected readonly made = signal<NewInvitation | undefined>(undefined);
  protected readonly copied = signal(false);
  protected readonly form = new FormGroup({
    email: new FormControl('', { nonNullable: true, validators: [Validators.email] }),
    role: new FormControl<GivenRole>('member', { nonNullable: true }),
  });
  protected readonly submission = new Submission(this.form);
  protected readonly day = (instant: string) => dayWord(instant.slice(0, 10), this.#garden.today());

  constructor() {
    this.#api.send('get /api/v1/gardens/{garden}/invitations', this.#in).subscribe({
      next: (list) => this.#all.set(list),
      error: (error: ApiError) => this.submission.refusal.set(error.message),
    });
  }

  protected async invite(): Promise<void> {
    this.made.set(undefined);
    this.copied.set(false);
    await this.submission.send(async () => {
      const { email, role } = this.form.getRawValue();
      const body = { id: crypto.randomUUID(), role, email: email.trim() || null };
      const made = await firstValueFrom(this.#api.send('post /api/v1/gardens/{garden}/invitations', { ...this.#in, body }));
      this.made.set(made);
      this.#all.update((all) => [made, ...all]);
      this.form.controls.email.reset();
    });
  }

  protected async withdraw({ id }: Invitation): Promise<void> {
    const call = { params: { ...this.#in.params, invitation: id } };
    await this.submission.run(async () => {
      this.#all.set(await firstValueFrom(this.#api.send('delete /api/v1/gardens/{garden}/invitations/{invitation}', call)));
      if (this.made()?.id === id) this.made.set(undefined);
    });
  }

  protected async copy(link: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(link);
      this.copied.set(true);
    } catch (error) {
      this.submission.refusal.set(`This browser does not copy: mark the link and copy it by hand. ${ApiError.from(error).message}`);
    }
  }
}
