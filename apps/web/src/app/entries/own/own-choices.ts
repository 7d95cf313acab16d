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
    }
  `,
  template: `
    @for (row of choices(); track row[0]) {
      <button class="fn-pick" type="button" [attr.aria-pressed]="chosen().includes(row[0])" (click)="pressed.emit(row[0])">
        {{ row[1] }}
      </button>
    }
  `,
})
export class OwnChoices<T extends string | number> {
  /** values and their words */
  readonly choices = input.required<readonly (readonly [T, string])[]>();
  readonly chosen = input.required<readonly T[]>();
  readonly pressed = output<T>();
}
