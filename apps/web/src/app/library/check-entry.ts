import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CheckSteps } from './check-steps';
import { Library } from './library';

/** A look, explained. */
@Component({
  selector: 'fn-check-entry',
  imports: [CheckSteps],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  template: `
    <h1>{{ one().name }}</h1>
    <fn-check-steps [check]="one()" />
  `,
})
export class CheckEntry {
  readonly #library = inject(Library);
  /** id of the check */
  readonly entry = input.required<string>();
  protected readonly one = computed(() => this.#library.checks().get(this.entry())!);
}
