import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { GardenSettings, GardenSummary, Member } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { SessionActions, sessionFeature } from '../people/session-state';
import { Submission } from '../shared/submission';
import { showFieldErrors } from '../shared/field-errors';
import { Theme } from '../shell/theme';
import { Garden } from './garden';
import { gardenForm, GardenFormFields } from './garden-form';
import { GardenActions } from './garden-state';
import { Records } from './records';

const roleWords: Readonly<Record<Member['role'], string>> = { owner: 'owner', member: 'works here', viewer: 'may look' };

@Component({
  selector: 'fn-settings-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    MatButtonModule,
    MatButtonToggleModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    GardenFormFields,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    li {
      display: flex;
      justify-content: space-between;
      gap: 12px;
      padding: 8px 0;
      border-bottom: 1px solid var(--fn-line);
    }
    section {
      display: grid;
      gap: 14px;
    }
    mat-button-toggle-group {
      justify-self: start;
    }
  `,
  template: `
    <div class="fn-page">
      <h1>Settings</h1>
      <form class="fn-panel" (submit)="$event.preventDefault(); save()" novalidate>
        <section>
          <h2>This garden</h2>
          <fn-garden-form [form]="form" />
          @if (submission.refusal(); as line) {
            <p class="fn-stop" role="alert">{{ line }}</p>
          }
          <div class="fn-actions"><button matButton="filled" [disabled]="submission.busy() || !isOwner">Save the garden</button></div>
          @if (!isOwner) {
            <p class="fn-small">Only an owner of the garden can change this.</p>
          }
        </section>
      </form>
      <section class="fn-panel">
        <h2>Look of this device</h2>
        <mat-button-toggle-group
          aria-label="Look of this device"
          hideSingleSelectionIndicator
          [value]="theme.name()"
          (change)="theme.name.set($event.value)"
        >
          <mat-button-toggle value="auto">As the device</mat-button-toggle>
          <mat-button-toggle value="light">Light</mat-button-toggle>
          <mat-button-toggle value="dark">Dark</mat-button-toggle>
          <mat-button-toggle value="sun">Full sun</mat-button-toggle>
        </mat-button-toggle-group>
      </section>
      <section class="fn-panel">
        <h2>People</h2>
        <ul class="fn-list">
          @for (one of members(); track one.email) {
            <li>
              <span
                >{{ one.name }} <span class="fn-small">{{ one.email }}</span></span
              ><span>{{ words[one.role] }}</span>
            </li>
          }
        </ul>
        @if (isOwner) {
          <form class="fn-form" [formGroup]="share" (ngSubmit)="add()" novalidate>
            <mat-form-field>
              <mat-label>Address of somebody with an account</mat-label>
              <input matInput type="email" formControlName="email" />
              @if (share.controls.email.invalid) {
                <mat-error>{{ share.controls.email.errors?.['server'] ?? 'Write an address such as you@example.org.' }}</mat-error>
              }
            </mat-form-field>
            <mat-form-field>
              <mat-label>May</mat-label>
              <mat-select formControlName="role">
                <mat-option value="member">work here</mat-option>
                <mat-option value="viewer">look only</mat-option>
              </mat-select>
            </mat-form-field>
            <div class="fn-actions"><button matButton="outlined">Share the garden</button></div>
          </form>
        }
      </section>
      <section class="fn-panel">
        <h2>Your account</h2>
        <p>
          {{ person()?.name }} <span class="fn-small">{{ person()?.email }}</span>
        </p>
        @if (gardens().length > 1) {
          <p>
            Other gardens:
            @for (one of gardens(); track one.id) {
              <a [routerLink]="['/g', one.id, 'today']">{{ one.name }}</a>{{ $last ? '' : ', ' }}
            }
          </p>
        }
        <div class="fn-actions">
          <a matButton="outlined" routerLink="/new-garden">New garden</a>
          <button matButton="outlined" type="button" (click)="signOut()">Sign out</button>
        </div>
      </section>
    </div>
  `,
})
export class SettingsPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  protected readonly theme = inject(Theme);
  protected readonly words = roleWords;
  protected readonly person = this.#store.selectSignal(sessionFeature.selectPerson);
  protected readonly gardens = this.#store.selectSignal(sessionFeature.selectGardens);
  protected readonly isOwner = this.#garden.summary().role === 'owner';
  protected readonly form = gardenForm();
  protected readonly submission = new Submission(this.form);
  protected readonly share = new FormGroup({
    email: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.email] }),
    role: new FormControl<'member' | 'viewer'>('member', { nonNullable: true }),
  });
  protected readonly members = signal<readonly Member[]>([]);

  constructor() {
    this.form.patchValue(this.#garden.summary());
    this.#api
      .members(this.#garden.summary().id)
      .subscribe({ next: (list) => this.members.set(list), error: (error: ApiError) => this.submission.refusal.set(error.message) });
  }

  protected async save(): Promise<void> {
    const before = settingsOf(this.#garden.summary());
    await this.submission.send(async () => {
      await this.#write(this.form.getRawValue());
      this.#records.sayWithUndo('Garden saved.', () => void this.submission.run(() => this.#takeBack(before)));
    });
  }

  async #takeBack(before: GardenSettings): Promise<void> {
    await this.#write(before);
    this.form.patchValue(before);
    this.#records.say('Taken back.');
  }

  async #write(settings: GardenSettings): Promise<void> {
    const garden = await firstValueFrom(this.#api.changeGarden(this.#garden.summary().id, settings));
    this.#store.dispatch(GardenActions.settingsChanged({ garden }));
    this.#store.dispatch(SessionActions.gardenAdded({ garden }));
  }

  protected async add(): Promise<void> {
    if (this.share.invalid) return;
    const { email, role } = this.share.getRawValue();
    try {
      this.members.set(await firstValueFrom(this.#api.addMember(this.#garden.summary().id, email.trim(), role)));
      this.share.reset();
    } catch (error) {
      const line = showFieldErrors(this.share, ApiError.from(error));
      if (line) this.#records.say(line);
    }
  }

  protected signOut(): void {
    this.#store.dispatch(SessionActions.signOut());
  }
}

/** What the gardener set, without what the server adds. */
const settingsOf = ({ id: _, role: __, fixedNow: ___, ...settings }: GardenSummary): GardenSettings => settings;
