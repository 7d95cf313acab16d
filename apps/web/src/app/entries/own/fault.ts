import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** What is wrong with one field of an own entry, below the field. */
@Component({
  selector: 'fn-fault',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    p {
      margin: 2px 0 0 12px;
      color: var(--fn-madder);
      font-size: 0.88rem;
    }
  `,
  template: `
    @if (line(); as line) {
      <p>{{ line }}</p>
    }
  `,
})
export class Fault {
  readonly line = input<string>();
}
