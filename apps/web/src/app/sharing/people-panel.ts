import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Router } from '@angular/router';
import type { GivenRole, Member } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { GardenActions } from '../store/garden-state';
import { Records } from '../gardens/records';
import { Offline } from '../offline/offline';
import { SessionActions } from '../store/session-state';
import { dayWord } from '../shared/days';
import { InvitationList } from './invitation-list';
import { memberWords } from './role-words';

/** Who shares the garden: their parts, leaving it, handing it over, and inviting others. */
@Component({
  selector: 'fn-people-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, InvitationList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './people-panel.scss',
  template: `
    <section class="fn-panel" aria-labelledby="people">
      <h2 id="people">People</h2>
      <ul class="fn-list people" aria-label="People">
        @for (one of members(); track one.id) {
          <li>
            <span class="who">
              <strong>{{ one.name }}</strong>
              <span class="fn-small">{{ one.email }}</span>
            </span>
            @if (isOwner() && one.role !== 'owner') {
              <span class="fn-actions">
                <mat-form-field subscriptSizing="dynamic" class="part">
                  <mat-label>Part</mat-label>
                  <mat-select [aria-label]="'Part of ' + one.name" [value]="one.role" (selectionChange)="change(one, $event.value)">
                    @for (role of given; track role) {
                      <mat-option [value]="role">{{ words[role].word }}</mat-option>
                    }
                  </mat-select>
                </mat-form-field>
                <button matButton type="button" (click)="asked.set({ what: 'hand-over', who: one })">Hand over</button>
                <button matButton type="button" (click)="asked.set({ what: 'remove', who: one })">Remove</button>
              </span>
            } @else {
              <span>{{ words[one.role].word }}, since {{ day(one.since) }}</span>
            }
          </li>
        }
      </ul>
      @if (asked(); as question) {
        <div class="fn-care ask" role="alertdialog" aria-labelledby="ask">
          @switch (question.what) {
            @case ('remove') {
              <p id="ask">
                {{ question.who!.name }} sees nothing of this garden from then on. What they wrote stays. To let them in again, invite them.
              </p>
              <div class="fn-actions">
                <button matButton="filled" type="button" (click)="remove(question.who!)">Remove {{ question.who!.name }}</button>
                <button matButton type="button" (click)="asked.set(undefined)">Keep them</button>
              </div>
            }
            @case ('hand-over') {
              <p id="ask">
                {{ question.who!.name }} owns the garden from then on and can remove anybody. You work here; only they can give it back.
              </p>
              <div class="fn-actions">
                <button matButton="filled" type="button" (click)="handOver(question.who!)">Hand it over to {{ question.who!.name }}</button>
                <button matButton type="button" (click)="asked.set(undefined)">Keep it</button>
              </div>
            }
            @case ('leave') {
              <p id="ask">You see nothing of this garden from then on. What you wrote stays in it.</p>
              <div class="fn-actions">
                <button matButton="filled" type="button" (click)="leave()">Leave the garden</button>
                <button matButton type="button" (click)="asked.set(undefined)">Stay</button>
              </div>
            }
          }
        </div>
      }
      @if (refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
      @if (isOwner()) {
        <fn-invitation-list />
      } @else {
        <div class="fn-actions">
          <button matButton="outlined" type="button" (click)="asked.set({ what: 'leave' })">Leave this garden</button>
        </div>
      }
    </section>
  `,
})
export class PeoplePanel {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #offline = inject(Offline);
  readonly #records = inject(Records);
  readonly #garden = inject(Garden);
  readonly #id = this.#garden.summary().id;
  protected readonly isOwner = this.#garden.isOwner;
  protected readonly words = memberWords;
  protected readonly given: readonly GivenRole[] = ['member', 'adviser', 'viewer'];
  protected readonly members = signal<readonly Member[]>([]);
  protected readonly refusal = signal('');
  /** what is asked before it is done, since it can't be taken back by who does it */
  protected readonly asked = signal<{ what: 'remove' | 'hand-over' | 'leave'; who?: Member } | undefined>(undefined);
  protected readonly day = (instant: string) => dayWord(instant.slice(0, 10), this.#garden.today());

  constructor() {
    void this.#try(async () => this.members.set(await firstValueFrom(this.#api.send('get /api/v1/gardens/{garden}/members', this.#in()))));
  }

  protected change({ id, name }: Member, role: GivenRole): Promise<void> {
    const call = { params: { garden: this.#id, person: id }, body: { role } };
    return this.#try(async () => {
      this.members.set(await firstValueFrom(this.#api.send('put /api/v1/gardens/{garden}/members/{person}', call)));
      this.#records.say(`${name} ${memberWords[role].word} from now on.`);
    });
  }

  protected remove({ id, name }: Member): Promise<void> {
    return this.#try(async () => {
      const call = { params: { garden: this.#id, person: id } };
      this.members.set(await firstValueFrom(this.#api.send('delete /api/v1/gardens/{garden}/members/{person}', call)));
      this.#records.say(`${name} is not in this garden any more.`);
    });
  }

  protected handOver({ id, name }: Member): Promise<void> {
    return this.#try(async () => {
      const call = { ...this.#in(), body: { person: id } };
      this.members.set(await firstValueFrom(this.#api.send('post /api/v1/gardens/{garden}/owner', call)));
      const garden = { ...this.#garden.summary(), role: 'member' as const };
      this.#store.dispatch(GardenActions.settingsChanged({ garden }));
      this.#store.dispatch(SessionActions.gardenAdded({ garden }));
      this.#records.say(`${name} owns the garden now.`);
    });
  }

  protected leave(): Promise<void> {
    return this.#try(async () => {
      const session = await firstValueFrom(this.#api.send('post /api/v1/gardens/{garden}/leave', { ...this.#in(), body: {} }));
      this.#store.dispatch(SessionActions.known({ session }));
      await this.#offline.forgetGarden(this.#id);
      await this.#router.navigate(['/']);
      this.#store.dispatch(GardenActions.closed({ garden: this.#id }));
    });
  }

  #in = () => ({ params: { garden: this.#id } });

  async #try(work: () => Promise<unknown>): Promise<void> {
    this.refusal.set('');
    try {
      await work();
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
    this.asked.set(undefined);
  }
}
