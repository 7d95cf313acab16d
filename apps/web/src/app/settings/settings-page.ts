import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { RouterLink } from '@angular/router';
import type { GardenSettings, GardenSummary, SecurityEvent } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { SessionActions, sessionFeature } from '../store/session-state';
import { Submission } from '../shared/submission';
import { Theme } from '../shared/theme';
import { PeoplePanel } from '../sharing/people-panel';
import { SecurityLog } from '../people/security-log';
import { TokensPanel } from '../sharing/tokens-panel';
import { EndGardenPanel } from './end-garden-panel';
import { Garden } from '../gardens/garden';
import { gardenForm, GardenFormFields } from './garden-form';
import { ListsPanel } from './lists-panel';
import { GardenActions } from '../store/garden-state';
import { Records } from '../gardens/records';

@Component({
  selector: 'fn-settings-page',
  imports: [
    RouterLink,
    MatButtonModule,
    MatButtonToggleModule,
    EndGardenPanel,
    GardenFormFields,
    ListsPanel,
    PeoplePanel,
    SecurityLog,
    TokensPanel,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
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
          <div class="fn-actions"><button matButton="filled" [disabled]="submission.busy() || !isOwner()">Save the garden</button></div>
          @if (!isOwner()) {
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
      @if (visiting()) {
        <section class="fn-panel">
          <h2>Your account</h2>
          <p>You are looking round a demo garden, with no account. People, scripts and data in and out belong to a garden of your own.</p>
          <div class="fn-actions"><a matButton="filled" routerLink="/sign-up">Make an account</a></div>
        </section>
      } @else {
        <fn-people-panel />
        <section class="fn-panel"><fn-tokens-panel /></section>
        @if (isOwner()) {
          <section class="fn-panel">
            <h2>Who was let in</h2>
            @if (events().length > 0) {
              <fn-security-log [events]="events()" [timeZone]="timeZone" />
            } @else {
              <div class="fn-actions"><button matButton type="button" (click)="showEvents()">Show the log of rights</button></div>
            }
          </section>
        }
        <fn-lists-panel />
        <fn-end-garden-panel />
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
            <a matButton="outlined" routerLink="/account">Password, devices, end of the account</a>
            <a matButton="outlined" routerLink="/new-garden">New garden</a>
            <button matButton="outlined" type="button" (click)="signOut()">Sign out</button>
          </div>
        </section>
      }
    </div>
  `,
})
export class SettingsPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  protected readonly theme = inject(Theme);
  protected readonly person = this.#store.selectSignal(sessionFeature.selectPerson);
  protected readonly visiting = computed(() => this.person()?.email === null);
  protected readonly gardens = this.#store.selectSignal(sessionFeature.selectGardens);
  protected readonly isOwner = this.#garden.isOwner;
  protected readonly form = gardenForm();
  protected readonly submission = new Submission(this.form);
  protected readonly events = signal<readonly SecurityEvent[]>([]);
  protected readonly timeZone = this.#garden.summary().timeZone;

  constructor() {
    // Set anew elsewhere, or known better by the server than by this device: what nobody has touched here follows.
    effect(() => {
      const summary = this.#garden.summary();
      if (this.form.pristine) this.form.patchValue(summary);
    });
  }

  protected async save(): Promise<void> {
    const before = settingsOf(this.#garden.summary());
    await this.submission.send(async () => {
      await this.#write(this.form.getRawValue());
      this.form.markAsPristine();
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

  protected async showEvents(): Promise<void> {
    await this.submission.run(async () => {
      const call = { params: { garden: this.#garden.summary().id } };
      this.events.set(await firstValueFrom(this.#api.send('get /api/v1/gardens/{garden}/security-log', call)));
    });
  }

  protected signOut(): void {
    this.#store.dispatch(SessionActions.signOut());
  }
}

/** What the gardener set, without what the server adds. */
const settingsOf = ({ id: _, role: __, fixedNow: ___, ...settings }: GardenSummary): GardenSettings => settings;
