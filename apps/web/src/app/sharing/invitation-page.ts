import { ChangeDetectionStrategy, Component, computed, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Drawing } from '../drawing/drawing';
import { SessionActions, sessionFeature } from '../store/session-state';
import { dayWord } from '../shared/days';
import { memberWords } from './role-words';

/** Where an invitation's link leads: whose garden, what one may do there, and to accept or decline. */
@Component({
  selector: 'fn-invitation-page',
  imports: [MatButtonModule, RouterLink, Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: '../people/door.scss',
  template: `
    <aside>
      <fn-drawing organ="leaf" leaf="heart" mark="notches" [severity]="0.4" />
      <p>More eyes on the same plants.</p>
    </aside>
    <main>
      <div class="door">
        @if (invitation.error(); as error) {
          <h1>This invitation is over</h1>
          <p>{{ error.message }}</p>
          <p class="also"><a routerLink="/">To the door</a></p>
        } @else if (declined()) {
          <h1>Declined</h1>
          <p>Nothing was shared with you. You can close this page.</p>
        } @else if (invitation.hasValue() && invitation.value(); as held) {
          <h1>{{ held.garden }}</h1>
          <p>
            {{ held.by ?? 'Its owner' }} invites you to share this garden. You may {{ words[held.role].may }}. The invitation holds until
            {{ day(held.expiresAt) }}.
          </p>
          @if (refusal(); as line) {
            <p class="fn-stop" role="alert">{{ line }}</p>
          }
          @if (person(); as person) {
            <p class="fn-small">You are signed in as {{ person.name }}.</p>
            <button matButton="filled" type="button" (click)="accept()">Accept</button>
          } @else {
            <a matButton="filled" routerLink="/sign-in" [queryParams]="{ to: back() }">Sign in to accept</a>
            <a matButton="outlined" routerLink="/sign-up" [queryParams]="{ to: back() }">Make an account to accept</a>
          }
          <button matButton type="button" (click)="decline()">Decline</button>
        } @else {
          <p role="status">Looking at the invitation …</p>
        }
      </div>
    </main>
  `,
})
export class InvitationPage {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  /** the secret in the address */
  readonly secret = input.required<string>();
  protected readonly words = memberWords;
  protected readonly person = this.#store.selectSignal(sessionFeature.selectPerson);
  protected readonly refusal = signal('');
  protected readonly declined = signal(false);
  protected readonly back = computed(() => `/invitation/${this.secret()}`);
  protected readonly invitation = resource({
    params: () => ({ secret: this.secret() }),
    loader: ({ params }) => firstValueFrom(this.#api.send('get /api/v1/invitations/{secret}', { params })),
  });
  protected readonly day = (instant: string) => dayWord(instant.slice(0, 10));

  constructor() {
    // Says who is signed in, and hands this page the token that a write needs.
    this.#store.dispatch(SessionActions.asked());
  }

  protected accept(): Promise<void> {
    return this.#try(async () => {
      const call = { params: { secret: this.secret() }, body: {} };
      const garden = await firstValueFrom(this.#api.send('post /api/v1/invitations/{secret}/accept', call));
      this.#store.dispatch(SessionActions.gardenAdded({ garden }));
      await this.#router.navigate(['/g', garden.id, 'today']);
    });
  }

  protected decline(): Promise<void> {
    return this.#try(async () => {
      await firstValueFrom(this.#api.send('post /api/v1/invitations/{secret}/decline', { params: { secret: this.secret() }, body: {} }));
      this.declined.set(true);
    });
  }

  async #try(work: () => Promise<unknown>): Promise<void> {
    this.refusal.set('');
    try {
      await work();
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }
}
