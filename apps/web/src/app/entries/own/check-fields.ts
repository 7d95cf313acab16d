import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Check } from '@field-nurse/library';
import { Library } from '../../library/library';
import { linesIn, namesIn, toggled } from './lists';
import { OwnChoice } from './own-choice';
import { OwnText } from './own-text';
import { WeighedList } from './weighed-list';

const harms = [
  ['none', 'none'],
  ['slight', 'a leaf or a shoot'],
  ['plant', 'the plant'],
] as const satisfies readonly (readonly [Check['harm'], string])[];

/** What is written of a look. */
@Component({
  selector: 'fn-check-fields',
  imports: [OwnChoice, OwnText, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <fn-own-text
        label="Minutes"
        [number]="true"
        [value]="one().minutes"
        [fault]="faults().get('minutes')"
        (typed)="changed.emit({ minutes: +$event })"
      />
      <fn-own-choice label="What it costs the plant" [choices]="harms" [value]="one().harm" (chosen)="changed.emit({ harm: $event })" />
      <fn-own-text label="You need, parted by commas" [value]="one().tools.join(', ')" (typed)="changed.emit({ tools: names($event) })" />
    </div>
    <fn-own-text
      label="How, a step on each line"
      [rows]="4"
      [value]="one().steps.join('\\n')"
      [fault]="faults().get('steps')"
      (typed)="changed.emit({ steps: lines($event) })"
    />
    <fn-own-text label="Care to be taken" [value]="one().caution ?? ''" (typed)="changed.emit({ caution: $event.trim() || undefined })" />
    <fn-weighed-list
      legend="What may show"
      addLabel="Add a sign"
      [rows]="reveals()"
      [entries]="library.index()?.signs ?? []"
      [fault]="faults().get('reveals')"
      (put)="toggle($event.id)"
    />
  `,
})
export class CheckFields {
  protected readonly library = inject(Library);
  readonly one = input.required<Check>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Check>>();
  protected readonly harms = harms;
  protected readonly names = namesIn;
  protected readonly lines = linesIn;
  protected readonly reveals = computed(() => this.one().reveals.map((id) => ({ id, name: this.library.signName(id) })));
  protected toggle = (id: string) => this.changed.emit({ reveals: toggled(this.one().reveals, id) });
}
