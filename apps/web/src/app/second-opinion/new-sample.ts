import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { ClinicOffer, DifferentialAnswer, SampleMaterial } from '@field-nurse/contract';
import { chanceWord } from '../cases/chance';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Submission } from '../shared/submission';
import { materialWords } from '../clinic/clinic-words';
import { mostTests, testsWorth } from '../clinic/tests-worth';

/** Register a sample: with which clinic, what is in it, and what it is tested for. */
@Component({
  selector: 'fn-new-sample',
  imports: [MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './new-sample.scss',
  templateUrl: './new-sample.html',
})
export class NewSample {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #newId = crypto.randomUUID();
  readonly case = input.required<string>();
  readonly answer = input.required<DifferentialAnswer>();
  readonly offers = input.required<readonly ClinicOffer[]>();
  readonly kept = output();

  protected readonly materials = Object.entries(materialWords) as [SampleMaterial, string][];
  protected readonly form = new FormGroup({
    clinic: new FormControl<string | null>(null),
    clinicName: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(120)] }),
    material: new FormControl<SampleMaterial>('leaves', { nonNullable: true }),
    testFor: new FormControl<readonly string[]>([], {
      nonNullable: true,
      validators: [Validators.required, ({ value }: { value: string[] }) => (value.length > mostTests ? { most: true } : null)],
    }),
  });
  protected readonly submission = new Submission(this.form);
  readonly #value = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  /** the clinic that is chosen: the first one until somebody chooses; none for another */
  readonly #clinic = linkedSignal<string | null>(() => this.offers()[0]?.id ?? null);
  protected readonly offer = computed(() => this.offers().find(({ id }) => id === this.#clinic()));
  protected readonly chosen = computed(() => this.#value().testFor ?? []);
  protected readonly rows = computed(() => testsWorth(this.answer(), this.offer()));
  protected readonly chance = chanceWord;
  protected readonly most = mostTests;
  protected readonly clinicId = this.#clinic.asReadonly();

  protected choose(clinic: string | null): void {
    this.#clinic.set(clinic);
    this.form.controls.testFor.setValue([]);
  }

  protected tick(condition: string, on: boolean): void {
    const others = this.chosen().filter((one) => one !== condition);
    this.form.controls.testFor.setValue(on ? [...others, condition] : others);
  }

  protected async register(): Promise<void> {
    const { clinicName, material, testFor } = this.form.getRawValue();
    const offer = this.offer();
    // A name counts for another clinic only: what was wrong with it before the clinics were known, or another one was chosen, is over.
    const name = this.form.controls.clinicName;
    if (offer) name.reset();
    else if (!clinicName.trim()) name.setErrors({ required: true });
    await this.submission.send(async () => {
      const value = {
        caseId: this.case(),
        clinic: offer?.id ?? null,
        clinicName: offer?.name ?? clinicName.trim(),
        material,
        testFor: [...testFor],
        registeredOn: this.#garden.today(),
        packed: [],
        sentOn: null,
        results: [],
        reportedOn: null,
        note: '',
      };
      await this.#records.save('clinicSamples', this.#newId, 0, value, 'Sample registered.');
      this.kept.emit();
    });
  }
}
