import { FormArray, FormControl, FormGroup, Validators } from '@angular/forms';
import type { ValidatorFn } from '@angular/forms';
import type { Application, Written } from '@field-nurse/contract';
import { clockAt } from '@field-nurse/core/timing';
import { fromField, toField } from '../shared/units';
import type { UnitSystem } from '../shared/units';
import { keptProduct, productOf } from './product-amount';
import type { ProductUnit } from './product-amount';

const number = (low: number, high: number) => new FormControl<number | null>(null, [Validators.min(low), Validators.max(high)]);
const text = (most: number) => new FormControl('', { nonNullable: true, validators: [Validators.maxLength(most)] });
const needed = (value: string, ...others: ValidatorFn[]) =>
  new FormControl(value, { nonNullable: true, validators: [Validators.required, ...others] });

/** One planting of an application: how many of its plants, and the case that it was done for. */
export type TargetGroup = FormGroup<{ plantingId: FormControl<string>; plants: FormControl<number>; caseId: FormControl<string | null> }>;

export const targetGroup = (plantingId: string, plants: number, caseId: string | null): TargetGroup =>
  new FormGroup({
    plantingId: new FormControl(plantingId, { nonNullable: true }),
    plants: new FormControl(plants, {
      nonNullable: true,
      validators: [Validators.required, Validators.min(1), Validators.max(100_000), Validators.pattern(/^\d+$/)],
    }),
    caseId: new FormControl(caseId),
  });

/** The fields of an application, in the units of the one who types. @param now - when it begins to say it was done */
export function applicationForm(now: string, timeZone: string) {
  const clock = clockAt(now, timeZone);
  return new FormGroup({
    plantings: new FormControl<string[]>([], { nonNullable: true, validators: [Validators.required] }),
    targets: new FormArray<TargetGroup>([]),
    intervention: needed(''),
    /** the pack that it came from */
    productId: new FormControl<string | null>(null),
    day: needed(clock.slice(0, 10)),
    time: needed(clock.slice(11)),
    productAmount: number(0, 1_000_000),
    productUnit: new FormControl<ProductUnit | null>(null),
    collected: new FormControl<number | null>(null, [Validators.min(0), Validators.max(1_000_000), Validators.pattern(/^\d+$/)]),
    waterL: number(0, 100_000),
    kit: text(120),
    coveredPart: text(200),
    appliedBy: needed('', Validators.maxLength(120)),
    temperatureC: new FormControl<number | null>(null),
    windKmh: number(0, 200),
    sky: text(120),
    why: text(4000),
  });
}

export type ApplicationForm = ReturnType<typeof applicationForm>;

/** Puts these rows in the place of those that are there. */
export function setTargets(form: ApplicationForm, rows: readonly TargetGroup[]): void {
  const { targets } = form.controls;
  targets.clear({ emitEvent: false });
  for (const row of rows) targets.push(row, { emitEvent: false });
  targets.updateValueAndValidity();
}

/** Fills the fields from an application that was logged. */
export function fillFrom(form: ApplicationForm, known: Application, timeZone: string, system: UnitSystem): void {
  const { amount, unit } = productOf(known);
  const clock = clockAt(known.appliedAt, timeZone);
  form.patchValue({
    ...known,
    plantings: known.targets.map(({ plantingId }) => plantingId),
    day: clock.slice(0, 10),
    time: clock.slice(11),
    productAmount: amount,
    productUnit: unit,
    coveredPart: known.targets[0]!.coveredPart,
    waterL: toField('water', known.waterL, system),
    temperatureC: toField('temperature', known.temperatureC, system),
    windKmh: toField('wind', known.windKmh, system),
    // The form's own list of rows is set apart.
    targets: [],
  });
  setTargets(
    form,
    known.targets.map(({ plantingId, plants, caseId }) => targetGroup(plantingId, plants, caseId)),
  );
}

/**
 * What the fields say, as it is kept.
 *
 * @param known - the application that is corrected: what the form does not ask for stays as it was
 */
export function writtenFrom(
  form: ApplicationForm,
  appliedAt: string,
  timeZone: string,
  system: UnitSystem,
  known: Application | undefined,
): Written<'applications'> {
  const {
    plantings: _,
    targets,
    day: __,
    time: ___,
    coveredPart,
    waterL,
    temperatureC,
    windKmh,
    productUnit,
    productAmount,
    ...rest
  } = form.getRawValue();
  const before = new Map(known?.targets.map((one) => [one.plantingId, one]));
  const partChanged = coveredPart !== known?.targets[0]?.coveredPart;
  return {
    ...rest,
    // A form knows minutes only: what was logged to the second stays while they do.
    appliedAt: known && clockAt(known.appliedAt, timeZone) === clockAt(appliedAt, timeZone) ? known.appliedAt : appliedAt,
    targets: targets.map(({ plantingId, plants, caseId }) => ({
      plantingId,
      caseId,
      plants: Number(plants),
      areaM2: before.get(plantingId)?.areaM2 ?? null,
      coveredPart: partChanged ? coveredPart : (before.get(plantingId)?.coveredPart ?? coveredPart),
    })),
    ...keptProduct(productAmount, productUnit),
    waterL: fromField('water', waterL, system, known?.waterL),
    temperatureC: fromField('temperature', temperatureC, system, known?.temperatureC),
    windKmh: fromField('wind', windKmh, system, known?.windKmh),
  };
}
