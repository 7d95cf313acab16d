import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { OwnThreshold, Written } from '@field-nurse/contract';
import type { LevelNow } from '@field-nurse/core/sampling';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';

/** The grower's own level instead of that of the library, with its reason; and the way back. */
@Component({
  selector: 'fn-own-level',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .form {
      display: grid;
      grid-template-columns: 110px minmax(0, 1fr);
      gap: 10px;
      margin-top: 8px;
    }
  `,
  template: `
    <div class="form">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Act at</mat-label>
        <input matInput #act type="number" step="any" min="0" [value]="known()?.act ?? ''" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Why: what it is based on</mat-label>
        <input matInput #why maxlength="4000" [value]="known()?.why ?? ''" />
      </mat-form-field>
    </div>
    @if (fault()) {
      <p class="fn-stop" role="alert">{{ fault() }}</p>
    }
    <div class="fn-actions">
      <button matButton="outlined" type="button" (click)="save(act.value, why.value)">Keep as my level</button>
      @if (known()) {
        <button matButton type="button" (click)="drop()">Back to the library’s</button>
      }
    </div>
  `,
})
export class OwnLevel {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  /** id of the trouble */
  readonly condition = input.required<string>();
  readonly level = input.required<LevelNow>();
  protected readonly fault = signal('');
  protected readonly known = computed<OwnThreshold | undefined>(() =>
    this.#garden.thresholds().find((one) => one.condition === this.condition() && one.measure === this.level().measure && !one.endedOn),
  );

  protected async save(act: string, why: string): Promise<void> {
    const most = this.level().measure.endsWith('percent') ? 100 : 100_000;
    const value = Number(act);
    if (!(value > 0 && value <= most)) return this.fault.set(`The level is more than 0 and at most ${most.toLocaleString('en-GB')}.`);
    await this.#write(
      { condition: this.condition(), measure: this.level().measure, act: value, why: why.trim(), endedOn: null },
      'Your own level is kept.',
    );
  }

  protected async drop(): Promise<void> {
    const { id: _, version: __, ...value } = this.known()!;
    await this.#write({ ...value, endedOn: this.#garden.today() }, 'The level of the library holds again.');
  }

  async #write(value: Written<'thresholds'>, said: string): Promise<void> {
    const known = this.known();
    this.fault.set('');
    try {
      await this.#records.saveOrKeep('thresholds', known?.id ?? crypto.randomUUID(), known?.version ?? 0, value, said, known ?? null);
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }
}
