import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Any of a few, each pressed in or out. */
@Component({
  selector: 'fn-own-choices',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
    }
    button {
      min-width: 48px;
      min-height: 44px;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      font: inherit;
      cursor: pointer;
    }
    button[aria-pressed='true'] {
      border-color: var(--fn-green);
      background: var(--fn-green-wash);
      font-weight: 650;
    }
  `,
  template: `
    @for (row of choices(); track row[0]) {
      <button type="button" [attr.aria-pressed]="chosen().includes(row[0])" (click)="pressed.emit(row[0])">{{ row[1] }}</button>
    }
  `,
})
export class OwnChoices<T extends string | number> {
  /** values and their words */
  readonly choices = input.required<readonly (readonly [T, string])[]>();
  readonly chosen = input.required<readonly T[]>();
  readonly pressed = output<T>();
}
