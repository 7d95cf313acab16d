import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSliderModule } from '@angular/material/slider';

/** How much it is, said by slider or number. */
@Component({
  selector: 'fn-percent-said',
  imports: [MatButtonModule, MatSliderModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './said-form.scss',
  template: `
    <form (submit)="$event.preventDefault(); said.emit(percent())" novalidate>
      <label
        >{{ of() }}
        <span class="number"
          ><input
            #typed
            class="fn-choice"
            type="text"
            inputmode="decimal"
            [attr.aria-label]="of()"
            autocomplete="off"
            [value]="percent()"
            (input)="percent.set(numberOf(typed.value))"
          />
          %</span
        >
      </label>
      <mat-slider min="0" max="100" step="1">
        <input matSliderThumb [attr.aria-label]="of() + ', by slider'" [value]="percent()" (valueChange)="percent.set($event)" />
      </mat-slider>
      <button mat-flat-button type="submit" [disabled]="isFaulty()">Say {{ isFaulty() ? 'how much' : percent() + ' %' }}</button>
    </form>
  `,
})
export class PercentSaid {
  /** what the percent are of */
  readonly of = input.required<string>();
  readonly said = output<number>();
  protected readonly percent = signal(0);
  protected readonly isFaulty = computed(() => !(this.percent() > 0 && this.percent() <= 100));
  protected readonly numberOf = (typed: string) => (typed.trim() === '' ? NaN : Number(typed.replace(',', '.')));
}
