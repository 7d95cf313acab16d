import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Intervention } from '@field-nurse/library';
import { rungWords, settingWords } from '../../shared/words';
import { Fault } from './fault';
import { linesIn, numberIn, toggled } from './lists';

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
  imports: [Fault, MatCheckboxModule, MatFormFieldModule, MatInputModule, MatSelectModule],
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
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How, a step on each line</mat-label>
        <textarea
          matInput
          #steps
          rows="5"
          maxlength="4000"
          [value]="one().steps.join('\\n')"
          (change)="put({ steps: lines(steps.value) })"
        ></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="steps" />
    </div>
    <div class="fn-form">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Kind of help</mat-label>
        <mat-select [value]="one().rung" (selectionChange)="put({ rung: $event.value })">
          @for (row of rungs; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1].word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      @for (row of numbers; track row[0]) {
        <div>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>{{ row[1] }}</mat-label>
            <input
              matInput
              #number
              type="number"
              min="0"
              step="any"
              [value]="one()[row[0]] ?? ''"
              (change)="putNumber(row[0], number.value)"
            />
          </mat-form-field>
          <fn-fault [of]="faults()" [at]="row[0]" />
        </div>
      }
    </div>
    @if (one().rate; as rate) {
      <fieldset>
        <legend>Rate of {{ rate.product }} <span class="fn-small">from your label</span></legend>
        <div class="fn-form">
          <div>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Rate, {{ rate.unit }} to {{ rate.per.amount }} {{ rate.per.unit }}</mat-label>
              <input
                matInput
                #amount
                type="number"
                min="0"
                step="any"
                [value]="rate.amount"
                (change)="putRate({ amount: +amount.value })"
              />
            </mat-form-field>
            <fn-fault [of]="faults()" at="amount" />
          </div>
          <div>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>The most that the label allows, {{ rate.labelMax.unit }}</mat-label>
              <input
                matInput
                #most
                type="number"
                min="0"
                step="any"
                [value]="rate.labelMax.amount"
                (change)="putRate({ labelMax: { amount: +most.value, unit: rate.labelMax.unit } })"
              />
            </mat-form-field>
            <fn-fault [of]="faults()" at="labelMax" />
          </div>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Strength of the product, {{ rate.strength.unit === 'percent' ? '%' : rate.strength.unit }}</mat-label>
            <input
              matInput
              #strength
              type="number"
              min="0"
              step="any"
              [value]="rate.strength.amount"
              (change)="putRate({ strength: { amount: +strength.value, unit: rate.strength.unit } })"
            />
          </mat-form-field>
        </div>
      </fieldset>
    }
    <fieldset>
      <legend>Where it may be used</legend>
      <div class="choices">
        @for (row of settings; track row[0]) {
          <button type="button" [attr.aria-pressed]="one().settings.includes(asSetting(row[0]))" (click)="toggle(asSetting(row[0]))">
            {{ row[1] }}
          </button>
        }
      </div>
      <mat-checkbox [checked]="one().onEaten" (change)="put({ onEaten: $event.checked })">Also on what is eaten</mat-checkbox>
      <fn-fault [of]="faults()" at="settings" />
      <fn-fault [of]="faults()" at="onEaten" />
    </fieldset>
    <div class="fn-form">
      @for (danger of dangers; track danger.field) {
        <div>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>{{ danger.label }}</mat-label>
            <mat-select [value]="one()[danger.field]" (selectionChange)="putDanger(danger.field, $event.value)">
              @for (level of danger.levels; track level[0]) {
                <mat-option [value]="level[0]">{{ level[1] }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <fn-fault [of]="faults()" [at]="danger.field" />
        </div>
      }
    </div>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Cautions, one on each line</mat-label>
        <textarea
          matInput
          #cautions
          rows="3"
          maxlength="4000"
          [value]="one().cautions.join('\\n')"
          (change)="put({ cautions: lines(cautions.value) })"
        ></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="cautions" />
    </div>
  `,
})
export class InterventionFields {
  readonly one = input.required<Intervention>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Intervention>>();
  protected readonly rungs = Object.entries(rungWords);
  protected readonly settings = Object.entries(settingWords);
  protected readonly numbers = numbers;
  protected readonly dangers = dangers;
  protected readonly lines = linesIn;
  protected readonly asSetting = (id: string) => id as Setting;

  protected put = (change: Partial<Intervention>) => this.changed.emit(change);
  protected toggle = (setting: Setting) => this.put({ settings: toggled(this.one().settings, setting) });
  protected putDanger = (field: (typeof dangers)[number]['field'], level: string) => this.put({ [field]: level });
  protected putRate = (change: Partial<Rate>) => this.put({ rate: { ...this.one().rate!, ...change } });
  protected putNumber = (field: NumberField, typed: string) => this.put({ [field]: numberIn(typed) ?? (none.has(field) ? 0 : undefined) });
}
