import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckboxModule } from '@angular/material/checkbox';
import type { Host } from '@field-nurse/library';
import { Drawing } from '../../drawing/drawing';
import type { LeafShape } from '../../drawing/leaf';
import { leafWords } from './leaf-words';
import { OwnChoice } from './own-choice';

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
  imports: [Drawing, MatCheckboxModule, OwnChoice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  template: `
    <div class="fn-form">
      <fn-own-choice label="Kind of plant" [choices]="kinds" [value]="one().kind" (chosen)="changed.emit({ kind: $event })" />
      <fn-own-choice label="How it stands" [choices]="habits" [value]="one().habit" (chosen)="changed.emit({ habit: $event })" />
    </div>
    <div class="leaf">
      <fn-own-choice label="Its leaf" [choices]="leaves" [value]="one().leaf" (chosen)="changed.emit({ leaf: $event })" />
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
  protected readonly leaves = Object.entries(leafWords) as [LeafShape, string][];
}
