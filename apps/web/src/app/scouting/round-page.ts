import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { ScoutingRound } from '@field-nurse/contract';
import { pressingStops, walkLength } from '@field-nurse/core/ground';
import { Store } from '@ngrx/store';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { middleOf } from '../gardens/plan-shapes';
import { sessionFeature } from '../store/session-state';
import { PlantingTitle } from '../library/planting-title';
import { durationWord, fromToday, instantWord } from '../shared/days';
import { Collections } from './collections';
import { Scouting } from './scouting';

const minutesAStop = 1.5;
// Somebody with half an hour sees the most pressing.
const shortMinutes = 30;
const recentRounds = 5;

/** Which plantings want a look today and why, in the order of the walk. */
@Component({
  selector: 'fn-round-page',
  imports: [RouterLink, MatButtonModule, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './round-page.scss',
  templateUrl: './round-page.html',
})
export class RoundPage {
  readonly #router = inject(Router);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly book = inject(Scouting);
  protected readonly collections = inject(Collections);
  protected readonly everything = signal(false);
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());

  protected readonly summary = computed(() => {
    const stops = this.book.due();
    if (stops.length === 0) return 'Nothing wants a look today.';
    const points = stops.flatMap(({ id }) => middleOf(this.book.shapes(), id) ?? []);
    return `${stops.length} ${stops.length === 1 ? 'stop' : 'stops'}, about ${durationWord(stops.length * minutesAStop)} and ${Math.round(walkLength(points))} m. Clean and young ones first, sick ones last.`;
  });
  /** the most pressing of a round that takes much longer than half an hour */
  protected readonly short = computed(() => {
    const [stops, most] = [this.book.due(), shortMinutes / minutesAStop];
    return stops.length > most * 1.5 ? pressingStops(stops, most) : [];
  });
  protected readonly left = computed(() => {
    const round = this.book.underWay();
    if (!round) return 0;
    const done = new Set(this.book.stopsOf(round.id).map(({ plantingId }) => plantingId));
    return round.walk.filter((id) => !done.has(id)).length;
  });
  protected readonly past = computed(() =>
    this.garden
      .scoutingRounds()
      .filter(({ endedAt }) => endedAt)
      .sort((a, b) => b.startedAt.localeCompare(a.startedAt))
      .slice(0, recentRounds)
      .map((round) => {
        const stops = this.book.stopsOf(round.id);
        return { round, stops: stops.length, found: stops.filter(({ found }) => found).length };
      }),
  );
  protected readonly when = ({ startedAt }: ScoutingRound) => instantWord(startedAt, this.garden.summary().timeZone);

  protected readonly ids = (stops: readonly { readonly id: string }[]) => stops.map(({ id }) => id);

  protected async begin(walk: readonly string[]): Promise<void> {
    const id = await this.book.begin(walk, this.#person()?.name ?? 'Somebody');
    await this.#go(id, walk[0]!);
  }

  protected async goOn(round: ScoutingRound): Promise<void> {
    const next = this.book.next(round);
    await (next ? this.#go(round.id, next) : this.#router.navigate(['/g', this.garden.summary().id, 'round', round.id]));
  }

  #go(round: string, planting: string): Promise<boolean> {
    return this.#router.navigate(['/g', this.garden.summary().id, 'round', round, planting]);
  }
}
