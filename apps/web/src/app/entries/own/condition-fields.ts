import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Condition } from '@field-nurse/library';
import { Library } from '../../library/library';
import { signsOf } from '../../library/library-search';
import { Fault } from './fault';
import { toggled } from './lists';
import type { Help, HostLevel } from './own-draft';
import { helpOf, helpRanges, withCheck, withHost, withSign, withTreatment } from './own-draft';
import { OwnChoice } from './own-choice';
import { OwnChoices } from './own-choices';
import { OwnText } from './own-text';
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
  imports: [Fault, OwnChoice, OwnChoices, OwnText, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <fn-own-text
      label="In a sentence"
      [rows]="2"
      [value]="one().summary"
      [fault]="faults().get('summary')"
      (typed)="put({ summary: $event })"
    />
    <div class="fn-form">
      <fn-own-choice label="How common here" [choices]="commons" [value]="one().common" (chosen)="put({ common: $event })" />
    </div>
    <fieldset>
      <legend>Months <span class="fn-small">as in the north</span></legend>
      <fn-own-choices [choices]="months" [chosen]="one().months" (pressed)="toggleMonth($event)" />
      <fn-fault [line]="faults().get('months')" />
    </fieldset>
    <fn-weighed-list
      legend="Signs"
      addLabel="Add a sign"
      atFirst="often"
      [rows]="signs()"
      [weights]="frequencies"
      [entries]="library.index()?.signs ?? []"
      [fault]="faults().get('signs')"
      (put)="putSign($event)"
    />
    <fn-weighed-list
      legend="Plants"
      addLabel="Add a plant"
      atFirst="often"
      [rows]="hosts()"
      [weights]="levels"
      [entries]="library.index()?.hosts ?? []"
      [fault]="faults().get('hosts')"
      (put)="putHost($event)"
    />
    <fn-weighed-list
      legend="Looks that settle it"
      addLabel="Add a look"
      [rows]="checks()"
      [entries]="library.index()?.checks ?? []"
      [fault]="faults().get('checks')"
      (put)="putCheck($event)"
    />
    <fn-weighed-list
      legend="What helps, and how much of the trouble it takes"
      addLabel="Add what helps"
      atFirst="some"
      [rows]="treatments()"
      [weights]="helps"
      [entries]="library.index()?.interventions ?? []"
      [fault]="faults().get('treat')"
      (put)="putTreatment($event)"
    />
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
  protected readonly months = Array.from(
    { length: 12 },
    (_, i) => [i + 1, new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(Date.UTC(2026, i, 1))] as const,
  );

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
