import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { OnInit } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { DateTime } from 'luxon';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { begunCase } from '../cases/begun-case';
import { Library } from '../library/library';
import { SessionActions, sessionFeature } from '../store/session-state';
import { DoorDrafts } from './door-draft';
import { factsTold, firstGarden, firstPlace, placeOf, toldPlanting } from '../gardens/told-planting';

/** What was told at the door becomes a garden, a place, a planting and a case: nothing is asked twice, and it is made once. */
@Component({
  selector: 'fn-keep-page',
  imports: [MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="fn-page">
      <h1>Keep this</h1>
      @if (!told()) {
        <p>
          There is nothing to keep yet. <a routerLink="/">Say what is wrong first</a>, or <a routerLink="/new-garden">make a garden</a>.
        </p>
      } @else if (refusal(); as line) {
        <div class="fn-stop" role="alert">
          <p>{{ line }} What you told is still on this device.</p>
          <button matButton type="button" (click)="keep()">Try again</button>
        </div>
      } @else if (writable().length > 1 && !busy()) {
        <p>In which garden does it stand?</p>
        <div class="fn-actions">
          @for (garden of writable(); track garden.id) {
            <button matButton="outlined" type="button" (click)="keep(garden.id)">{{ garden.name }}</button>
          }
        </div>
      } @else {
        <p role="status">Writing it down …</p>
      }
    </main>
  `,
})
export class KeepPage implements OnInit {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #library = inject(Library);
  readonly #drafts = inject(DoorDrafts);
  readonly #person = this.#store.selectSignal(sessionFeature.selectPerson);
  readonly #gardens = this.#store.selectSignal(sessionFeature.selectGardens);
  protected readonly writable = computed(() => this.#gardens().filter(({ role }) => role === 'owner' || role === 'member'));
  protected readonly told = computed(() => this.#drafts.draft().host !== null);
  protected readonly refusal = signal('');
  protected readonly busy = signal(false);

  ngOnInit(): void {
    if (this.told() && this.writable().length < 2) void this.keep(this.writable()[0]?.id);
  }

  /** @param garden - id of the one that it stands in; one is made when there is none */
  protected async keep(garden = this.writable()[0]?.id): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      const where = garden ?? (await this.#makeGarden());
      const { ids, working } = this.#drafts.draft();
      await this.#write(where);
      this.#drafts.begin({});
      await this.#router.navigate(['/g', where, 'cases', ids.case, ...(working.length > 0 ? ['options'] : [])]);
    } catch (error) {
      const { status, message } = ApiError.from(error);
      // Signed out in the meantime: what was told waits on this device.
      if (status === 401) await this.#router.navigate(['/sign-in'], { queryParams: { to: '/keep' } });
      this.refusal.set(message);
    } finally {
      this.busy.set(false);
    }
  }

  async #makeGarden(): Promise<string> {
    const settings = firstGarden(this.#person()!.name, DateTime.local().zoneName);
    const garden = await firstValueFrom(this.#api.createGarden(this.#drafts.draft().ids.garden, settings));
    this.#store.dispatch(SessionActions.gardenAdded({ garden }));
    return garden.id;
  }

  async #write(garden: string): Promise<void> {
    await this.#library.first();
    const draft = this.#drafts.draft();
    const { ids } = draft;
    const host = this.#library.hosts().get(draft.host!)!;
    const planted = factsTold(host, draft);
    const today = DateTime.now().toISODate();
    const { places } = await firstValueFrom(this.#api.gardenContents(garden));
    const placeId = placeOf(places, planted.setting)?.id ?? ids.place;
    // A record's own id names the change that makes it: sent again, it counts once.
    const made = (id: string) => ({ change: id, version: 0 });
    if (placeId === ids.place)
      await firstValueFrom(this.#api.write(garden, 'places', placeId, { ...made(placeId), value: firstPlace(planted.setting) }));
    await firstValueFrom(
      this.#api.write(garden, 'plantings', ids.planting, { ...made(ids.planting), value: toldPlanting(host, placeId, today, planted) }),
    );
    await firstValueFrom(this.#api.write(garden, 'cases', ids.case, { ...made(ids.case), value: begunCase(ids.planting, today, draft) }));
  }
}
