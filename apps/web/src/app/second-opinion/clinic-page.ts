import { ChangeDetectionStrategy, Component, computed, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { CaseHead } from '../cases/case-head';
import { caseReckoning } from '../cases/case-reckoning';
import { NotifiableNotice } from '../cases/notifiable-notice';
import { suspectsIn } from '../cases/suspects';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { advice } from '../shared/words';
import { ClinicSamples } from '../clinic/clinic-samples';
import { NewSample } from './new-sample';
import { SampleCard } from '../clinic/sample-card';

/** Samples of a case for a plant clinic: registered, packed, sent, and what came back. */
@Component({
  selector: 'fn-clinic-page',
  imports: [CaseHead, MatButtonModule, NewSample, NotifiableNotice, SampleCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .samples {
      display: grid;
      gap: 16px;
    }
  `,
  template: `
    <div class="fn-page">
      <fn-case-head [case]="case()" />
      @if (suspects().length > 0) {
        <fn-notifiable-notice [suspects]="suspects()" />
      }
      @if (samples().length > 0) {
        <section class="samples" aria-label="Samples">
          @for (state of samples(); track state.sample.id) {
            <fn-sample-card [state]="state" [offer]="offerOf(state.sample.clinic)" />
          }
          @if (book.fault(); as line) {
            <p class="fn-care" role="status">{{ line }}</p>
          }
          @if (asked()) {
            <div class="fn-actions">
              <button matButton="outlined" type="button" [disabled]="asking()" (click)="ask()">Ask the clinic now</button>
              <span class="fn-small">It is asked three times an hour anyway.</span>
            </div>
          }
        </section>
      }
      @if (canWrite() && suspects().length === 0) {
        @if (open() || samples().length === 0) {
          @if (offersKnown() && answer(); as answer) {
            <fn-new-sample [case]="case()" [answer]="answer" [offers]="offers()" (kept)="open.set(false)" />
          } @else {
            <p role="status">Weighing which tests would tell …</p>
          }
        } @else {
          <p><button matButton="outlined" type="button" (click)="open.set(true)">Another sample</button></p>
        }
      }
      <p class="fn-advice">{{ advice }}</p>
    </div>
  `,
})
export class ClinicPage {
  readonly #api = inject(Api);
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  protected readonly book = inject(ClinicSamples);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly advice = advice;
  protected readonly open = signal(false);
  protected readonly asking = signal(false);
  protected readonly answer = caseReckoning(this.case).answer;
  protected readonly samples = computed(() => this.book.of(this.case()));
  protected readonly canWrite = computed(() => this.#garden.canWrite() && this.#garden.case(this.case())?.closedOn === null);
  protected readonly suspects = computed(() => suspectsIn(this.answer(), this.#library.known()?.regions, this.#garden.summary().region));
  /** something that a clinic may have news of */
  protected readonly asked = computed(
    () =>
      this.#garden.canWrite() && this.samples().some(({ sample, step }) => sample.clinic && ['under-way', 'in-laboratory'].includes(step)),
  );
  readonly #offers = resource({ loader: () => firstValueFrom(this.#api.clinics()) });
  /** none when no clinic answers: the result of another one can still be typed in */
  protected readonly offers = computed(() => (this.#offers.hasValue() ? this.#offers.value() : []));
  /** Until then a choice made here would be lost when they come. */
  protected readonly offersKnown = computed(() => !this.#offers.isLoading());
  protected readonly offerOf = (clinic: string | null) => this.offers().find(({ id }) => id === clinic);

  protected async ask(): Promise<void> {
    this.asking.set(true);
    await this.book.ask();
    this.asking.set(false);
  }
}
