import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/** A count for a muddy thumb: one tap up, one tap down. */
@Component({
  selector: 'fn-stepper',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto auto;
      gap: 6px;
      align-items: center;
      min-height: 56px;
    }
    button {
      width: 56px;
      height: 52px;
      border: var(--fn-stroke) solid var(--fn-faint-ink);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      font: 600 1.6rem/1 var(--fn-text);
      touch-action: manipulation;
    }
    button:disabled {
      color: var(--fn-line);
    }
    output {
      min-width: 2.2ch;
      font-size: 1.35rem;
      font-weight: 700;
      text-align: center;
    }
    small {
      display: block;
      color: var(--fn-faint-ink);
    }
  `,
  template: `
    <span
      >{{ label() }}
      @if (hint()) {
        <small>{{ hint() }}</small>
      }
    </span>
    <button type="button" [attr.aria-label]="'One less: ' + label()" [disabled]="value() <= 0" (click)="value.set(value() - 1)">−</button>
    <output [attr.aria-label]="label()">{{ value() }}</output>
    <button type="button" [attr.aria-label]="'One more: ' + label()" (click)="value.set(value() + 1)">+</button>
  `,
})
export class Stepper {
  readonly label = input.required<string>();
  readonly hint = input('');
  /** 0 or more */
  readonly value = model(0);
}
