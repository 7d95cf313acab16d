import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MatSliderModule } from '@angular/material/slider';
import { Router, RouterLink } from '@angular/router';
import type { LeafReading, Picture } from '@field-nurse/core/leaf';
import { Store } from '@ngrx/store';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { ApiError } from '../api/api-error';
import { Library } from '../library/library';
import { sessionFeature } from '../store/session-state';
import { PlantingTitle } from '../library/planting-title';
import { NotAPhoto } from '../scouting/shrink-photo';
import { emptyDraft, keepDraft, readDraft } from '../scouting/stop-draft';
import { instantWord } from '../shared/days';
import { damageOf, eyeBias } from './bias';
import { Gauge } from './gauge';
import { LeafView } from './leaf-view';
import type { Ruler } from './leaf-view';
import { openPicture } from './open-picture';

const lobedLeaves = new Set(['lobed', 'compound']);
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
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './leaf-gauge-page.scss',
  templateUrl: './leaf-gauge-page.html',
})
export class LeafGaugePage {
  readonly #gauge = inject(Gauge);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  protected readonly library = inject(Library);
  protected readonly garden = inject(Garden);
  /** id of the planting that the leaf is from, if it is known */
  readonly planting = input<string>();
  /** id of the round whose stop asked for the measure */
  readonly round = input<string>();

  protected readonly picture = signal<Picture | null>(null);
  protected readonly blade = signal<'simple' | 'lobed'>('simple');
  protected readonly eyed = signal(0);
  protected readonly hasEyed = signal(false);
  protected readonly ruler = signal<Ruler | null>(null);
  protected readonly lengthMm = signal(100);
  protected readonly share = signal<number | null>(null);
  protected readonly reading = signal<LeafReading | null>(null);
  protected readonly showOverlay = signal(true);
  protected readonly fault = signal('');
  protected readonly chosen = signal<string | null>(null);
  protected readonly busy = signal(false);

  protected readonly growing = computed(() => this.garden.plantings().filter(({ endedOn }) => !endedOn));
  protected readonly of = computed(() => this.planting() ?? this.chosen());
  protected readonly bias = computed(() => eyeBias(this.garden.leafMeasurements()));
  protected readonly biasWords = computed(() => {
    const bias = this.bias();
    if (!bias) return '';
    const points = Math.round(Math.abs(bias.points));
    const side =
      points === 0
        ? 'Your eye is right on the average'
        : `Your eye says ${points} ${points === 1 ? 'point' : 'points'} too ${bias.points > 0 ? 'much' : 'little'}`;
    return `${side}, over ${bias.leaves} ${bias.leaves === 1 ? 'leaf' : 'leaves'}; it is off by ${Math.round(bias.off)} either way.`;
  });
  protected readonly readings = computed(() =>
    [...this.garden.leafMeasurements()].sort((a, b) => b.measuredAt.localeCompare(a.measuredAt)).slice(0, shownReadings),
  );
  protected readonly damage = damageOf;
  protected readonly when = (at: string) => instantWord(at, this.garden.summary().timeZone);
  protected readonly tenth = (value: number) => (Math.round(value * 10) / 10).toLocaleString('en-GB');
  protected readonly label = computed(() => {
    const reading = this.reading();
    return reading ? `The leaf: ${this.tenth(reading.damagedPercent)} % damaged` : 'The leaf, not measured yet';
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#gauge.stop());
  }

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.fault.set('');
    try {
      const picture = await openPicture(file);
      this.picture.set(picture);
      this.reading.set(null);
      this.hasEyed.set(false);
      this.eyed.set(0);
      this.ruler.set(null);
      const host = this.library.hosts().get(this.garden.planting(this.of() ?? '')?.host ?? '');
      this.blade.set(host && lobedLeaves.has(host.leaf) ? 'lobed' : 'simple');
    } catch (error) {
      if (!(error instanceof NotAPhoto)) throw error;
      this.fault.set(error.message);
    }
  }

  protected toggleRuler(on: boolean): void {
    const { width, height } = this.picture()!;
    this.ruler.set(on ? { from: [width * 0.2, height * 0.9], to: [width * 0.8, height * 0.9] } : null);
    this.reading.set(null);
  }

  protected async measure(): Promise<void> {
    const picture = this.picture()!;
    this.fault.set('');
    const mmPerPixel = this.#mmPerPixel();
    if (mmPerPixel === 'bad') return this.fault.set('The known length is from 1 to 2000 millimetres, and the ends of the ruler lie apart.');
    this.share.set(0);
    try {
      const answer = await this.#gauge.measure(picture, { blade: this.blade(), mmPerPixel }, (share) => this.share.set(share));
      if (!answer) return;
      if ('noLeaf' in answer) this.fault.set(answer.noLeaf);
      else this.reading.set(answer.reading);
    } catch {
      this.fault.set('The leaf could not be measured on this device. Try a smaller picture.');
    } finally {
      this.share.set(null);
    }
  }

  protected stop(): void {
    this.#gauge.stop();
  }

  /** Keep the measure; on a round it also goes to the stop that asked for it. */
  protected async keep(): Promise<void> {
    const reading = this.reading()!;
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
          eyedPercent: this.hasEyed() ? this.eyed() : null,
          eatenPercent: round(reading.eatenPercent),
          discolouredPercent: round(Math.min(100 - reading.eatenPercent, reading.discolouredPercent)),
          uncertainty: round(Math.min(100, reading.uncertainty)),
          spots: reading.spots,
          areaMm2: reading.areaMm2 === null ? null : Math.round(reading.areaMm2),
          by: this.#person()?.name ?? 'Somebody',
          note: '',
        },
        'Leaf kept.',
      );
      this.picture.set(null);
      this.reading.set(null);
      const stopRound = this.round();
      if (stopRound && planting) {
        const draft = readDraft(stopRound, planting) ?? emptyDraft(undefined);
        const eyedNow = this.hasEyed() && !draft.rated ? { severity: this.eyed(), rated: true } : {};
        keepDraft(stopRound, planting, { ...draft, ...eyedNow, gauged: round(reading.damagedPercent) });
        await this.#router.navigate(['/g', this.garden.summary().id, 'round', stopRound, planting]);
      }
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }

  #mmPerPixel(): number | undefined | 'bad' {
    const ruler = this.ruler();
    if (!ruler) return undefined;
    const pixels = Math.hypot(ruler.to[0] - ruler.from[0], ruler.to[1] - ruler.from[1]);
    const length = Number(this.lengthMm());
    return pixels >= 10 && length >= 1 && length <= 2000 ? length / pixels : 'bad';
  }
}

const round = (percent: number) => Math.round(percent * 100) / 100;
