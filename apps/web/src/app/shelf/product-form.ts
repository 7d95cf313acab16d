import { FormControl, FormGroup, Validators } from '@angular/forms';
import type { Product, RegisterEntry, Written } from '@field-nurse/contract';

const text = (most = 120) => new FormControl('', { nonNullable: true, validators: [Validators.maxLength(most)] });
const above0 = () => new FormControl<number | null>(null, [Validators.min(0.000001), Validators.max(1e9)]);
const from0 = () => new FormControl<number | null>(null, [Validators.min(0), Validators.max(1e6)]);
const day = () => new FormControl<string | null>(null);
const choice = <T extends string>(value: T) => new FormControl<T>(value, { nonNullable: true });

/** The fields of a product. */
export const productForm = () =>
  new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    intervention: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    strengthAmount: above0(),
    strengthUnit: choice<'g/l' | 'percent' | 'IU/mg' | 'ITU/mg'>('percent'),
    form: choice<Product['form']>('liquid'),
    measuredIn: choice<Product['measuredIn']>('ml'),
    packAmount: above0(),
    densityGPerMl: new FormControl<number | null>(null, [Validators.min(0.05), Validators.max(25)]),
    registration: text(),
    barcode: new FormControl('', { nonNullable: true, validators: [Validators.pattern(/^\d{0,14}$/)] }),
    soldTo: choice<Product['soldTo']>('unknown'),
    batch: text(),
    boughtOn: day(),
    openedOn: day(),
    bestBefore: day(),
    price: from0(),
    keptIn: text(),
    lowAt: from0(),
    note: text(4000),
  });

export type ProductForm = ReturnType<typeof productForm>;

/** Fills the fields from a product that is known. */
export function fillProduct(form: ProductForm, { strength, ...known }: Product): void {
  form.patchValue({ ...known, ...(strength && { strengthAmount: strength.amount, strengthUnit: strength.unit }) });
}

/** Takes over what the register says of a product; what it does not say stays as it was typed. */
export function fillFromRegister(form: ProductForm, entry: RegisterEntry): void {
  const { number, name, barcode, intervention, strength, form: kind, measuredIn, card } = entry;
  form.patchValue({
    name,
    registration: number,
    barcode,
    form: kind,
    measuredIn,
    soldTo: card.soldTo,
    ...(intervention && { intervention }),
    ...(strength && { strengthAmount: strength.amount, strengthUnit: strength.unit }),
  });
}

/** What the fields say, as it is kept. */
export function writtenProduct(form: ProductForm, known: Product | undefined): Written<'products'> {
  const { strengthAmount, strengthUnit, ...rest } = form.getRawValue();
  return {
    ...rest,
    strength: strengthAmount === null ? null : { amount: strengthAmount, unit: strengthUnit },
    endedOn: known?.endedOn ?? null,
  };
}
