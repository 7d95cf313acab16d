import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { limeNeeded } from '@field-nurse/core/dose';
import type { LimeSoil } from '@field-nurse/core/dose';
import { AmountField } from '../shared/amount-field';

const soilWords: Readonly<Record<LimeSoil, string>> = { sand: 'Sand', loam: 'Loam', clay: 'Clay', peat: 'Peat' };

/** Lime by a soil test: the rate that brings the ground to the pH that is wanted. */
@Component({
  selector: 'fn-lime-test',
  imports: [AmountField, MatButtonModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    details {
      display: grid;
      gap: 8px;
    }
    .fields {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
      margin: 8px 0;
    }
    .soil {
      grid-column: 1 / -1;
    }
  `,
  template: `
    <details>
      <summary>Lime, by a soil test</summary>
      <div class="fields">
        <fn-amount-field label="pH measured" [value]="measured()" (typed)="measured.set($event)" />
        <fn-amount-field label="pH wanted" [value]="wanted()" (typed)="wanted.set($event)" />
        <mat-form-field subscriptSizing="dynamic" class="soil">
          <mat-label>The ground is</mat-label>
          <mat-select [value]="soil()" (selectionChange)="soil.set($event.value)">
            @for (one of soils; track one[0]) {
              <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      <p role="status">{{ words() }}</p>
      @if (need()?.gramsPerM2) {
        <button matButton type="button" (click)="taken.emit(need()!.gramsPerM2 / need()!.gifts)">Reckon with it</button>
      }
    </details>
  `,
})
export class LimeTest {
  /** ground limestone for one gift, g/m² */
  readonly taken = output<number>();
  protected readonly measured = signal(5.8);
  protected readonly wanted = signal(6.5);
  protected readonly soil = signal<LimeSoil>('loam');
  protected readonly soils = Object.entries(soilWords) as [LimeSoil, string][];
  protected readonly need = computed(() => {
    const [ph, wanted] = [this.measured(), this.wanted()];
    return ph >= 3 && ph <= 9 && wanted >= 4 && wanted <= 8 ? limeNeeded({ ph, wanted, soil: this.soil() }) : undefined;
  });
  protected readonly words = computed(() => {
    const need = this.need();
    if (!need) return 'Give a measured pH from 3 to 9, and a wanted one from 4 to 8.';
    if (need.gramsPerM2 === 0) return 'No lime: the ground is at that pH or above it.';
    const gifts = need.gifts === 1 ? '' : ' Half of it now, dug in, and half on top next season.';
    return `${need.gramsPerM2} g of ground limestone to a square metre, for the top 20 cm.${gifts} Not together with manure.`;
  });
}
