import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, model } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import type { Stop } from '@field-nurse/contract';
import { plantedOnIfKnown } from '@field-nurse/core/ground';
import { levelsNow, readMeter, walkPicks } from '@field-nurse/core/sampling';
import { seededRandom } from '@field-nurse/core/statistics';
import type { LevelNow, ThresholdMeasure } from '@field-nurse/core/sampling';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { Library } from '../library/library';
import { Stepper } from '../shared/stepper';
import { OperatingCharacteristic } from './operating-characteristic';
import { OwnLevel } from './own-level';
import { levelWords } from './level-words';

/** The sample of one stop: what is counted, and one value per plant. */
export type Sample = Pick<Stop, 'target' | 'measure' | 'sample' | 'decision'>;

export const noSample: Sample = { target: null, measure: null, sample: [], decision: null };

const mostPicks = 12;

const countLabels: Readonly<Partial<Record<ThresholdMeasure, string>>> = {
  'leaf-percent': 'Percent of leaf',
  'count-per-leaf': 'On this leaf',
  'count-per-m2': 'On this square metre',
  'count-per-minute': 'In this minute',
};

/** Enough? Count plant by plant against the level at which it pays to act: act, leave, or look at more. */
@Component({
  selector: 'fn-meter',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, Stepper, OperatingCharacteristic, OwnLevel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './meter.scss',
  templateUrl: './meter.html',
})
export class Meter {
  readonly #garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly planting = input.required<Planting>();
  /** troubles that may be sampled here, by their id */
  readonly troubles = input.required<readonly string[]>();
  /** fixes which plants are picked */
  readonly seed = input.required<string>();
  readonly sample = model.required<Sample>();

  readonly #target = computed(() => this.sample().target ?? this.offered()[0]?.id ?? null);
  /** troubles with a level to count against */
  protected readonly offered = computed(() =>
    this.troubles().flatMap((id) => {
      const condition = this.library.conditions().get(id);
      return condition && this.#levels(id).length > 0 ? [condition] : [];
    }),
  );
  protected readonly target = computed(() => this.#target());
  protected readonly levels = computed(() => this.#levels(this.#target()));
  protected readonly level = computed<LevelNow | undefined>(
    () => this.levels().find(({ measure }) => measure === this.sample().measure) ?? this.levels()[0],
  );
  protected readonly canWrite = this.#garden.canWrite;
  protected readonly words = levelWords;
  protected readonly yesNo = computed(() => ['any', 'plants-percent'].includes(this.level()?.measure ?? ''));
  protected readonly countLabel = computed(() => countLabels[this.level()?.measure ?? 'count-per-plant'] ?? 'On this plant');
  protected readonly counted = linkedSignal<number, number>({ source: () => this.sample().sample.length, computation: () => 0 });

  protected readonly reading = computed(() => {
    const level = this.level();
    return level && readMeter(level, this.sample().sample, this.planting().plants);
  });
  protected readonly verdict = computed(() => {
    const reading = this.reading();
    if (!reading || this.sample().sample.length === 0) return '';
    if (reading.decision === 'act') return 'Enough: act';
    if (reading.decision === 'leave') return 'Enough: leave it';
    const more = reading.moreIfClean ?? 1;
    return `Look at ${more} more`;
  });
  protected readonly because = computed(() => {
    const [reading, level] = [this.reading(), this.level()];
    if (!reading || !level || this.sample().sample.length === 0) return '';
    const mean = Math.round(reading.mean * 10) / 10;
    const unit = this.yesNo() ? ' % of plants' : level.measure === 'leaf-percent' ? ' % of leaf' : ' on each';
    const seen = `${reading.n} looked at: ${mean}${unit}`;
    if (reading.decision === 'continue') return `${seen}. If those are clean, that is enough.`;
    return reading.all ? `${seen}; these are all.` : seen;
  });
  protected readonly picks = computed(() => {
    const { plants, rows } = this.planting();
    if (plants <= 4) return '';
    const picks = walkPicks(plants, Math.min(rows, plants), mostPicks, seededRandom(seedOf(this.seed())));
    if (rows === 1) return picks.map(({ plant }) => plant).join(', ');
    const byRow = new Map<number, number[]>();
    for (const { row, plant } of picks) byRow.set(row, [...(byRow.get(row) ?? []), plant]);
    return [...byRow].map(([row, list]) => `row ${row}: ${list.join(', ')}`).join('; ');
  });

  protected choose(target: string): void {
    this.sample.set({ ...noSample, target, measure: this.#levels(target)[0]?.measure ?? null });
  }

  protected measure(measure: LevelNow['measure']): void {
    this.sample.set({ ...noSample, target: this.#target(), measure });
  }

  protected add(value: number): void {
    this.#set([...this.sample().sample, value]);
  }

  protected takeBack(): void {
    this.#set(this.sample().sample.slice(0, -1));
  }

  #set(sample: number[]): void {
    const level = this.level();
    if (!level) return;
    const { decision } = readMeter(level, sample, this.planting().plants);
    this.sample.set({ target: this.#target(), measure: level.measure, sample, decision: sample.length ? decision : null });
  }

  #levels(condition: string | null): LevelNow[] {
    const known = condition ? this.library.conditions().get(condition) : undefined;
    return known ? levelsNow(known, this.#garden.thresholds(), plantedOnIfKnown(this.planting()), this.#garden.today()) : [];
  }
}

const seedOf = (text: string) => [...text].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7);
