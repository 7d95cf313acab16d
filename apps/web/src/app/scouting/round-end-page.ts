import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { Offline } from '../offline/offline';
import { PlantingTitle } from '../library/planting-title';
import { instantWord } from '../shared/days';
import { Scouting } from './scouting';

/** A round as a whole: what was found, what was passed by, and its end. */
@Component({
  selector: 'fn-round-end-page',
  imports: [RouterLink, MatButtonModule, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './round-page.scss',
  template: `
    @if (walk(); as walk) {
      <div class="fn-page">
        <div class="fn-head">
          <div>
            <h1>{{ walk.endedAt ? 'The round of ' + when() : left().length === 0 ? 'The round is made' : 'The round so far' }}</h1>
            <p>{{ summary() }}</p>
          </div>
          @if (!walk.endedAt && garden.canWrite()) {
            <div class="fn-actions"><button matButton="filled" type="button" (click)="end()">End the round</button></div>
          }
        </div>
        @if (walk.clockMended) {
          <p class="fn-care">The clock of the device was ahead. The server's own time was taken for what it wrote.</p>
        }
        @if (offline.waiting() > 0) {
          <p class="fn-care" role="status">
            {{ offline.waiting() }} {{ offline.waiting() === 1 ? 'thing waits' : 'things wait' }} on this device and will be sent when the
            server answers.
          </p>
        }
        <ul class="later">
          @for (stop of stops(); track stop.id) {
            <li>
              <span class="when">{{ stop.found ? 'something' : 'nothing found' }}</span>
              <fn-planting-title [planting]="stop.plantingId" />
              <span class="fn-small">{{ words(stop.signs, stop.decision) }}</span>
              @if (stop.caseId) {
                <a [routerLink]="['/g', garden.summary().id, 'cases', stop.caseId]">to the case</a>
              }
            </li>
          }
          @for (id of left(); track id) {
            <li>
              <span class="when">passed by</span>
              <fn-planting-title [planting]="id" />
              @if (!walk.endedAt) {
                <a [routerLink]="[id]">look now</a>
              }
            </li>
          }
        </ul>
        <p><a [routerLink]="['..']">All rounds</a></p>
      </div>
    } @else {
      <div class="fn-page">
        <p class="fn-care">This round is not in the garden.</p>
      </div>
    }
  `,
})
export class RoundEndPage {
  readonly #router = inject(Router);
  readonly #library = inject(Library);
  readonly #book = inject(Scouting);
  protected readonly garden = inject(Garden);
  protected readonly offline = inject(Offline);
  /** id of the round */
  readonly round = input.required<string>();
  protected readonly walk = computed(() => this.#book.round(this.round()));
  protected readonly stops = computed(() => {
    const order = this.walk()?.walk ?? [];
    return this.#book.stopsOf(this.round()).sort((a, b) => order.indexOf(a.plantingId) - order.indexOf(b.plantingId));
  });
  protected readonly left = computed(() => {
    const done = new Set(this.stops().map(({ plantingId }) => plantingId));
    return (this.walk()?.walk ?? []).filter((id) => !done.has(id));
  });
  protected readonly when = computed(() => instantWord(this.walk()!.startedAt, this.garden.summary().timeZone));
  protected readonly summary = computed(() => {
    const [made, found] = [this.stops().length, this.stops().filter((stop) => stop.found).length];
    return `${made} ${made === 1 ? 'stop' : 'stops'}, something at ${found}, by ${this.walk()?.by ?? ''}.`;
  });

  protected readonly words = (signs: readonly string[], decision: string | null) =>
    [
      ...signs.map((sign) => this.#library.signName(sign)),
      ...(decision === 'act' ? ['enough to act'] : decision === 'leave' ? ['below the level'] : []),
    ].join(' · ');

  protected async end(): Promise<void> {
    await this.#book.end(this.walk()!);
    await this.#router.navigate(['/g', this.garden.summary().id, 'today']);
  }
}
