import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { Library } from '../library/library';

const shown = 3;

/** The looks that would tell most for the minutes they take. */
@Component({
  selector: 'fn-next-looks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ol {
      display: grid;
      gap: 14px;
      list-style: none;
    }
    ol ul {
      margin: 4px 0 0 1.1em;
      font-size: 0.92rem;
    }
  `,
  template: `
    @if (answer().settled) {
      <p>Another look would hardly change what to do. Choose a treatment.</p>
    } @else {
      <ol>
        @for (look of answer().nextLooks.slice(0, most); track look.check) {
          <li>
            <h3>{{ library.checks().get(look.check)?.name }}</h3>
            <p class="fn-small">
              {{ look.minutes }} min · {{ bits(look.bits) }}{{ tools(look.check)
              }}{{ library.checks().get(look.check)?.harm === 'plant' ? ' · costs the plant' : '' }}
            </p>
            <ul>
              @for (step of library.checks().get(look.check)?.steps; track $index) {
                <li>{{ step }}</li>
              }
            </ul>
            @if (library.checks().get(look.check)?.caution; as caution) {
              <p class="fn-care fn-small">{{ caution }}</p>
            }
          </li>
        } @empty {
          <li>No look in the library would tell more. A plant clinic can.</li>
        }
      </ol>
    }
  `,
})
export class NextLooks {
  protected readonly library = inject(Library);
  readonly answer = input.required<DifferentialAnswer>();
  protected readonly most = shown;

  protected readonly bits = (bits: number) => (bits >= 0.5 ? 'tells much' : bits >= 0.15 ? 'tells something' : 'tells a little');
  protected readonly tools = (check: string) => {
    const tools = this.library.checks().get(check)?.tools ?? [];
    return tools.length > 0 ? ` · ${tools.join(', ')}` : '';
  };
}
