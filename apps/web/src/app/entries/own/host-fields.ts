import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import type { Host } from '@field-nurse/library';
import { Drawing } from '../../drawing/drawing';
import { leafWords } from './leaf-words';

const kinds = [
  ['vegetable', 'vegetable'],
  ['herb', 'herb'],
  ['fruit', 'fruit'],
  ['ornamental', 'ornamental'],
  ['houseplant', 'houseplant'],
  ['ground', 'ground, heap or store'],
] as const satisfies readonly (readonly [Host['kind'], string])[];
const habits = [
  ['tuft', 'a tuft or rosette'],
  ['bush', 'a bush'],
  ['climber', 'a climber'],
  ['blades', 'blades from the ground'],
  ['tree', 'a tree'],
  ['tray', 'seedlings'],
  ['heap', 'a heap'],
] as const satisfies readonly (readonly [Host['habit'], string])[];

/** What is written of a plant. */
@Component({
  selector: 'fn-host-fields',
  imports: [Drawing, MatCheckboxModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Kind of plant</mat-label>
        <mat-select [value]="one().kind" (selectionChange)="changed.emit({ kind: $event.value })">
          @for (row of kinds; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How it stands</mat-label>
        <mat-select [value]="one().habit" (selectionChange)="changed.emit({ habit: $event.value })">
          @for (row of habits; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
    <div class="leaf">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Its leaf</mat-label>
        <mat-select [value]="one().leaf" (selectionChange)="changed.emit({ leaf: $event.value })">
          @for (row of leaves; track row[0]) {
            <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <fn-drawing organ="leaf" mark="" [leaf]="one().leaf" />
    </div>
    <mat-checkbox [checked]="one().eaten" (change)="changed.emit({ eaten: $event.checked })"
      >It is eaten: waits before harvest count</mat-checkbox
    >
    <p class="fn-small">
      It gets the troubles of its family, {{ one().family }}, as the plant that it was copied from does. Troubles of its own are added where
      they are written.
    </p>
  `,
})
export class HostFields {
  readonly one = input.required<Host>();
  readonly changed = output<Partial<Host>>();
  protected readonly kinds = kinds;
  protected readonly habits = habits;
  protected readonly leaves = Object.entries(leafWords);
}
