import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Region } from '@field-nurse/library';
import { Library } from '../../library/library';
import { toggled } from './lists';
import { OwnText } from './own-text';
import { WeighedList } from './weighed-list';

type Limited = 'forbidden' | 'restricted';
const limits = [
  { kind: 'forbidden', legend: 'Forbidden here', add: 'Add what is forbidden' },
  { kind: 'restricted', legend: 'For licensed people only, here', add: 'Add what is restricted' },
] as const;
const whyFirst = 'By the rules here.';

/** What is written of the rules of a region. */
@Component({
  selector: 'fn-region-fields',
  imports: [OwnText, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <fn-own-text
      label="The plant-health authority, and how to reach it"
      [value]="one().authority"
      [fault]="faults().get('authority')"
      (typed)="changed.emit({ authority: $event })"
    />
    <fn-weighed-list
      legend="To be reported here"
      addLabel="Add a trouble to be reported"
      [rows]="troubles(one().notifiable)"
      [entries]="library.index()?.conditions ?? []"
      [fault]="faults().get('notifiable')"
      (put)="changed.emit({ notifiable: toggled(one().notifiable, $event.id) })"
    />
    <fn-weighed-list
      legend="Reported in many places, and not here"
      addLabel="Add a trouble that need not be reported"
      [rows]="troubles(one().notListed)"
      [entries]="library.index()?.conditions ?? []"
      [fault]="faults().get('notListed')"
      (put)="changed.emit({ notListed: toggled(one().notListed, $event.id) })"
    />
    <fn-weighed-list
      legend="Sold to gardeners here"
      addLabel="Add a product that is sold"
      [rows]="products(one().soldHere)"
      [entries]="cards()"
      [fault]="faults().get('soldHere')"
      (put)="changed.emit({ soldHere: toggled(one().soldHere, $event.id) })"
    />
    @for (limit of limits; track limit.kind) {
      <fn-weighed-list
        [legend]="limit.legend"
        [addLabel]="limit.add"
        [rows]="limited(limit.kind)"
        [entries]="cards()"
        [fault]="faults().get(limit.kind)"
        (put)="toggleLimit(limit.kind, $event.id)"
      />
    }
    <fn-own-text
      label="The rule for burning"
      [value]="one().burning"
      [fault]="faults().get('burning')"
      (typed)="changed.emit({ burning: $event })"
    />
    <fn-own-text
      label="The rule for getting rid of sick plants"
      [value]="one().disposal"
      [fault]="faults().get('disposal')"
      (typed)="changed.emit({ disposal: $event })"
    />
    <p class="fn-small">Write down what your authority says, not what you think: Field Nurse closes or opens options by it.</p>
  `,
})
export class RegionFields {
  protected readonly library = inject(Library);
  readonly one = input.required<Region>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Region>>();
  protected readonly limits = limits;
  protected readonly toggled = toggled<string>;
  /** only what is bought has rules of its own */
  protected readonly cards = computed(() => (this.library.index()?.interventions ?? []).filter(({ sold }) => sold));
  protected troubles = (ids: readonly string[]) => ids.map((id) => ({ id, name: this.library.conditionName(id) }));
  protected products = (ids: readonly string[]) => ids.map((id) => ({ id, name: this.library.interventionName(id) }));
  protected limited = (kind: Limited) =>
    this.one()[kind].map(({ intervention: id, why }) => ({ id, name: `${this.library.interventionName(id)}: ${why}` }));

  protected toggleLimit(kind: Limited, id: string): void {
    const known = this.one()[kind];
    const others = known.filter(({ intervention }) => intervention !== id);
    this.changed.emit({ [kind]: others.length < known.length ? others : [...known, { intervention: id, why: whyFirst }] });
  }
}
