import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { RegisterEntry } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { dayWord } from '../shared/days';
import { BarcodeCamera } from './barcode-camera';

const shortest = 3;

/** Seek a product in the register of labels, by number, barcode or name; the barcode by camera where there is one. */
@Component({
  selector: 'fn-register-search',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, BarcodeCamera],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
    }
    .row {
      margin-top: 8px;
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
    }
    mat-form-field {
      flex: 1 1 280px;
      max-width: 460px;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: center;
      justify-content: space-between;
      padding: 8px 0;
      border-top: 1px solid var(--fn-line);
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="register">
      <h2 id="register">Is it in the register?</h2>
      <div class="row">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Number, barcode or name</mat-label>
          <input matInput #field autocomplete="off" [value]="typed()" (input)="typed.set(field.value)" (keydown.enter)="seek()" />
        </mat-form-field>
        <button matButton="outlined" type="button" [disabled]="busy()" (click)="seek()">{{ busy() ? 'Asking …' : 'Look it up' }}</button>
        <fn-barcode-camera (read)="scanned($event)" />
      </div>
      @if (fault(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
      @if (found(); as list) {
        @if (list.length === 0) {
          <p role="status">Nothing is registered under “{{ sought() }}”. Write it down below, and copy the label from the pack.</p>
        } @else {
          <ul class="fn-list" aria-label="Found in the register">
            @for (one of list; track one.number) {
              <li>
                <span>
                  <b>{{ one.name }}</b>
                  <span class="fn-small">
                    {{ one.number }}, amended {{ day(one.amendedOn)
                    }}{{ one.card.validUntil ? ', valid until ' + day(one.card.validUntil) : '' }}</span
                  >
                </span>
                <button matButton="outlined" type="button" [attr.aria-label]="'Take over ' + one.name" (click)="taken.emit(one)">
                  Take this one
                </button>
              </li>
            }
          </ul>
          @if (simulated()) {
            <p class="fn-small">This register is a simulated one: its products are made up.</p>
          }
        }
      }
    </section>
  `,
})
export class RegisterSearch {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  readonly taken = output<RegisterEntry>();
  protected readonly typed = signal('');
  protected readonly sought = signal('');
  protected readonly busy = signal(false);
  protected readonly fault = signal('');
  protected readonly simulated = signal(false);
  readonly #found = signal<readonly RegisterEntry[] | null>(null);
  protected readonly found = computed(() => this.#found());
  protected readonly day = (day: string) => dayWord(day, this.#garden.today());

  protected scanned(code: string): void {
    this.typed.set(code);
    void this.seek();
  }

  protected async seek(): Promise<void> {
    const q = this.typed().trim();
    this.fault.set('');
    this.#found.set(null);
    if (q.length < shortest) return this.fault.set('Type at least three letters or digits.');
    this.busy.set(true);
    this.sought.set(q);
    try {
      const { products, simulated } = await firstValueFrom(this.#api.labelRegister(this.#garden.summary().id, q));
      this.#found.set(products);
      this.simulated.set(simulated);
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}
