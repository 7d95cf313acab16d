import { ChangeDetectionStrategy, Component, computed, DOCUMENT, inject, input } from '@angular/core';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { chanceWord } from './chance';

/** On a phone, the likeliest cause and the next look in a bar at the foot: a tap on a sign shows at once what it does. */
@Component({
  selector: 'fn-case-glance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: none;
    }

    @media (max-width: 800px) {
      :host {
        position: sticky;
        z-index: 4;
        bottom: 0;
        display: grid;
        grid-template-columns: minmax(0, 1fr) auto;
        gap: 8px;
        margin: 0 -24px;
        padding: 8px 24px;
        border-top: var(--fn-stroke) solid var(--fn-line);
        background: var(--fn-raised);
      }
    }

    @media (max-width: 700px) {
      :host {
        bottom: calc(58px + env(safe-area-inset-bottom));
        margin: 0 -14px;
        padding: 8px 14px;
      }
    }

    button {
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 44px;
      padding: 0 12px;
      border: var(--fn-stroke) solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-paper);
      color: inherit;
      font: inherit;
      text-align: left;
      cursor: pointer;
    }

    b {
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }

    .chance {
      font: 600 1.1rem/1 var(--fn-head);
    }
  `,
  template: `
    @if (first(); as cause) {
      <button type="button" (click)="go('causes')">
        <span class="chance">{{ percent(cause.probability) }}</span> <b>{{ cause.name }}</b>
      </button>
      <button type="button" (click)="go('looks')">{{ answer().settled ? 'Enough looked' : 'Look next' }}</button>
    }
  `,
})
export class CaseGlance {
  readonly #document = inject(DOCUMENT);
  readonly answer = input.required<DifferentialAnswer>();
  protected readonly first = computed(() => this.answer().ranked[0]);
  protected readonly percent = chanceWord;

  /** @param heading - id of a heading of the page */
  protected go(heading: string): void {
    const there = this.#document.getElementById(heading);
    there?.scrollIntoView({ block: 'start' });
    there?.focus({ preventScroll: true });
  }
}
