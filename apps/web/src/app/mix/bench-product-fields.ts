import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { NameField } from '../library/name-field';
import { AmountField } from '../shared/amount-field';
import { amountWord } from '../shared/units';
import type { BenchProducts } from './bench-products';
import { goesByNothing } from './bench-sum';
import { depthUnits, perUnits, rateUnits } from './bench-words';

/** What the label of one product says: which pack or ingredient, which line, and the rate as it is typed. */
@Component({
  selector: 'fn-bench-product-fields',
  imports: [FormsModule, MatButtonModule, MatFormFieldModule, MatSelectModule, AmountField, NameField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .pair {
      display: grid;
      grid-template-columns: minmax(5em, 2fr) 3fr;
      gap: 8px;
    }
  `,
  template: `
    @if (products().packs().length > 0) {
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Which pack</mat-label>
        <mat-select [value]="line().packId ?? ''" (selectionChange)="products().choosePack(line().index, $event.value || null)">
          <mat-option value="">one that is not on the shelf</mat-option>
          @for (pack of products().packs(); track pack.product.id) {
            <mat-option [value]="pack.product.id">{{ pack.product.name }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    }
    @if (!line().pack && !isDeep()) {
      <fn-name-field
        label="Active ingredient"
        hint="Then what must not meet is known"
        [entries]="products().ingredients()"
        [ngModel]="line().intervention"
        (ngModelChange)="products().chooseIngredient(line().index, $event)"
      />
    }
    @if (line().labelLines.length > 0) {
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Line of its label</mat-label>
        <mat-select [value]="line().line" (selectionChange)="products().chooseLine(line().index, $event.value)">
          @for (one of line().labelLines; track one.index) {
            <mat-option [value]="one.index">{{ one.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    }
    <div class="pair">
      <fn-amount-field
        label="Rate"
        [value]="line().rate.amount"
        [fault]="faults().get('rate-' + line().index)"
        (typed)="products().changeRate(line().index, { amount: $event })"
      />
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>of</mat-label>
        <mat-select [value]="line().rate.unit" (selectionChange)="products().changeRate(line().index, { unit: $event.value })">
          @for (one of isDeep() ? depthUnits : rateUnits; track one.unit) {
            <mat-option [value]="one.unit">{{ one.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
    @if (!goesByNothing(line().rate)) {
      <div class="pair">
        <fn-amount-field
          label="to"
          [value]="line().rate.per"
          [fault]="faults().get('per-' + line().index)"
          (typed)="products().changeRate(line().index, { per: $event })"
        />
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>of</mat-label>
          <mat-select [value]="line().rate.perUnit" (selectionChange)="products().changeRate(line().index, { perUnit: $event.value })">
            @for (one of perUnits; track one.unit) {
              <mat-option [value]="one.unit">{{ one.word }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
    }
    @if (line().rate.most; as most) {
      <p class="fn-small">
        {{ line().pack?.card ? 'Its label allows' : 'A typical most is' }}
        {{ amountWord({ amount: most, unit: line().rate.unit }) }}.
      </p>
    } @else if (!isDeep() && !line().isOnOtherTerms) {
      <p class="fn-small">No limit is known here: the label’s own counts.</p>
    }
    @if (isOneOfSeveral()) {
      <button matButton type="button" (click)="products().drop(line().index)">Take it out of the tank</button>
    }
  `,
})
export class BenchProductFields {
  readonly line = input.required<ReturnType<BenchProducts['lines']>[number]>();
  readonly products = input.required<BenchProducts>();
  readonly faults = input.required<ReadonlyMap<string, string>>();
  /** it is laid so deep, and has no rate */
  readonly isDeep = input.required<boolean>();
  readonly isOneOfSeveral = input.required<boolean>();
  protected readonly amountWord = amountWord;
  protected readonly goesByNothing = goesByNothing;
  protected readonly rateUnits = rateUnits;
  protected readonly depthUnits = depthUnits;
  protected readonly perUnits = perUnits;
}
