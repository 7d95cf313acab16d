import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { crowding, quarantineOf } from '@field-nurse/core/ground';
import { Store } from '@ngrx/store';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { StatusMark } from '../gardens/status-mark';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { sessionFeature } from '../store/session-state';
import { dayWord, durationWord, fromToday } from '../shared/days';
import { Collections } from './collections';
import type { Collection, Waker } from './collections';
import { Scouting } from './scouting';
import { ShelfDrawing } from './shelf-drawing';

// To turn a plant and look below and between takes about so long.
const minutesAPlant = 0.5;
const mostWakers = 3;

/** Three times in a generation, so that what was missed has not yet bred. */
const lookEvery = ({ days }: Waker) => Math.max(2, Math.round(days / 3));

/** A room, a shelf or a crowd of pots as one thing to check: who stands there in the order clean to sick, what a hand reaches, and when to come back. */
@Component({
  selector: 'fn-collection-page',
  imports: [MatButtonModule, PlantingTitle, RouterLink, ShelfDrawing, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './collection-page.scss',
  templateUrl: './collection-page.html',
})
export class CollectionPage {
  readonly #router = inject(Router);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  readonly #collections = inject(Collections);
  protected readonly book = inject(Scouting);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** id of its outermost place */
  readonly place = input.required<string>();
  /** from how many sides one gets at it */
  protected readonly sides = signal<1 | 2>(1);

  protected readonly one = computed(() => this.#collections.all().find(({ id }) => id === this.place()));
  protected readonly crowd = computed(() => {
    const one = this.one();
    return one?.areaM2 && one.depthM && one.plants > 0 ? crowding(one.plants, one.areaM2, one.depthM, this.sides()) : null;
  });
  protected readonly takes = computed(() => durationWord((this.one()?.plants ?? 0) * minutesAPlant));
  protected readonly reachWords = computed(() => {
    const [crowd, one] = [this.crowd(), this.one()];
    if (!crowd || !one) return '';
    const apart = `${Math.round(crowd.apartCm)} cm from plant to plant`;
    const reach =
      crowd.reached >= 1
        ? 'A hand reaches every one of them.'
        : `A hand reaches about ${crowd.plantsReached} of ${one.plants}: those at the back are not looked at until they are moved.`;
    const air = crowd.isCrowded ? ' They touch: none can be turned without its neighbour, and what crawls walks over.' : '';
    return `${apart}.${air} ${reach}`;
  });
  protected readonly rows = computed(() =>
    (this.one()?.plantings ?? []).map((planting) => {
      const cases = this.garden.cases().filter((one) => one.plantingId === planting.id && !one.closedOn);
      const stop = this.book.stops().find(({ id }) => id === planting.id);
      return {
        planting,
        cases: cases.map(({ id }) => id),
        held: this.#held(planting),
        due: stop ? fromToday(stop.dueOn, this.garden.today()) : '',
      };
    }),
  );
  #held(planting: Planting): string {
    const [stops, today, { timeZone }] = [this.garden.stops(), this.garden.today(), this.garden.summary()];
    const state = quarantineOf(planting, { stops, timeZone, today });
    return state ? `held apart until ${dayWord(state.until, today)}` : '';
  }
  /** some are sick here and not held apart */
  protected readonly toIsolate = computed(() =>
    this.rows().filter(({ cases, held }) => cases.length > 0 && !held && this.rows().length > 1),
  );
  protected readonly warmth = computed(() => {
    const one = this.one();
    const meanC = one ? this.#collections.warmthOf(one) : null;
    if (!one || meanC === null) return null;
    const wakers = this.#collections.wakers(one, meanC);
    const fastest = wakers[0];
    return fastest
      ? {
          meanC: Math.round(meanC),
          again: lookEvery(fastest),
          spell: this.#spellWord(one),
          wakers: wakers.slice(0, mostWakers).map(({ condition, days }) => ({ condition, days })),
        }
      : null;
  });

  /** "From 3 Mar it is 14 °C: then look every 5 days." */
  #spellWord(one: Collection): string {
    const spell = this.#collections.spellOf(one);
    const fastest = spell ? this.#collections.wakers(one, spell.meanC)[0] : undefined;
    return spell && fastest
      ? `It turns warm: about ${Math.round(spell.meanC)} °C from ${dayWord(spell.day, this.garden.today())}. Then look every ${lookEvery(fastest)} days.`
      : '';
  }

  protected async begin(): Promise<void> {
    const walk = this.rows().map(({ planting }) => planting.id);
    const id = await this.book.begin(walk, this.#person()?.name ?? 'Somebody');
    await this.#router.navigate(['/g', this.garden.summary().id, 'round', id, walk[0]!]);
  }
}
