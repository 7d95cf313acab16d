import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Condition } from '@field-nurse/library';
import { Library } from '../../library/library';
import { signsOf } from '../../library/library-search';
import { Fault } from './fault';
import { toggled } from './lists';
import type { Help, HostLevel } from './own-draft';
import { helpOf, helpRanges, withCheck, withHost, withSign, withTreatment } from './own-draft';
import type { Put } from './weighed-list';
import { WeighedList } from './weighed-list';

const commons = [
  ['common', 'common'],
  ['occasional', 'now and then'],
  ['rare', 'rare'],
] as const;
const frequencies = [
  ['always', 'nearly always'],
  ['often', 'often'],
  ['sometimes', 'sometimes'],
  ['seldom', 'seldom'],
  ['never', 'never'],
] as const;
const levels = [
  ['often', 'often'],
  ['sometimes', 'sometimes'],
  ['seldom', 'seldom'],
] as const;
const helps = Object.keys(helpRanges).map((word) => [word, word] as const);

/** What is written of a trouble. */
@Component({
  selector: 'fn-condition-fields',
  imports: [Fault, MatFormFieldModule, MatInputModule, MatSelectModule, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>In a sentence</mat-label>
        <textarea matInput #summary rows="2" maxlength="1200" [value]="one().summary" (change)="put({ summary: summary.value })"></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="summary" />
    </div>
    <div class="fn-form">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How common here</mat-label>
        <mat-select [value]="one().common" (selectionChange)="put({ common: $event.value })">
          @for (row of commons; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
    <fieldset>
      <legend>Months <span class="fn-small">as in the north</span></legend>
      <div class="choices">
        @for (month of months; track month.number) {
          <button type="button" [attr.aria-pressed]="one().months.includes(month.number)" (click)="toggleMonth(month.number)">
            {{ month.name }}
          </button>
        }
      </div>
      <fn-fault [of]="faults()" at="months" />
    </fieldset>
    <fieldset>
      <legend>Signs</legend>
      <fn-weighed-list
        addLabel="Add a sign"
        atFirst="often"
        [rows]="signs()"
        [weights]="frequencies"
        [entries]="library.index()?.signs ?? []"
        (put)="putSign($event)"
      />
      <fn-fault [of]="faults()" at="signs" />
    </fieldset>
    <fieldset>
      <legend>Plants</legend>
      <fn-weighed-list
        addLabel="Add a plant"
        atFirst="often"
        [rows]="hosts()"
        [weights]="levels"
        [entries]="library.index()?.hosts ?? []"
        (put)="putHost($event)"
      />
      <fn-fault [of]="faults()" at="hosts" />
    </fieldset>
    <fieldset>
      <legend>Looks that settle it</legend>
      <fn-weighed-list addLabel="Add a look" [rows]="checks()" [entries]="library.index()?.checks ?? []" (put)="putCheck($event)" />
      <fn-fault [of]="faults()" at="checks" />
    </fieldset>
    <fieldset>
      <legend>What helps, and how much of the trouble it takes</legend>
      <fn-weighed-list
        addLabel="Add what helps"
        atFirst="some"
        [rows]="treatments()"
        [weights]="helps"
        [entries]="library.index()?.interventions ?? []"
        (put)="putTreatment($event)"
      />
      <fn-fault [of]="faults()" at="treat" />
    </fieldset>
    <p class="fn-small">
      Its stages are those of the entry it was made from. The file that can be shared holds them too, and can be changed by hand.
    </p>
  `,
})
export class ConditionFields {
  protected readonly library = inject(Library);
  readonly one = input.required<Condition>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Condition>>();

  protected readonly commons = commons;
  protected readonly frequencies = frequencies;
  protected readonly levels = levels;
  protected readonly helps = helps;
  protected readonly months = Array.from({ length: 12 }, (_, i) => ({
    number: i + 1,
    name: new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(Date.UTC(2026, i, 1)),
  }));

  protected readonly hosts = computed(() =>
    levels.flatMap(([level]) => this.one().hosts[level].map((id) => ({ id, name: this.library.hostName(id), weight: level }))),
  );
  protected readonly signs = computed(() =>
    signsOf(this.one()).map(({ sign, frequency }) => ({ id: sign, weight: frequency, name: this.library.signName(sign) })),
  );
  protected readonly checks = computed(() => this.one().checks.map((id) => ({ id, name: this.library.checks().get(id)?.name ?? id })));
  protected readonly treatments = computed(() =>
    this.one().treat.map(({ intervention, efficacy }) => ({
      id: intervention,
      name: this.library.interventionName(intervention),
      weight: helpOf(efficacy),
    })),
  );

  protected put = (change: Partial<Condition>) => this.changed.emit(change);
  protected toggleMonth = (month: number) => this.put({ months: toggled(this.one().months, month).sort((a, b) => a - b) });
  protected putHost = ({ id, weight }: Put) => this.put(withHost(this.one(), id, weight as HostLevel | null));
  protected putSign = ({ id, weight }: Put) => this.put(withSign(this.one(), id, weight as Condition['signs'][string] | null));
  protected putCheck = ({ id, weight }: Put) => this.put(withCheck(this.one(), id, weight !== null));
  protected putTreatment = ({ id, weight }: Put) => this.put(withTreatment(this.one(), id, weight as Help | null));
}
