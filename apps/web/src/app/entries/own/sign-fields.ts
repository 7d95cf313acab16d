import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Sign } from '@field-nurse/library';
import { partWords } from '../../shared/words';
import { linesIn } from './lists';
import { OwnChoice } from './own-choice';
import { OwnText } from './own-text';

const commons = [
  ['everywhere', 'nearly anywhere'],
  ['now-and-then', 'now and then'],
  ['telling', 'hardly ever without a cause'],
] as const;

/** What is written of a sign. */
@Component({
  selector: 'fn-sign-fields',
  imports: [OwnChoice, OwnText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <fn-own-choice label="Part of the plant" [choices]="parts" [value]="one().part" (chosen)="changed.emit({ part: $event })" />
      <fn-own-choice
        label="Turns up without a cause"
        [choices]="commons"
        [value]="one().common"
        (chosen)="changed.emit({ common: $event })"
      />
    </div>
    <fn-own-text
      label="How to look for it"
      [rows]="2"
      [value]="one().look"
      [fault]="faults().get('look')"
      (typed)="changed.emit({ look: $event })"
    />
    <fn-own-text
      label="In growers’ words, one on each line"
      [rows]="5"
      [value]="one().words.join('\\n')"
      [fault]="faults().get('words')"
      (typed)="changed.emit({ words: lines($event) })"
    />
  `,
})
export class SignFields {
  readonly one = input.required<Sign>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Sign>>();
  protected readonly parts = Object.entries(partWords) as [Sign['part'], string][];
  protected readonly commons = commons;
  protected readonly lines = linesIn;
}
