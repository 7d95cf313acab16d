import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { statusOf } from '@field-nurse/core/recovery';
import { Garden } from './garden';
import { statusWords } from '../shared/words';

// Shape and fill change with the state, so that none of it hangs on colour.
export const healthMarks: Readonly<Record<string, string>> = {
  'first-look': 'M3 9a6 6 0 1 0 12 0a6 6 0 1 0 -12 0',
  recovering: 'M2.5 13 L9 4 L15.5 13 Z',
  level: 'M2 6.5 H16 V11.5 H2 Z',
  relapsing: 'M2.5 5 L9 14.5 L15.5 5 Z',
  clear: 'M2 9.5 L7 14.5 L16 4',
};

/** How a case does: a mark and its word. */
@Component({
  selector: 'fn-status-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: inline-flex;
      gap: 7px;
      align-items: center;
      white-space: nowrap;
      font-size: 0.9rem;
    }
    svg {
      flex: none;
      width: 18px;
      height: 18px;
    }
    path {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 1.6;
      stroke-linejoin: round;
    }
    .recovering path {
      fill: var(--fn-green);
      stroke: var(--fn-green);
    }
    .relapsing path {
      fill: var(--fn-madder);
      stroke: var(--fn-madder);
    }
    .level path {
      fill: var(--fn-ochre-wash);
    }
    .clear path {
      stroke: var(--fn-green);
      stroke-width: 3;
    }
  `,
  template: `
    <svg viewBox="0 0 18 18" aria-hidden="true" [class]="status()"><path [attr.d]="path()" /></svg>
    <span>{{ word() }}</span>
  `,
})
export class StatusMark {
  readonly #garden = inject(Garden);
  readonly case = input.required<string>();
  protected readonly status = computed(() => statusOf(this.#garden.assessmentsOf(this.case())) ?? 'first-look');
  protected readonly path = computed(() => healthMarks[this.status()]);
  protected readonly word = computed(() =>
    this.#garden.assessmentsOf(this.case()).length === 0 ? 'No look yet' : statusWords[this.status()],
  );
}
