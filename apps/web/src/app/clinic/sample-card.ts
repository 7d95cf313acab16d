import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import type { ClinicOffer, ClinicSample, Written } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { DayField } from '../gardens/day-field';
import { dayWord } from '../shared/days';
import { materialWords, resultWords, trackWords } from './clinic-words';
import { ResultsForm } from './results-form';
import type { SampleState } from './sample-state';

/** One sample: how far it is, the packing list until it is sent, and the results. */
@Component({
  selector: 'fn-sample-card',
  imports: [MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, ResultsForm, RouterLink, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './sample-card.scss',
  templateUrl: './sample-card.html',
})
export class SampleCard {
  readonly #records = inject(Records);
  protected readonly library = inject(Library);
  protected readonly garden = inject(Garden);
  readonly state = input.required<SampleState>();
  /** its clinic, when it can be asked over the net and answers */
  readonly offer = input<ClinicOffer>();

  protected readonly steps = computed(() => {
    const reached = trackWords.findIndex(({ step }) => step === this.state().step);
    return trackWords.map((one, i) => ({ ...one, state: i < reached ? 'done' : i === reached ? 'here' : 'to-come' }));
  });
  protected readonly lines = computed(() => this.offer()?.packing[this.state().sample.material] ?? []);
  protected readonly left = computed(() => this.lines().filter(({ id }) => !this.state().sample.packed.includes(id)).length);
  protected readonly canWrite = computed(() => this.garden.canWrite());
  protected readonly toldNothing = computed(() => this.state().results.some(({ result }) => result === 'inconclusive'));
  protected readonly refusal = signal('');
  #writing = Promise.resolve();
  protected readonly materials = materialWords;
  protected readonly results = resultWords;
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly outOf100 = (share: number) => Math.round(share * 100);

  protected pack(line: string, done: boolean): void {
    this.#write(({ packed }) => ({ packed: done ? [...packed, line] : packed.filter((one) => one !== line) }));
  }

  protected readonly sentOn = linkedSignal<string | null>(() => this.garden.today());

  protected send(): void {
    const on = this.sentOn();
    if (!on) return;
    this.#write(() => ({ sentOn: on }), 'Sample sent.');
  }

  protected keepResults(change: Pick<Written<'clinicSamples'>, 'results' | 'reportedOn'>): void {
    this.#write(() => change, 'Result kept.');
  }

  /** Ticks may come faster than they are saved: each change waits for the one before and builds on what that left. */
  #write(changeOf: (sample: ClinicSample) => Partial<Written<'clinicSamples'>>, said?: string): void {
    this.#writing = this.#writing.then(() => this.#writeNow(changeOf, said));
  }

  async #writeNow(changeOf: (sample: ClinicSample) => Partial<Written<'clinicSamples'>>, said?: string): Promise<void> {
    const sample = this.garden.clinicSamples().find(({ id }) => id === this.state().sample.id) ?? this.state().sample;
    const { id, version, ...value } = sample;
    this.refusal.set('');
    try {
      await this.#records.save('clinicSamples', id, version, { ...value, ...changeOf(sample) }, said);
    } catch (error) {
      const known = ApiError.from(error);
      this.refusal.set([known.message, ...known.fields.values()].join(' '));
    }
  }
}
