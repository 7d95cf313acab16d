import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { ClinicSamples } from './clinic-samples';
import { resultWords, stepWords } from './clinic-words';
import type { SampleState } from './sample-state';

/** The samples of a case in a few lines, and the way to send one. */
@Component({
  selector: 'fn-clinic-panel',
  imports: [MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 8px;
    }
    ul {
      display: grid;
      gap: 6px;
      list-style: none;
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="clinic">
      <h2 id="clinic">Plant clinic</h2>
      <ul>
        @for (state of samples(); track state.sample.id) {
          <li>
            <b>{{ steps[state.step] }}</b> <span class="fn-small"> · {{ day(state.since) }}</span>
            @if (state.results.length > 0) {
              <br />{{ found(state) }}
            }
          </li>
        }
      </ul>
      @if (samples().length === 0) {
        <p class="fn-small">What the eye can’t tell apart, a laboratory can.</p>
      }
      <a matButton [routerLink]="['/g', garden.summary().id, 'cases', case(), 'clinic']">{{
        samples().length > 0 ? 'See the samples' : 'Send a sample'
      }}</a>
    </section>
  `,
})
export class ClinicPanel {
  readonly #library = inject(Library);
  readonly #book = inject(ClinicSamples);
  protected readonly garden = inject(Garden);
  /** id of the case */
  readonly case = input.required<string>();
  protected readonly samples = computed(() => this.#book.of(this.case()));
  protected readonly steps = stepWords;
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly found = ({ results }: SampleState) =>
    results.map(({ condition, result }) => `${this.#library.conditionName(condition)}: ${resultWords[result]}`).join(', ');
}
