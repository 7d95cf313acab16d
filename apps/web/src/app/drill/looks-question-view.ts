import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { ScoredLook, TakenLook } from '@field-nurse/core/drill';
import { scoreLooks } from '@field-nurse/core/drill';
import { standing } from '@field-nurse/library/drill';
import { Drawing } from '../drawing/drawing';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import type { LooksQuestion } from './drill-question';

/** As many looks as a hurried grower takes. */
const mostLooks = 3;

/** What was named in the end, and what the looks that led there were worth. */
export interface Named {
  readonly guess: string;
  readonly looks: number;
  readonly bits: number;
  readonly bestBits: number;
}

/** A sick plant that may have one of several troubles: one looks up to three times, then names it. */
@Component({
  selector: 'fn-looks-question',
  imports: [Drawing, EntryLink, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrls: ['./question.scss', './looks-question.scss'],
  template: `
    <h2>What does this {{ host() }} have?</h2>
    <div class="board">
      <section class="seen" aria-label="What is seen">
        <fn-drawing [organ]="seen()?.drawing?.organ ?? 'leaf'" [mark]="seen()?.drawing?.mark ?? ''" [leaf]="question().leaf" />
        <p>
          You see: <b>{{ lower(seen()?.name ?? '') }}</b>
        </p>
      </section>
      <section aria-labelledby="looks">
        <h3 id="looks">{{ told() ? 'What the looks were worth' : 'Look for … ' + left() }}</h3>
        @if (told()) {
          <ol class="worth">
            @for (look of scored(); track look.look) {
              <li>
                <p>
                  <b>{{ signName(look.look) }}</b>: {{ look.seen ? 'there' : 'not there' }}
                </p>
                <div class="bar" aria-hidden="true">
                  <span class="best" [style.width.%]="shareOf(look.bestBits)"></span><span [style.width.%]="shareOf(look.bits)"></span>
                </div>
                <p class="fn-small">
                  {{ look.bits.toFixed(2) }} bits expected;
                  @if (look.best === look.look) {
                    no look told more
                  } @else {
                    the best, {{ lower(signName(look.best)) }}, {{ look.bestBits.toFixed(2) }}
                  }
                </p>
              </li>
            } @empty {
              <li>You named it without a look.</li>
            }
          </ol>
          <p class="fn-small">A bit halves what it may still be.</p>
        } @else {
          <ul class="looks">
            @for (look of question().board.open; track look) {
              <li>
                <button
                  type="button"
                  [class.there]="answerOf(look) === true"
                  [class.absent]="answerOf(look) === false"
                  [disabled]="answerOf(look) !== undefined || !canLook()"
                  (click)="lookFor(look)"
                >
                  <fn-drawing [organ]="drawingOf(look)?.organ ?? 'leaf'" [mark]="drawingOf(look)?.mark ?? ''" [leaf]="question().leaf" />
                  <span>{{ signName(look) }}</span>
                  @if (answerOf(look) !== undefined) {
                    <b>{{ answerOf(look) ? 'It is there' : 'Not there' }}</b>
                  }
                </button>
              </li>
            }
          </ul>
        }
      </section>
      <section aria-labelledby="names">
        @if (told(); as said) {
          <h3 id="names">
            @if (said.guess === question().trouble) {
              Right
            } @else {
              It has another
            }
          </h3>
          <ul class="chances">
            @for (one of chances(); track one.id) {
              <li [class.true]="one.id === question().trouble">
                <fn-entry-link kind="conditions" [entry]="one.id" />
                <span class="bar"><span [style.width.%]="100 * one.chance"></span></span>
                <small>{{ noteOf(one.id, one.chance) }}</small>
              </li>
            }
          </ul>
          @if (tell(); as tell) {
            <p class="fn-care"><b>The difference:</b> {{ tell }}</p>
          }
          <ng-content />
        } @else {
          <h3 id="names">Then name it</h3>
          <div class="choices">
            @for (one of question().board.troubles; track one.id) {
              <button mat-stroked-button type="button" (click)="name(one.id)">{{ conditionName(one.id) }}</button>
            }
          </div>
        }
      </section>
    </div>
  `,
})
export class LooksQuestionView {
  readonly #library = inject(Library);
  readonly question = input.required<LooksQuestion>();
  readonly told = input<{ readonly guess: string } | null>(null);
  readonly said = output<Named>();

  protected readonly taken = linkedSignal<LooksQuestion, readonly TakenLook[]>({ source: this.question, computation: () => [] });
  protected readonly canLook = computed(() => this.taken().length < mostLooks);
  protected readonly left = computed(() => {
    const left = mostLooks - this.taken().length;
    return left === 0 ? 'no more' : left === 1 ? 'one more look' : `${left} looks`;
  });
  protected readonly host = computed(() => this.#library.hostName(this.question().board.host).toLowerCase());
  protected readonly seen = computed(() => this.#library.signs().get(this.question().board.seen.look));
  protected readonly signName = this.#library.signName;
  protected readonly conditionName = this.#library.conditionName;
  protected readonly drawingOf = (look: string) => this.#library.signs().get(look)?.drawing;
  protected readonly answerOf = (look: string) => this.taken().find((one) => one.look === look)?.seen;
  protected readonly lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

  protected readonly scored = computed<readonly ScoredLook[]>(() => {
    const { troubles, seen, open } = this.question().board;
    return scoreLooks(troubles, [seen, ...this.taken()], open).slice(1);
  });
  readonly #most = computed(() => Math.max(0.01, ...this.scored().map(({ bestBits }) => bestBits)));
  protected readonly shareOf = (bits: number) => (100 * bits) / this.#most();
  protected readonly chances = computed(() => standing(this.question().board, this.taken()));
  protected readonly tell = computed(() => {
    const [{ trouble }, said] = [this.question(), this.told()];
    const other = said && said.guess !== trouble ? said.guess : this.chances().find(({ id }) => id !== trouble)?.id;
    const told = (one: string, against: string | undefined) =>
      this.#library
        .conditions()
        .get(one)
        ?.lookalikes.find(({ condition }) => condition === against)?.tell;
    return told(trouble, other) ?? (other ? told(other, trouble) : undefined);
  });
  protected noteOf(id: string, chance: number): string {
    const percent = `${Math.round(100 * chance)} %`;
    if (id === this.question().trouble) return `${percent}, and it is this`;
    return id === this.told()?.guess ? `${percent}, what you said` : percent;
  }

  protected lookFor(look: string): void {
    this.taken.update((all) => [...all, { look, seen: this.question().plant.get(look)! }]);
  }

  protected name(guess: string): void {
    const sum = (of: (one: ScoredLook) => number) => this.scored().reduce((total, one) => total + of(one), 0);
    this.said.emit({ guess, looks: this.taken().length, bits: sum(({ bits }) => bits), bestBits: sum(({ bestBits }) => bestBits) });
  }
}
