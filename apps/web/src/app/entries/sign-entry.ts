import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Drawing } from '../drawing/drawing';
import { partWords } from '../shared/words';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

const levels = [
  { id: 'always', word: 'Nearly always shown by' },
  { id: 'often', word: 'Often by' },
  { id: 'sometimes', word: 'Sometimes by' },
  { id: 'seldom', word: 'Seldom by' },
  { id: 'never', word: 'Speaks against' },
] as const;

/** A sign, drawn large, with how to look for it and what shows it. */
@Component({
  selector: 'fn-sign-entry',
  imports: [Drawing, EntryLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  template: `
    <header class="with-drawing large">
      <fn-drawing [organ]="one().drawing.organ" [mark]="one().drawing.mark" [label]="one().name" />
      <div>
        <h1>{{ one().name }}</h1>
        <p class="fn-small">{{ parts[one().part] }}</p>
        <p class="lead">{{ one().look }}</p>
        <p class="fn-small">In growers’ words: {{ one().words.join(', ') }}</p>
        @if (checks().length > 0) {
          <p>
            Looked for by
            @for (check of checks(); track check.id) {
              <fn-entry-link kind="checks" [entry]="check.id" />{{ $last ? '' : ', ' }}
            }
          </p>
        }
      </div>
    </header>
    @for (level of shownBy(); track level.word) {
      <section>
        <h2>{{ level.word }}</h2>
        <ul class="names">
          @for (id of level.conditions; track id) {
            <li><fn-entry-link kind="conditions" [entry]="id" /></li>
          }
        </ul>
      </section>
    }
  `,
})
export class SignEntry {
  readonly #library = inject(Library);
  /** id of the sign */
  readonly entry = input.required<string>();
  protected readonly parts = partWords;
  protected readonly one = computed(() => this.#library.signs().get(this.entry())!);
  protected readonly checks = computed(() => (this.#library.index()?.checks ?? []).filter(({ reveals }) => reveals.includes(this.entry())));
  protected readonly shownBy = computed(() =>
    levels
      .map(({ id, word }) => ({
        word,
        conditions: (this.#library.index()?.conditions ?? []).filter(({ signs }) => signs[this.entry()] === id).map((one) => one.id),
      }))
      .filter(({ conditions }) => conditions.length > 0),
  );
}
