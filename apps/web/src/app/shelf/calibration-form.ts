import { FormControl, FormGroup, Validators } from '@angular/forms';
import type { Sprayer } from '@field-nurse/contract';
import type { UnitSystem } from '../shared/units';
import { fromField } from '../shared/units';

const above0 = (most: number) => new FormControl<number | null>(null, [Validators.min(1e-6), Validators.max(most)]);

/** A run with clean water, as it is typed: water, way and width in the garden's units. */
export const calibrationForm = () =>
  new FormGroup({
    water: new FormControl<number | null>(null, [Validators.required, Validators.min(1e-6), Validators.max(2000)]),
    seconds: above0(86_400),
    way: above0(100_000),
    width: above0(50),
    plants: above0(100_000),
  });

const metresPerFoot = 0.3048;

/** What was typed as it is kept. @returns a sentence where something is missing */
export function calibrationOf(
  form: ReturnType<typeof calibrationForm>,
  on: string,
  system: UnitSystem,
): Sprayer['calibrations'][number] | string {
  const { water, seconds, way, width, plants } = form.getRawValue();
  if ((way === null) !== (width === null)) return 'How far you walked and how wide the spray fell belong together.';
  if (seconds === null && way === null && plants === null)
    return 'Say how long it took, how far and wide it went, or over how many plants.';
  const metres = (value: number | null) => (value === null ? null : Number(value) * (system === 'us' ? metresPerFoot : 1));
  const number = (value: number | null) => (value === null ? null : Number(value));
  return {
    on,
    litres: fromField('water', water, system)!,
    seconds: number(seconds),
    metres: metres(way),
    widthM: metres(width),
    plants: number(plants),
  };
}
