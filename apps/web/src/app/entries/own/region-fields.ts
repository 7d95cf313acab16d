import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { Region } from '@field-nurse/library';
import { Library } from '../../library/library';
import { Fault } from './fault';
import { toggled } from './lists';
import { WeighedList } from './weighed-list';

type Limited = 'forbidden' | 'restricted';
const whyFirst = 'By the rules here.';

/** What is written of the rules of a region. */
@Component({
  selector: 'fn-region-fields',
  imports: [Fault, MatFormFieldModule, MatInputModule, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>The plant-health authority, and how to reach it</mat-label>
        <input matInput #authority maxlength="400" [value]="one().authority" (change)="changed.emit({ authority: authority.value })" />
      </mat-form-field>
      <fn-fault [of]="faults()" at="authority" />
    </div>
    <fieldset>
      <legend>To be reported here</legend>
      <fn-weighed-list
        addLabel="Add a trouble to be reported"
        [rows]="troubles(one().notifiable)"
        [entries]="library.index()?.conditions ?? []"
        (put)="changed.emit({ notifiable: toggled(one().notifiable, $event.id) })"
      />
      <fn-fault [of]="faults()" at="notifiable" />
    </fieldset>
    <fieldset>
      <legend>Reported in many places, and not here</legend>
      <fn-weighed-list
        addLabel="Add a trouble that need not be reported"
        [rows]="troubles(one().notListed)"
        [entries]="library.index()?.conditions ?? []"
        (put)="changed.emit({ notListed: toggled(one().notListed, $event.id) })"
      />
      <fn-fault [of]="faults()" at="notListed" />
    </fieldset>
    <fieldset>
      <legend>Sold to gardeners here</legend>
      <fn-weighed-list
        addLabel="Add a product that is sold"
        [rows]="products(one().soldHere)"
        [entries]="cards()"
        (put)="changed.emit({ soldHere: toggled(one().soldHere, $event.id) })"
      />
      <fn-fault [of]="faults()" at="soldHere" />
    </fieldset>
    <fieldset>
      <legend>Forbidden here</legend>
      <fn-weighed-list
        addLabel="Add what is forbidden"
        [rows]="limited('forbidden')"
        [entries]="cards()"
        (put)="toggleLimit('forbidden', $event.id)"
      />
    </fieldset>
    <fieldset>
      <legend>For licensed people only, here</legend>
      <fn-weighed-list
        addLabel="Add what is restricted"
        [rows]="limited('restricted')"
        [entries]="cards()"
        (put)="toggleLimit('restricted', $event.id)"
      />
    </fieldset>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>The rule for burning</mat-label>
        <input matInput #burning maxlength="1200" [value]="one().burning" (change)="changed.emit({ burning: burning.value })" />
      </mat-form-field>
      <fn-fault [of]="faults()" at="burning" />
    </div>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>The rule for getting rid of sick plants</mat-label>
        <input matInput #disposal maxlength="1200" [value]="one().disposal" (change)="changed.emit({ disposal: disposal.value })" />
      </mat-form-field>
      <fn-fault [of]="faults()" at="disposal" />
    </div>
    <p class="fn-small">Write down what your authority says, not what you think: Field Nurse closes or opens options by it.</p>
  `,
})
export class RegionFields {
  protected readonly library = inject(Library);
  readonly one = input.required<Region>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Region>>();
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
