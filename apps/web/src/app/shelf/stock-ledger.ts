import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { Product, StockMove } from '@field-nurse/contract';
import { stockLedger } from '@field-nurse/core/shelf';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { stockWord } from '../shared/units';
import { dayAt } from '@field-nurse/core/timing';
import { Submission } from '../shared/submission';
import { moveWords } from './shelf-words';

/** What came and went of a product, with what was left each time, and a line to write the next. */
@Component({
  selector: 'fn-stock-ledger',
  imports: [ReactiveFormsModule, RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './stock-ledger.scss',
  template: `
    @if (canWrite()) {
      <form class="fn-form" [formGroup]="form" (ngSubmit)="save()" novalidate>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>What happened</mat-label>
          <mat-select formControlName="kind">
            @for (kind of kinds; track kind[0]) {
              <mat-option [value]="kind[0]">{{ kind[1] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>How much, {{ product().measuredIn }}</mat-label>
          <input matInput type="number" step="any" formControlName="amount" />
          @if (form.controls.amount.invalid) {
            <mat-error>{{ form.controls.amount.errors?.['server'] ?? '0 or more.' }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Note</mat-label>
          <input matInput formControlName="note" autocomplete="off" />
        </mat-form-field>
        <div class="fn-actions"><button matButton="outlined" [disabled]="submission.busy()">Write it down</button></div>
      </form>
      @if (submission.refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
      <p class="fn-small">What is used when something is logged goes off by itself. “Counted” sets what is there.</p>
    }
    @if (rows().length > 0) {
      <table class="fn-table">
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">What</th>
            <th scope="col" class="number">Change</th>
            <th scope="col" class="number">Left</th>
          </tr>
        </thead>
        <tbody>
          @for (row of shown(); track row.id) {
            <tr>
              <td>{{ row.day }}</td>
              <td>
                @if (row.entry) {
                  <a [routerLink]="row.entry">{{ row.what }}</a>
                } @else {
                  {{ row.what }}
                }
                <span class="fn-small">{{ row.note }}</span>
              </td>
              <td class="number">{{ row.change }}</td>
              <td class="number" [class.below]="row.below">{{ row.left }}</td>
            </tr>
          }
        </tbody>
      </table>
      @if (rows().length > shown().length) {
        <button matButton type="button" (click)="all.set(true)">Show all {{ rows().length }}</button>
      }
    } @else {
      <p class="fn-small">Nothing was written down of it yet: how much there is is not known.</p>
    }
  `,
})
export class StockLedger {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #library = inject(Library);
  readonly product = input.required<Product>();
  protected readonly canWrite = computed(() => this.#garden.canWrite() && !this.product().endedOn);
  protected readonly kinds = Object.entries(moveWords);
  protected readonly all = signal(false);
  protected readonly form = new FormGroup({
    kind: new FormControl<StockMove['kind']>('bought', { nonNullable: true }),
    amount: new FormControl<number | null>(null, [Validators.required, Validators.min(0), Validators.max(1e9)]),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
  });
  protected readonly submission = new Submission(this.form);

  protected readonly rows = computed(() => {
    const product = this.product();
    const isOf = ({ productId }: { readonly productId: string | null }) => productId === product.id;
    const { units, timeZone, id } = this.#garden.summary();
    const word = (amount: number) => stockWord(amount, product.measuredIn, units);
    return stockLedger(product, this.#garden.stockMoves().filter(isOf), this.#garden.applications().filter(isOf))
      .map(({ at, of, change, left }) => ({
        id: of.kind === 'move' ? of.move.id : of.use.id,
        day: dayWord(dayAt(at, timeZone), this.#garden.today()),
        what: of.kind === 'move' ? moveWords[of.move.kind] : `used: ${this.#usedOn(of.use.targets)}`,
        entry: of.kind === 'use' ? ['/g', id, 'log', of.use.id] : null,
        note: of.kind === 'move' ? of.move.note : of.use.appliedBy,
        change: change === null ? 'not known' : `${change > 0 ? '+' : change < 0 ? '−' : ''}${word(Math.abs(change))}`,
        left: word(left),
        below: left < 0,
      }))
      .reverse();
  });
  protected readonly shown = computed(() => (this.all() ? this.rows() : this.rows().slice(0, 8)));

  #usedOn(targets: readonly { readonly plantingId: string }[]): string {
    const names = targets.map(({ plantingId }) => this.#library.hostName(this.#garden.planting(plantingId)?.host ?? ''));
    return [...new Set(names)].join(', ');
  }

  protected async save(): Promise<void> {
    const { kind, amount, note } = this.form.getRawValue();
    await this.submission.send(async () => {
      const value = { productId: this.product().id, movedAt: this.#garden.now(), kind, amount: amount!, note };
      await this.#records.save('stockMoves', crypto.randomUUID(), 0, value, `Written down: ${moveWords[kind]}.`);
      this.form.reset({ kind });
    });
  }
}
