import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Sign } from '@field-nurse/library';
import { partWords } from '../../shared/words';
import { Fault } from './fault';
import { linesIn } from './lists';

const commons = [
  ['everywhere', 'nearly anywhere'],
  ['now-and-then', 'now and then'],
  ['telling', 'hardly ever without a cause'],
] as const;

/** What is written of a sign. */
@Component({
  selector: 'fn-sign-fields',
  imports: [Fault, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Part of the plant</mat-label>
        <mat-select [value]="one().part" (selectionChange)="changed.emit({ part: $event.value })">
          @for (part of parts; track part[0]) {
            <mat-option [value]="part[0]">{{ part[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Turns up without a cause</mat-label>
        <mat-select [value]="one().common" (selectionChange)="changed.emit({ common: $event.value })">
          @for (row of commons; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How to look for it</mat-label>
        <textarea matInput #look rows="2" maxlength="1200" [value]="one().look" (change)="changed.emit({ look: look.value })"></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="look" />
    </div>
    <div>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>In growers’ words, one on each line</mat-label>
        <textarea
          matInput
          #lay
          rows="5"
          maxlength="4000"
          [value]="one().words.join('\\n')"
          (change)="changed.emit({ words: lines(lay.value) })"
        ></textarea>
      </mat-form-field>
      <fn-fault [of]="faults()" at="words" />
    </div>
  `,
})
export class SignFields {
  readonly one = input.required<Sign>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  readonly changed = output<Partial<Sign>>();
  protected readonly parts = Object.entries(partWords);
  protected readonly commons = commons;
  protected readonly lines = linesIn;
}
