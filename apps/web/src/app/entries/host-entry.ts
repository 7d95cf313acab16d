import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { susceptibility } from '@field-nurse/core/diagnosis';
import { Drawing } from '../drawing/drawing';
import { kindWords } from '../shared/words';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

const levels = [
  { id: 'often', word: 'Often' },
  { id: 'sometimes', word: 'Sometimes' },
  { id: 'seldom', word: 'Seldom' },
] as const;

/** A plant and what it suffers from. */
@Component({
  selector: 'fn-host-entry',
  imports: [Drawing, EntryLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  template: `
    <header class="with-drawing">
      <fn-drawing organ="leaf" mark="clean" [leaf]="one().leaf" />
      <div>
        <h1>{{ one().name }}</h1>
        <p class="fn-small">
          @if (one().latin) {
            <span class="fn-latin">{{ one().latin }}</span> ·
          }
          {{ one().family }} · {{ one().eaten ? 'eaten' : 'not eaten' }}
        </p>
        @if (one().names.length > 0) {
          <p class="fn-small">Also called {{ one().names.join(', ') }}</p>
        }
      </div>
    </header>
    @for (level of troubles(); track level.word) {
      <section>
        <h2>
          {{ level.word }} <span class="fn-small">{{ level.conditions.length }}</span>
        </h2>
        <ul class="names">
          @for (condition of level.conditions; track condition.id) {
            <li>
              <fn-entry-link kind="conditions" [entry]="condition.id" /> <span class="fn-small">{{ kinds[condition.kind] }}</span>
            </li>
          }
        </ul>
      </section>
    }
  `,
})
export class HostEntry {
  readonly #library = inject(Library);
  /** id of the plant */
  readonly entry = input.required<string>();
  protected readonly kinds = kindWords;
  protected readonly one = computed(() => this.#library.hosts().get(this.entry())!);
  protected readonly troubles = computed(() =>
    levels
      .map(({ id, word }) => ({
        word,
        conditions: (this.#library.index()?.conditions ?? [])
          .filter((condition) => susceptibility(condition, this.one()) === id)
          .sort((a, b) => a.name.localeCompare(b.name)),
      }))
      .filter(({ conditions }) => conditions.length > 0),
  );
}
