import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { RouterLink } from '@angular/router';
import { Drawing } from '../drawing/drawing';
import type { LeafShape } from '../drawing/leaf';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import type { SignState } from './case-findings';

type Look = Pick<DifferentialAnswer['nextLooks'][number], 'check' | 'reveals' | 'minutes' | 'bits'>;

const shown = 3;
// More than these are not compared at a glance; nor do they fit on a phone beside what is to be done.
const firstSigns = 3;

/** The looks that would tell most for the minutes they take, each answered where it is explained. */
@Component({
  selector: 'fn-next-checks',
  imports: [Drawing, EntryLink, NgTemplateOutlet, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './next-checks.scss',
  template: `
    @if (answer().settled && !inHand()) {
      <p><b>Enough looked.</b> Whatever another look would show, the plan would hardly change. Choose a treatment.</p>
    } @else {
      <ol>
        @for (look of looks(); track look.check) {
          <li>
            <h3><fn-entry-link kind="checks" [entry]="look.check" /></h3>
            <ng-template #costs
              >{{ look.minutes }} min · {{ bits(look.bits) }}{{ tools(look.check)
              }}{{ library.checks().get(look.check)?.harm === 'plant' ? ' · costs the plant' : '' }}</ng-template
            >
            <ng-template #how>
              <ul>
                @for (step of library.checks().get(look.check)?.steps; track $index) {
                  <li>{{ step }}</li>
                }
              </ul>
              @if (library.checks().get(look.check)?.caution; as caution) {
                <p class="fn-care fn-small">{{ caution }}</p>
              }
            </ng-template>
            @if (look.check !== first()) {
              <details>
                <summary class="fn-small"><ng-container [ngTemplateOutlet]="costs" /></summary>
                <ng-container [ngTemplateOutlet]="how" />
              </details>
            } @else {
              <p class="fn-small"><ng-container [ngTemplateOutlet]="costs" /></p>
              <ng-container [ngTemplateOutlet]="how" />
              <div class="shows">
                @for (sign of told(look); track sign) {
                  @if (library.signs().get(sign); as one) {
                    <div class="answer" role="group" [attr.aria-label]="one.name">
                      <fn-drawing [organ]="one.drawing.organ" [mark]="one.drawing.mark" [leaf]="leaf()" />
                      <span class="fn-small">{{ one.name }}</span>
                      @if (!readonly()) {
                        <span class="buttons">
                          <button
                            type="button"
                            [attr.aria-label]="'There: ' + one.name"
                            [attr.aria-pressed]="states().get(sign) === 'seen'"
                            (click)="tell(look, { sign, state: 'seen' })"
                          >
                            there
                          </button>
                          <button
                            type="button"
                            [attr.aria-label]="'Not there: ' + one.name"
                            [attr.aria-pressed]="states().get(sign) === 'absent'"
                            (click)="tell(look, { sign, state: 'absent' })"
                          >
                            not there
                          </button>
                        </span>
                      }
                    </div>
                  }
                }
              </div>
              <p class="done">
                @if (told(look).length < look.reveals.length) {
                  <button type="button" (click)="whole.set(look.check)">{{ look.reveals.length - told(look).length }} more signs</button>
                }
                @if (!readonly()) {
                  @if (open(look).length > 1) {
                    <button type="button" (click)="none.emit(open(look)); inHand.set(undefined)">
                      {{ inHand() ? 'None of the others is there' : 'None of these is there' }}
                    </button>
                  }
                  @if (inHand()) {
                    <button type="button" (click)="inHand.set(undefined)">Done with this look</button>
                  }
                }
              </p>
            }
          </li>
        } @empty {
          <li>No look in the library would tell more. <a routerLink="clinic">A plant clinic</a> can.</li>
        }
      </ol>
    }
  `,
})
export class NextChecks {
  protected readonly library = inject(Library);
  readonly answer = input.required<DifferentialAnswer>();
  readonly states = input.required<ReadonlyMap<string, SignState>>();
  readonly leaf = input<LeafShape>('ovate');
  readonly readonly = input(false);
  /** the case that is looked at: another one starts afresh */
  readonly case = input('');
  /** one of a look's signs, answered */
  readonly answered = output<{ sign: string; state: 'seen' | 'absent' }>();
  /** the look was made, and none of these was there */
  readonly none = output<readonly string[]>();

  /** the look that is being made: it stays until it is done with, whatever its first answers change */
  protected readonly inHand = linkedSignal<string, Look | undefined>({ source: () => this.case(), computation: () => undefined });
  protected readonly looks = computed<readonly Look[]>(() => {
    const begun = this.inHand();
    const next = this.answer().nextLooks;
    return begun ? [begun, ...next.filter(({ check }) => check !== begun.check)].slice(0, shown) : next.slice(0, shown);
  });
  protected readonly first = computed(() => this.looks()[0]?.check);

  /** the look whose signs are all offered */
  protected readonly whole = signal('');
  /** the signs of a look that are offered: the first few, and those that were answered */
  protected readonly told = ({ check, reveals }: Look) =>
    reveals.filter((sign, i) => i < firstSigns || this.whole() === check || this.states().has(sign));

  protected readonly bits = (bits: number) => (bits >= 0.5 ? 'tells much' : bits >= 0.15 ? 'tells something' : 'tells a little');
  protected readonly tools = (check: string) => {
    const tools = this.library.checks().get(check)?.tools ?? [];
    return tools.length > 0 ? ` · ${tools.join(', ')}` : '';
  };
  /** signs of a look that are still to be answered */
  protected readonly open = ({ reveals }: Look) => reveals.filter((sign) => !['seen', 'absent'].includes(this.states().get(sign) ?? ''));

  protected tell(look: Look, told: { sign: string; state: 'seen' | 'absent' }): void {
    const left = this.open(look).filter((sign) => sign !== told.sign);
    this.inHand.set(left.length > 0 ? look : undefined);
    this.answered.emit(told);
  }
}
