import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { preHarvestFor } from '@field-nurse/core/label';
import { Garden } from '../gardens/garden';
import { Drawing } from '../drawing/drawing';
import { Library } from '../library/library';
import { evidenceWords, protectWords } from '../shared/words';
import type { JudgedIntervention } from './ladder';
import { packInHand } from '../gardens/pack-in-hand';
import { OnShelfNote } from './on-shelf';
import { VerdictMark } from './verdict-mark';

/** One option that is open: its verdict with reasons, what to expect of it, and how it is done. */
@Component({
  selector: 'fn-option-card',
  imports: [Drawing, MatButtonModule, OnShelfNote, VerdictMark],
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
        @if (harvestDays(); as days) {
          <span>{{ days }} d to harvest</span>
        }
        @if (entry()?.modeOfAction; as group) {
          <span>{{ group.scheme }} {{ group.group }}</span>
        }
      </div>
    }
    @if (host(); as plant) {
      <fn-on-shelf [option]="option()" [plants]="plants()" [host]="plant" />
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
  readonly #garden = inject(Garden);
  /** nothing at the door, where no garden is open */
  readonly #shelf = computed(() => (this.host() ? this.#garden.shelf() : undefined));
  readonly option = input.required<JudgedIntervention>();
  readonly plants = input.required<number>();
  /** id of the plant; nothing where no shelf is known, as at the door */
  readonly host = input<string>();
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
  /** by the label of the pack in hand, where there is one */
  protected readonly harvestDays = computed(() => {
    const [entry, host] = [this.entry(), this.#library.hosts().get(this.host() ?? '')];
    const inHand = this.#shelf()?.find(({ product }) => product.id === this.option().products[0]?.id);
    if (!entry || !host) return entry?.preHarvestDays ?? 0;
    return preHarvestFor(inHand ? packInHand(entry, inHand, host, this.option().covers, this.plants()).card : entry, host);
  });
  protected readonly protection = computed(() => (this.entry()?.protect ?? []).map((one) => protectWords[one] ?? one).join(', '));
}
