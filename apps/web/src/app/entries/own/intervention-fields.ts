import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckboxModule } from '@angular/material/checkbox';
import type { Intervention } from '@field-nurse/library';
import { rungWords, settingWords } from '../../shared/words';
import { Fault } from './fault';
import { linesIn, numberIn, toggled } from './lists';
import { OwnChoice } from './own-choice';
import { OwnChoices } from './own-choices';
import { OwnText } from './own-text';

type Setting = Intervention['settings'][number];
type Rate = NonNullable<Intervention['rate']>;
type NumberField =
  'minutesPerPlant' | 'costPerPlant' | 'preHarvestDays' | 'reEntryHours' | 'seasonMax' | 'rainFastHours' | 'contactMinutes';

const numbers = [
  ['minutesPerPlant', 'Minutes for each plant'],
  ['costPerPlant', 'Cost for each plant'],
  ['contactMinutes', 'Minutes that it must act'],
  ['preHarvestDays', 'Days to harvest'],
  ['reEntryHours', 'Hours to keep out'],
  ['rainFastHours', 'Hours without rain'],
  ['seasonMax', 'At most so often a season'],
] as const satisfies readonly (readonly [NumberField, string])[];
// An empty field of these means none; of the others, that nothing is known.
const none: ReadonlySet<NumberField> = new Set(['minutesPerPlant', 'costPerPlant', 'preHarvestDays', 'reEntryHours']);

const harms = [
  ['none', 'none'],
  ['slight', 'some'],
  ['serious', 'deadly'],
] as const;
const risks = [
  ['none', 'none'],
  ['care', 'keep them off it'],
  ['serious', 'deadly to some'],
] as const;
const waterRisks = [
  ['none', 'none'],
  ['care', 'keep it out of ponds'],
  ['serious', 'poisons them'],
] as const;
const dangers = [
  { field: 'bees', label: 'Harm to bees', levels: harms },
  { field: 'helpers', label: 'Harm to helpers', levels: harms },
  { field: 'animals', label: 'Danger to pets and hens', levels: risks },
  { field: 'water', label: 'Danger to ponds and fish', levels: waterRisks },
] as const;

/** What is written of something that helps. */
@Component({
  selector: 'fn-intervention-fields',
  imports: [Fault, MatCheckboxModule, OwnChoice, OwnChoices, OwnText],
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
    <fn-own-text
      label="How, a step on each line"
      [rows]="5"
      [value]="one().steps.join('\\n')"
      [fault]="faults().get('steps')"
      (typed)="put({ steps: lines($event) })"
    />
    <div class="fn-form">
      <fn-own-choice label="Kind of help" [choices]="rungs" [value]="one().rung" (chosen)="put({ rung: $event })" />
      @for (row of numbers; track row[0]) {
        <fn-own-text
          [label]="row[1]"
          [number]="true"
          [value]="one()[row[0]] ?? ''"
          [fault]="faults().get(row[0])"
          (typed)="putNumber(row[0], $event)"
        />
      }
    </div>
    @if (one().rate; as rate) {
      <fieldset>
        <legend>Rate of {{ rate.product }} <span class="fn-small">from your label</span></legend>
        <div class="fn-form">
          <fn-own-text
            [label]="'Rate, ' + rate.unit + ' to ' + rate.per.amount + ' ' + rate.per.unit"
            [number]="true"
            [value]="rate.amount"
            [fault]="faults().get('amount')"
            (typed)="putRate({ amount: +$event })"
          />
          <fn-own-text
            [label]="'The most that the label allows, ' + rate.labelMax.unit"
            [number]="true"
            [value]="rate.labelMax.amount"
            [fault]="faults().get('labelMax')"
            (typed)="putRate({ labelMax: { amount: +$event, unit: rate.labelMax.unit } })"
          />
          <fn-own-text
            [label]="'Strength of the product, ' + (rate.strength.unit === 'percent' ? '%' : rate.strength.unit)"
            [number]="true"
            [value]="rate.strength.amount"
            (typed)="putRate({ strength: { amount: +$event, unit: rate.strength.unit } })"
          />
        </div>
      </fieldset>
    }
    <fieldset>
      <legend>Where it may be used</legend>
      <fn-own-choices [choices]="settings" [chosen]="one().settings" (pressed)="toggle($event)" />
      <fn-fault [line]="faults().get('settings')" />
      <mat-checkbox [checked]="one().onEaten" (change)="put({ onEaten: $event.checked })">Also on what is eaten</mat-checkbox>
      <fn-fault [line]="faults().get('onEaten')" />
    </fieldset>
    <div class="fn-form">
      @for (danger of dangers; track danger.field) {
        <fn-own-choice
          [label]="danger.label"
          [choices]="danger.levels"
          [value]="one()[danger.field]"
          [fault]="faults().get(danger.field)"
          (chosen)="putDanger(danger.field, $event)"
        />
      }
    </div>
    <fn-own-text
      label="Cautions, one on each line"
      [rows]="3"
      [value]="one().cautions.join('\\n')"
      [fault]="faults().get('cautions')"
      (typed)="put({ cautions: lines($event) })"
    />
  `,
})
export class InterventionFields {
  readonly one = input.required<Intervention>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Intervention>>();
  protected readonly rungs = Object.entries(rungWords).map(([id, { word }]) => [id as Intervention['rung'], word] as const);
  protected readonly settings = Object.entries(settingWords) as [Setting, string][];
  protected readonly numbers = numbers;
  protected readonly dangers = dangers;
  protected readonly lines = linesIn;

  protected put = (change: Partial<Intervention>) => this.changed.emit(change);
  protected toggle = (setting: Setting) => this.put({ settings: toggled(this.one().settings, setting) });
  protected putDanger = (field: (typeof dangers)[number]['field'], level: string) => this.put({ [field]: level });
  protected putRate = (change: Partial<Rate>) => this.put({ rate: { ...this.one().rate!, ...change } });
  protected putNumber = (field: NumberField, typed: string) => this.put({ [field]: numberIn(typed) ?? (none.has(field) ? 0 : undefined) });
}
