import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MatSliderModule } from '@angular/material/slider';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { agreement } from '@field-nurse/core/drill';
import { agreementWord } from '../drill/drill-words';
import { damageOf } from '../drill/measured-leaf';
import { MyEye } from '../drill/my-eye';
import { Offline } from '../offline/offline';
import { shrinkPhoto } from '../gardens/shrink-photo';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { ApiError } from '../api/api-error';
import { Library } from '../library/library';
import { sessionFeature } from '../store/session-state';
import { PlantingTitle } from '../library/planting-title';
import { emptyDraft, keepDraft, readDraft } from '../scouting/stop-draft';
import { instantWord } from '../shared/days';
import { LeafGaugeStore } from './leaf-gauge-store';
import { LeafView } from './leaf-view';
import type { LeafShape } from '../drawing/leaf';

/** Leaves with one plain outline; the others have lobes or leaflets. */
const plainLeaves = new Set<LeafShape>([
  'ovate',
  'toothed',
  'lance',
  'willow',
  'spoon',
  'heart',
  'toothed-heart',
  'triangle',
  'round',
  'cabbage',
  'paddle',
  'strap',
  'pad',
]);
const shownReadings = 8;

/** Measure a leaf on plain paper: first by eye, then by the gauge, so that the eye learns. */
@Component({
  selector: 'fn-leaf-gauge-page',
  imports: [
    RouterLink,
    MatButtonModule,
    MatButtonToggleModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    MatSliderModule,
    LeafView,
    PlantingTitle,
  ],
  providers: [LeafGaugeStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './leaf-gauge-page.scss',
  templateUrl: './leaf-gauge-page.html',
})
export class LeafGaugePage {
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #offline = inject(Offline);
  readonly #eye = inject(MyEye);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  protected readonly library = inject(Library);
  protected readonly garden = inject(Garden);
  /** id of the planting that the leaf is from, if it is known */
  readonly planting = input<string>();
  /** id of the round whose stop asked for the measure */
  readonly round = input<string>();

  protected readonly leaf = inject(LeafGaugeStore);
  protected readonly chosen = signal<string | null>(null);
  protected readonly busy = signal(false);

  protected readonly growing = computed(() => this.garden.plantings().filter(({ endedOn }) => !endedOn));
  protected readonly of = computed(() => this.planting() ?? this.chosen());
  protected readonly biasWords = computed(() => {
    const words = agreementWord(agreement(this.#eye.measured()));
    return words && `Your eye on these: ${words}.`;
  });
  protected readonly readings = computed(() =>
    [...this.garden.leafMeasurements()].sort((a, b) => b.measuredAt.localeCompare(a.measuredAt)).slice(0, shownReadings),
  );
  protected readonly damage = damageOf;
  protected readonly when = (at: string) => instantWord(at, this.garden.summary().timeZone);
  protected readonly tenth = (value: number) => (Math.round(value * 10) / 10).toLocaleString('en-GB');
  protected readonly label = computed(() => {
    const reading = this.leaf.reading();
    return reading ? `The leaf: ${this.tenth(reading.damagedPercent)} % damaged` : 'The leaf, not measured yet';
  });

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    const host = this.library.hosts().get(this.garden.planting(this.of() ?? '')?.host ?? '');
    await this.leaf.take(file, host && !plainLeaves.has(host.leaf) ? 'lobed' : 'simple');
  }

  /** The photo is kept for drills; where this device is too full for it, the measure is kept all the same. */
  async #keepPhoto(): Promise<string[]> {
    const [id, file] = [crypto.randomUUID(), this.leaf.file()];
    try {
      if (file) await this.#offline.keepPhoto(this.garden.summary().id, id, await shrinkPhoto(file));
      return file ? [id] : [];
    } catch {
      return [];
    }
  }

  /** Keep the measure; on a round it also goes to the stop that asked for it. */
  protected async keep(): Promise<void> {
    const [reading, eyed] = [this.leaf.reading()!, this.leaf.eyed()];
    const planting = this.of();
    if (this.busy()) return;
    this.busy.set(true);
    try {
      await this.#records.saveOrKeep(
        'leafMeasurements',
        crypto.randomUUID(),
        0,
        {
          plantingId: planting ?? null,
          measuredAt: this.garden.now(),
          eyedPercent: eyed,
          eatenPercent: round(reading.eatenPercent),
          discolouredPercent: round(Math.min(100 - reading.eatenPercent, reading.discolouredPercent)),
          uncertainty: round(Math.min(100, reading.uncertainty)),
          spots: reading.spots,
          areaMm2: reading.areaMm2 === null ? null : Math.round(reading.areaMm2),
          photos: await this.#keepPhoto(),
          by: this.#person()?.name ?? 'Somebody',
          note: '',
        },
        'Leaf kept.',
      );
      this.leaf.takeAway();
      const stopRound = this.round();
      if (stopRound && planting) {
        const draft = readDraft(stopRound, planting) ?? emptyDraft(undefined);
        const eyedNow = eyed !== null && !draft.rated ? { severity: eyed, rated: true } : {};
        keepDraft(stopRound, planting, { ...draft, ...eyedNow, gauged: round(reading.damagedPercent) });
        await this.#router.navigate(['/g', this.garden.summary().id, 'round', stopRound, planting]);
      }
    } catch (error) {
      this.leaf.say(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}

const round = (percent: number) => Math.round(percent * 100) / 100;
