import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Drawing } from '../drawing/drawing';
import { Library } from '../library/library';
import { evidenceWords, protectWords } from '../shared/words';
import type { JudgedIntervention } from './ladder';
import { VerdictMark } from './verdict-mark';

/** One option that is open: its verdict with reasons, what to expect of it, and how it is done. */
@Component({
  selector: 'fn-option-card',
  imports: [Drawing, MatButtonModule, VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './option-card.scss',
  template: `
    <div class="head">
      <h3>{{ option().name }}</h3>
      <fn-verdict-mark [verdict]="option().verdict" />
      @if (first()) {
        <span class="first">least loss expected</span>
      }
    </div>
    <p>{{ entry()?.summary }}</p>
    @if (option().reasons.length > 0) {
      <ul class="reasons">
        @for (reason of option().reasons; track reason.code) {
          <li [class.for]="reason.weight === 'for'">{{ reason.text }}</li>
        }
      </ul>
    }
    @for (note of option().notes; track note) {
      <p class="fn-small">{{ note }}</p>
    }
    @if (option().expected.efficacy[1] > 0) {
      <div class="facts">
        <span class="effect" [attr.title]="'Expected to take away ' + effect() + ' of the trouble'">
          <span class="scale" aria-hidden="true"
            ><span [style.left.%]="option().expected.efficacy[0]" [style.right.%]="100 - option().expected.efficacy[1]"></span
          ></span>
          takes away {{ effect() }}, {{ evidence[option().evidence] }}
        </span>
        <span>{{ minutes() }}</span>
        @if (entry()?.preHarvestDays) {
          <span>{{ entry()!.preHarvestDays }} d to harvest</span>
        }
        @if (entry()?.modeOfAction; as group) {
          <span>{{ group.scheme }} {{ group.group }}</span>
        }
      </div>
    }
    <details>
      <summary>How it is done</summary>
      @if (entry()?.drawing; as mark) {
        <fn-drawing class="shown" organ="handwork" [mark]="mark" />
      }
      <ol>
        @for (step of option().steps; track $index) {
          <li>{{ step }}</li>
        }
      </ol>
      @if (option().contactMinutes; as minutes) {
        <p>
          <b>Let it act for {{ minutes }} {{ minutes === 1 ? 'minute' : 'minutes' }}</b
          >, by the clock.
        </p>
      }
      @for (caution of option().cautions; track caution) {
        <p class="fn-care">{{ caution }}</p>
      }
      @if (protection(); as words) {
        <p><b>Wear:</b> {{ words }}.</p>
      }
    </details>
    @if (canChoose()) {
      <div class="fn-actions">
        <button matButton="outlined" type="button" [attr.aria-label]="'Choose ' + option().name" (click)="chosen.emit(option())">
          {{ option().id === 'watch' ? 'Watch it' : 'Choose this' }}
        </button>
      </div>
    }
  `,
})
export class OptionCard {
  readonly #library = inject(Library);
  readonly option = input.required<JudgedIntervention>();
  readonly plants = input.required<number>();
  readonly first = input(false);
  readonly canChoose = input(true);
  readonly chosen = output<JudgedIntervention>();
  protected readonly evidence = evidenceWords;
  protected readonly entry = computed(() => this.#library.interventions().get(this.option().id));
  protected readonly effect = computed(() => {
    const [low, high] = this.option().expected.efficacy;
    return `${low}–${high} %`;
  });
  protected readonly minutes = computed(() => {
    const minutes = this.option().expected.minutes * this.plants();
    return minutes < 90 ? `${Math.max(1, Math.round(minutes))} min of work` : `${(minutes / 60).toFixed(1)} h of work`;
  });
  protected readonly protection = computed(() => (this.entry()?.protect ?? []).map((one) => protectWords[one] ?? one).join(', '));
}
