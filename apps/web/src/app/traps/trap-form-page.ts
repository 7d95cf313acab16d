import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { Trap, Written } from '@field-nurse/contract';
import type { Point } from '@field-nurse/core/ground';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { DayField } from '../gardens/day-field';
import { injectLeaveFor } from '../shared/leave-for';
import { Submission } from '../shared/submission';
import { SpotPicker } from './spot-picker';
import { trapCautions, trapKindWords } from './trap-words';

const caught = new Set(['insect', 'mollusc', 'vertebrate']);

/** Set a trap, or change what is said of it. */
@Component({
  selector: 'fn-trap-form-page',
  imports: [ReactiveFormsModule, RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, SpotPicker, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './trap-form-page.html',
})
export class TrapFormPage implements OnInit {
  readonly #records = inject(Records);
  readonly #leaveFor = injectLeaveFor();
  readonly #library = inject(Library);
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  /** id of the trap to change; none for a new one */
  readonly trap = input<string>();
  protected readonly known = computed(() => this.garden.traps().find(({ id }) => id === this.trap()));
  protected readonly kinds = Object.entries(trapKindWords);
  protected readonly point = signal<Point | null>(null);
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    kind: new FormControl<Trap['kind']>('sticky-card', { nonNullable: true }),
    placeId: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    target: new FormControl<string | null>(null),
    spot: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(120)] }),
    from: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
    weeklyLevel: new FormControl<number | null>(null, [Validators.min(0.1), Validators.max(100_000)]),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
  });
  protected readonly submission = new Submission(this.form);
  readonly #kind = toSignal(this.form.controls.kind.valueChanges, { initialValue: this.form.controls.kind.value });
  protected readonly caution = computed(() => trapCautions[this.#kind()]);
  /** troubles with a level for this kind of trap first */
  protected readonly targets = computed(() => {
    const all = [...this.#library.conditions().values()].filter(({ kind }) => caught.has(kind));
    const fits = (one: (typeof all)[number]) =>
      one.levels.some(({ measure, trap }) => measure === 'trap-per-week' && trap === this.#kind());
    return all.sort((a, b) => Number(fits(b)) - Number(fits(a)) || a.name.localeCompare(b.name));
  });

  ngOnInit(): void {
    const known = this.known();
    if (known) this.form.patchValue({ ...known, spot: known.spots.at(-1)!.name, from: known.spots.at(-1)!.from });
    else this.form.controls.placeId.setValue(this.garden.places().find(({ endedOn }) => !endedOn)?.id ?? '');
  }

  protected async save(): Promise<void> {
    const known = this.known();
    await this.submission.send(async () => {
      const id = known?.id ?? this.#newId;
      await this.#records.save('traps', id, known?.version ?? 0, this.#value(), known ? 'Trap changed.' : 'Trap set.');
      await this.#leaveFor(['/g', this.garden.summary().id, 'traps', id]);
    });
  }

  #value(): Written<'traps'> {
    const { spot, from, weeklyLevel, ...rest } = this.form.getRawValue();
    const known = this.known();
    return {
      ...rest,
      weeklyLevel: weeklyLevel === null ? null : Number(weeklyLevel),
      spots: known?.spots ?? [
        { from, name: spot.trim() || this.garden.place(rest.placeId)!.name, x: this.point()?.x ?? null, y: this.point()?.y ?? null },
      ],
      pauses: known?.pauses ?? [],
      endedOn: known?.endedOn ?? null,
    };
  }
}
