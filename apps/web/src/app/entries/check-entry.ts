import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Library } from '../library/library';
import { SignTile } from '../library/sign-tile';

const harmWords = { none: 'does the plant no harm', slight: 'costs the plant a little', plant: 'costs the plant' } as const;

/** A look, explained: minutes, tools, steps, cautions, and what may show. */
@Component({
  selector: 'fn-check-entry',
  imports: [SignTile],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    ol {
      display: grid;
      gap: 6px;
      margin-left: 1.3em;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
      gap: 8px;
      list-style: none;
    }
  `,
  template: `
    <h1>{{ check().name }}</h1>
    <p class="fn-small">
      {{ check().minutes }} min · {{ harm[check().harm] }}
      @if (check().tools.length > 0) {
        · you need: {{ check().tools.join(', ') }}
      }
    </p>
    @if (check().caution; as caution) {
      <p class="fn-care">{{ caution }}</p>
    }
    <ol>
      @for (step of check().steps; track $index) {
        <li>{{ step }}</li>
      }
    </ol>
    <h2>What may show</h2>
    <ul>
      @for (sign of check().reveals; track sign) {
        <li><fn-sign-tile [sign]="sign" /></li>
      }
    </ul>
  `,
})
export class CheckEntry {
  readonly #library = inject(Library);
  /** id of the check */
  readonly entry = input.required<string>();
  protected readonly check = computed(() => this.#library.checks().get(this.entry())!);
  protected readonly harm = harmWords;
}
