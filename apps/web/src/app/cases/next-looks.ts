import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { DifferentialAnswer } from '@field-nurse/contract';
import type { LeafShape } from '../drawing/leaf';
import { Drawing } from '../drawing/drawing';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

const shown = 3;
const signsDrawn = 5;

/** The looks that would tell most for the minutes they take. */
@Component({
  selector: 'fn-next-looks',
  imports: [Drawing, EntryLink],
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
    .shows {
      display: grid;
      gap: 6px;
      margin-top: 8px;
    }
    .answer {
      display: grid;
      grid-template-columns: 44px minmax(0, 1fr);
      gap: 2px 8px;
      align-items: center;
    }
    fn-drawing {
      grid-row: span 2;
    }
    .buttons {
      display: flex;
      gap: 6px;
    }
    button {
      min-height: 36px;
      padding: 0 10px;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      font: inherit;
      font-size: 0.875rem;
      cursor: pointer;
    }
    button:hover {
      border-color: var(--fn-green);
    }
    .none {
      margin-top: 6px;
    }
    @media (max-width: 700px) {
      button {
        min-height: 48px;
      }
    }
  `,
  template: `
    @if (answer().settled) {
      <p><b>Enough looked.</b> Whatever another look would show, the plan stays the same. Choose a treatment.</p>
    } @else {
      <ol>
        @for (look of answer().nextLooks.slice(0, most); track look.check) {
          <li>
            <h3><fn-entry-link kind="checks" [entry]="look.check" /></h3>
            <p class="fn-small">
              {{ look.minutes }} min · {{ bits(look.bits) }}{{ tools(look.check)
              }}{{ library.checks().get(look.check)?.harm === 'plant' ? ' · costs the plant' : '' }}
            </p>
            <ul>
              @for (step of library.checks().get(look.check)?.steps; track $index) {
                <li>{{ step }}</li>
              }
            </ul>
            <div class="shows">
              @for (sign of look.reveals.slice(0, drawn); track sign) {
                @if (library.signs().get(sign); as one) {
                  <div class="answer">
                    <fn-drawing [organ]="one.drawing.organ" [mark]="one.drawing.mark" [leaf]="leaf()" />
                    <span class="fn-small">{{ one.name }}</span>
                    @if (!readonly()) {
                      <span class="buttons">
                        <button type="button" [attr.aria-label]="one.name + ': seen'" (click)="answered.emit({ sign, state: 'seen' })">
                          there
                        </button>
                        <button
                          type="button"
                          [attr.aria-label]="one.name + ': not there'"
                          (click)="answered.emit({ sign, state: 'absent' })"
                        >
                          not there
                        </button>
                      </span>
                    }
                  </div>
                }
              }
            </div>
            @if (!readonly() && look.reveals.length > 1) {
              <button class="none" type="button" (click)="none.emit(look.reveals)">None of these is there</button>
            }
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
  readonly leaf = input<LeafShape>('ovate');
  readonly readonly = input(false);
  /** one of a look's signs, answered */
  readonly answered = output<{ sign: string; state: 'seen' | 'absent' }>();
  /** the look was made, and none of its signs was there */
  readonly none = output<readonly string[]>();
  protected readonly most = shown;
  protected readonly drawn = signsDrawn;

  protected readonly bits = (bits: number) => (bits >= 0.5 ? 'tells much' : bits >= 0.15 ? 'tells something' : 'tells a little');
  protected readonly tools = (check: string) => {
    const tools = this.library.checks().get(check)?.tools ?? [];
    return tools.length > 0 ? ` · ${tools.join(', ')}` : '';
  };
}
