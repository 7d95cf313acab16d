import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Check } from '@field-nurse/library';
import { Library } from '../../library/library';
import { Fault } from './fault';
import { linesIn, namesIn, toggled } from './lists';
import { WeighedList } from './weighed-list';

const harms = [
  ['none', 'none'],
  ['slight', 'a leaf or a shoot'],
  ['plant', 'the plant'],
] as const satisfies readonly (readonly [Check['harm'], string])[];

/** What is written of a look. */
@Component({
  selector: 'fn-check-fields',
  imports: [Fault, MatFormFieldModule, MatInputModule, MatSelectModule, WeighedList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <div>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Minutes</mat-label>
          <input
            matInput
            #minutes
            type="number"
            min="0"
            step="any"
            [value]="one().minutes"
            (change)="changed.emit({ minutes: +minutes.value })"
          />
        </mat-form-field>
        <fn-fault [of]="faults()" at="minutes" />
      </div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>What it costs the plant</mat-label>
        <mat-select [value]="one().harm" (selectionChange)="changed.emit({ harm: $event.value })">
          @for (row of harms; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>You need, parted by commas</mat-label>
        <input matInput #tools maxlength="400" [value]="one().tools.join(', ')" (change)="changed.emit({ tools: names(tools.value) })" />
      </mat-form-field>
    </div>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How, a step on each line</mat-label>
        <textarea
          matInput
          #steps
          rows="4"
          maxlength="4000"
          [value]="one().steps.join('\\n')"
          (change)="changed.emit({ steps: lines(steps.value) })"
        ></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="steps" />
    </div>
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>Care to be taken</mat-label>
      <input
        matInput
        #care
        maxlength="1200"
        [value]="one().caution ?? ''"
        (change)="changed.emit({ caution: care.value.trim() || undefined })"
      />
    </mat-form-field>
    <fieldset>
      <legend>What may show</legend>
      <fn-weighed-list addLabel="Add a sign" [rows]="reveals()" [entries]="library.index()?.signs ?? []" (put)="toggle($event.id)" />
      <fn-fault [of]="faults()" at="reveals" />
    </fieldset>
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
