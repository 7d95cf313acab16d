import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { susceptibility } from '@field-nurse/core/diagnosis';
import type { Host, Library as LibraryIndex, Sign } from '@field-nurse/library';
import { Drawing } from '../drawing/drawing';
import { Library } from '../library/library';
import { partWords } from '../shared/words';
import type { SignState } from './case-findings';
import { nextState } from './case-findings';

// As many as a thumb scrolls past without losing the place.
const atFirst = 12;

const stateWords: Readonly<Record<SignState, string>> = {
  'not-looked': 'not looked at',
  seen: 'seen',
  absent: 'looked, not there',
  old: 'old scar',
  struck: 'not looked at',
};

/** The drawn signs by part of the plant. One tap: seen. One more: looked, and not there. */
@Component({
  selector: 'fn-sign-palette',
  imports: [Drawing, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './sign-palette.scss',
  template: `
    <div class="parts" role="group" aria-label="Part of the plant">
      @for (part of parts(); track part.id) {
        <button
          type="button"
          [attr.aria-pressed]="part.id === shownPart()"
          (click)="chosenPart.set(part.id === shownPart() ? '' : part.id)"
        >
          {{ part.word }}
          @if (part.found > 0) {
            <span class="count">{{ part.found }}</span>
          }
        </button>
      }
    </div>
    @if (shownPart()) {
      <ul>
        @for (sign of shown(); track sign.id) {
          <li>
            <button
              type="button"
              [class]="states().get(sign.id) ?? 'not-looked'"
              [attr.aria-label]="sign.name + ': ' + word(sign.id)"
              [title]="sign.look"
              (click)="tap(sign.id)"
            >
              <fn-drawing [organ]="sign.drawing.organ" [mark]="sign.drawing.mark" [leaf]="host()?.leaf ?? 'ovate'" />
              <span class="name">{{ sign.name }}</span>
              @if (word(sign.id) !== 'not looked at') {
                <span class="state">{{ word(sign.id) }}</span>
              }
            </button>
          </li>
        }
      </ul>
    }
    @if (rest() > 0) {
      <button matButton type="button" (click)="wholePart.set(shownPart())">{{ rest() }} more of this part</button>
    }
    @if (shownPart() && (hiddenCount() > 0 || everything())) {
      <button matButton type="button" (click)="everything.set(!everything())">
        {{ everything() ? 'Only signs that this plant can show' : hiddenCount() + ' more that are unusual on this plant' }}
      </button>
    }
  `,
})
export class SignPalette {
  readonly #library = inject(Library);
  readonly host = input<Host>();
  readonly states = input.required<ReadonlyMap<string, SignState>>();
  readonly tapped = output<{ sign: string; state: SignState }>();
  protected readonly chosenPart = signal('');
  protected readonly everything = signal(false);

  readonly #usual = computed(() => usualSigns(this.#library.known(), this.host()));
  readonly #offered = computed(() =>
    (this.#library.known()?.signs ?? []).filter(({ id }) => this.everything() || this.#usual().has(id) || this.states().has(id)),
  );
  protected readonly parts = computed(() =>
    Object.entries(partWords).flatMap(([id, word]) => {
      const signs = this.#offered().filter(({ part }) => part === id);
      const found = signs.filter((sign) => ['seen', 'absent'].includes(this.states().get(sign.id) ?? '')).length;
      return signs.length > 0 ? [{ id, word, found }] : [];
    }),
  );
  /** the part whose signs are open; none before one is tapped */
  protected readonly shownPart = computed(() => this.parts().find(({ id }) => id === this.chosenPart())?.id);
  /** the part whose signs are all shown, and not just the likeliest */
  protected readonly wholePart = signal<string | undefined>(undefined);
  readonly #ofPart = computed(() =>
    this.#offered()
      .filter(({ part }) => part === this.shownPart())
      .sort((a, b) => this.#weight(b) - this.#weight(a)),
  );
  protected readonly shown = computed(() => {
    const whole = this.everything() || (this.shownPart() !== undefined && this.wholePart() === this.shownPart());
    return this.#ofPart().filter(({ id }, i) => whole || i < atFirst || this.states().has(id));
  });
  protected readonly rest = computed(() => this.#ofPart().length - this.shown().length);
  protected readonly hiddenCount = computed(() => (this.#library.known()?.signs.length ?? 0) - this.#offered().length);

  protected readonly word = (sign: string) => stateWords[this.states().get(sign) ?? 'not-looked'];

  protected tap(sign: string): void {
    this.tapped.emit({ sign, state: nextState(this.states().get(sign) ?? 'not-looked') });
  }

  #weight({ id }: Sign): number {
    return this.#usual().get(id) ?? 0;
  }
}

const frequencyWeight = { always: 4, often: 3, sometimes: 2, seldom: 1, never: 0 } as const;
const hostWeight = { often: 3, sometimes: 2, seldom: 1, unlisted: 0 } as const;

/** Signs that a trouble of this plant can show, with how much they are to be expected. */
function usualSigns(index: LibraryIndex | undefined, host: Host | undefined): ReadonlyMap<string, number> {
  const weights = new Map<string, number>();
  if (!index || !host) return weights;
  for (const condition of index.conditions) {
    const taken = hostWeight[susceptibility(condition, host)];
    for (const [sign, frequency] of Object.entries(condition.signs)) {
      const weight = taken * frequencyWeight[frequency];
      if (weight > 0) weights.set(sign, Math.max(weights.get(sign) ?? 0, weight));
    }
  }
  return weights;
}
