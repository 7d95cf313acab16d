import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { RegisterEntry } from '@field-nurse/contract';
import { DayField } from '../gardens/day-field';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import type { WrittenRecord } from '../gardens/records';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { injectLeaveFor } from '../shared/leave-for';
import { Submission } from '../shared/submission';
import { fillFromRegister, fillProduct, productForm, writtenProduct } from './product-form';
import { RegisterSearch } from './register-search';
import { formWords, soldToWords } from './shelf-words';

/** Put a product on the shelf, or change what is said of it. What the register knows is taken from there. */
@Component({
  selector: 'fn-product-form-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    DayField,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    NameField,
    RegisterSearch,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './product-form-page.html',
})
export class ProductFormPage {
  readonly #records = inject(Records);
  readonly #leaveFor = injectLeaveFor();
  readonly #library = inject(Library);
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  /** id of the product to change; none for a new one */
  readonly product = input<string>();
  protected readonly known = computed(() => this.garden.products().find(({ id }) => id === this.product()));
  protected readonly forms = Object.entries(formWords);
  protected readonly soldTo = Object.entries(soldToWords);
  protected readonly form = productForm();
  protected readonly submission = new Submission(this.form);
  readonly #typed = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });
  protected readonly unit = computed(() => this.#typed().measuredIn ?? 'ml');
  /** what can be bought as a product comes first */
  protected readonly ingredients = computed(() => {
    const all = this.#library.index()?.interventions ?? [];
    return [...all].sort((a, b) => Number(b.rate !== undefined) - Number(a.rate !== undefined));
  });
  /** what was taken over from the register */
  protected readonly entry = signal<RegisterEntry | null>(null);

  #filled = false;
  constructor() {
    effect(() => {
      const known = this.known();
      if (!known || this.#filled) return;
      this.#filled = true;
      untracked(() => fillProduct(this.form, known));
    });
  }

  protected takeOver(entry: RegisterEntry): void {
    this.entry.set(entry);
    fillFromRegister(this.form, entry);
  }

  protected async save(): Promise<void> {
    const known = this.known();
    const id = known?.id ?? this.#newId;
    await this.submission.send(async () => {
      const value = writtenProduct(this.form, known);
      if (known) await this.#records.save('products', id, known.version, value, 'Product changed.');
      else await this.#records.saveAll([{ subject: 'products', id, value }, ...this.#withIt(id)], `${value.name} stands on the shelf.`);
      await this.#leaveFor(['/g', this.garden.summary().id, 'shelf', id]);
    });
  }

  /** The label that the register has, and a full pack. */
  #withIt(productId: string): WrittenRecord[] {
    const [entry, { packAmount }] = [this.entry(), this.form.getRawValue()];
    const card = entry && { ...entry.card, productId, photos: [], note: '' };
    const move = packAmount !== null && { productId, movedAt: this.garden.now(), kind: 'bought' as const, amount: packAmount, note: '' };
    return [
      ...(card ? [{ subject: 'labelCards' as const, id: crypto.randomUUID(), value: card }] : []),
      ...(move ? [{ subject: 'stockMoves' as const, id: crypto.randomUUID(), value: move }] : []),
    ];
  }
}
