import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { DayField } from '../gardens/day-field';
import { Garden } from '../gardens/garden';
import { PhotoTaker } from '../gardens/photo-taker';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { injectLeaveFor } from '../shared/leave-for';
import { Submission } from '../shared/submission';
import { unitWord } from '../shared/units';
import { protectWords, settingWords } from '../shared/words';
import { apartForm, cardForm, fillCard, lineForm, perUnits, rateUnits, writtenCard } from './card-form';
import { familyWord } from './family-words';
import { soldToWords } from './shelf-words';

/** Copy a label from the pack, with its photo beside the fields; or correct the copy. */
@Component({
  selector: 'fn-card-form-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    DayField,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    NameField,
    PhotoTaker,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './card-form-page.scss',
  templateUrl: './card-form-page.html',
})
export class CardFormPage {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #leaveFor = injectLeaveFor();
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  /** id of the product in the address */
  readonly product = input.required<string>();
  protected readonly one = computed(() => this.garden.products().find(({ id }) => id === this.product()));
  readonly #cards = computed(() => this.garden.labelCards().filter(({ productId }) => productId === this.product()));
  protected readonly known = computed(() => this.#cards().find(({ source }) => source === 'copied'));
  protected readonly register = computed(() => this.#cards().find(({ source }) => source === 'register'));
  protected readonly photos = signal<readonly string[]>([]);
  protected readonly form = cardForm(this.garden.today());
  protected readonly submission = new Submission(this.form);
  protected readonly rateUnits = rateUnits.map((unit) => [unit, unitWord(unit)] as const);
  protected readonly perUnits = perUnits.map((unit) => [unit, unit === 'plant' ? 'plants' : unitWord(unit)] as const);
  protected readonly settings = Object.entries(settingWords);
  protected readonly protection = Object.entries(protectWords);
  protected readonly soldTo = Object.entries(soldToWords);

  protected readonly plants = computed(() => {
    const hosts = this.#library.index()?.hosts ?? [];
    const families = [...new Set(hosts.map(({ family }) => family))];
    return [...hosts, ...families.map((id) => ({ id, name: familyWord(id), names: [id] }))];
  });
  protected readonly troubles = computed(() => this.#library.index()?.conditions ?? []);

  #filled = false;
  constructor() {
    effect(() => {
      const [one, known] = [this.one(), this.known()];
      if (!one || this.#filled) return;
      this.#filled = true;
      untracked(() => {
        // What is weighed has its rate in grams.
        if (one.measuredIn === 'g') this.form.controls.lines.at(0).controls.unit.setValue('g');
        if (!known) return;
        fillCard(this.form, known);
        this.photos.set(known.photos);
      });
    });
  }

  /** The register's figures as a first draft: what is printed on the pack is held against it. */
  protected draft(): void {
    const { source: _, readOn: __, ...card } = this.register()!;
    fillCard(this.form, card);
  }

  /** Another line that says the same but of another plant: most of a label repeats itself. */
  protected another(): void {
    const { lines } = this.form.controls;
    const next = lineForm();
    const last = lines.at(-1);
    if (last) next.patchValue({ ...last.getRawValue(), host: '', target: '' });
    lines.push(next);
    setTimeout(() => document.querySelector<HTMLInputElement>('.line:last-of-type input')?.focus());
  }

  protected readonly ingredients = computed(() => this.#library.index()?.interventions ?? []);
  protected keepApart(): void {
    this.form.controls.apartFrom.push(apartForm());
  }

  protected drop(index: number): void {
    this.form.controls.lines.removeAt(index);
  }

  protected async save(): Promise<void> {
    const known = this.known();
    await this.submission.send(async () => {
      const value = writtenCard(this.form, this.product(), this.photos());
      const said = known ? 'The copy is corrected.' : 'The label is copied, and counts from now on.';
      await this.#records.save('labelCards', known?.id ?? this.#newId, known?.version ?? 0, value, said);
      await this.#leaveFor(['/g', this.garden.summary().id, 'shelf', this.product()]);
    });
  }
}
