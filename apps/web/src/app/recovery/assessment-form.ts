import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSelectModule } from '@angular/material/select';
import { MatSliderModule } from '@angular/material/slider';
import type { Assessment, CasePart } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import type { Host, Sign } from '@field-nurse/library';
import { Drawing } from '../drawing/drawing';
import { EyeReading } from '../drill/eye-reading';
import { Garden } from '../gardens/garden';
import { DayField } from '../gardens/day-field';
import { PhotoTaker } from '../gardens/photo-taker';
import { fromToday } from '../shared/days';
import { growthWords } from '../shared/words';
import { LeafTally } from './leaf-tally';
import { mostOfAll, numberFault, NumberField, numberOf } from './number-field';

export type LookValue = Omit<Assessment, 'id' | 'version' | 'caseId' | 'plantingId'>;
/** What the rhythm of the looks follows from. */
export type LookState = Pick<LookValue, 'severity' | 'count' | 'newGrowth' | 'assessedOn'>;

const scales = ['plant', 'leaf', 'stand'] as const;
const countedOns = ['leaf', 'plant', 'shoot'] as const;
const asTyped = (number: number | null | undefined) => String(number ?? '');

/** One recovery look: how much is marked, how many are counted, how the new growth is, and when to look again. */
@Component({
  selector: 'fn-assessment-form',
  imports: [
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatRadioModule,
    MatSelectModule,
    MatSliderModule,
    DayField,
    Drawing,
    EyeReading,
    LeafTally,
    NumberField,
    PhotoTaker,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './look-form.scss',
  templateUrl: './assessment-form.html',
})
export class AssessmentForm {
  protected readonly garden = inject(Garden);
  readonly host = input<Host>();
  /** the sign that is drawn as bad as the slider says */
  readonly sign = input<Sign>();
  /** a look to correct; none for a new one */
  readonly look = input<Assessment>();
  /** severity of the look before */
  readonly before = input<number>();
  /** parts of the stand that are looked at apart */
  readonly parts = input<readonly CasePart[]>([]);
  /** in the planting */
  readonly plants = input(1);
  /** days to the next look from this state of the plant */
  readonly nextIn = input.required<(look: LookState) => number>();
  readonly busy = input(false);
  readonly saved = output<LookValue>();
  readonly left = output();
  protected readonly growths = Object.entries(growthWords);
  protected readonly scales = scales;
  protected readonly countedOns = countedOns;
  protected readonly numberOf = numberOf;

  /** the whole, one plant, or a part by its id */
  protected readonly whereLooked = linkedSignal(() => this.look()?.partId ?? (this.look()?.plant ? 'plant' : 'whole'));
  protected readonly plant = linkedSignal(() => asTyped(this.look()?.plant));
  protected readonly scale = linkedSignal<LookValue['scale']>(() => this.look()?.scale ?? 'plant');
  protected readonly severity = linkedSignal(() => this.look()?.severity ?? this.before() ?? 0);
  protected readonly counts = linkedSignal<readonly number[]>(() => this.look()?.counts ?? []);
  protected readonly countedOn = linkedSignal<LookValue['countedOn']>(() => (this.look()?.counts.length ? this.look()!.countedOn : 'leaf'));
  protected readonly count = linkedSignal(() => {
    const counts = this.counts();
    return counts.length > 0 ? String(counts.reduce((sum, one) => sum + one, 0)) : asTyped(this.look()?.count);
  });
  protected readonly plantsLooked = linkedSignal(() => asTyped(this.look()?.plantsLooked));
  protected readonly plantsMarked = linkedSignal(() => asTyped(this.look()?.plantsMarked));
  protected readonly flowers = linkedSignal(() => asTyped(this.look()?.flowers));
  protected readonly photos = linkedSignal<readonly string[]>(() => this.look()?.photos ?? []);
  protected readonly assessedOn = linkedSignal(() => this.look()?.assessedOn ?? this.garden.today());
  protected readonly newGrowth = linkedSignal<Assessment['newGrowth']>(() => this.look()?.newGrowth ?? 'unknown');
  protected readonly note = linkedSignal(() => this.look()?.note ?? '');
  readonly #proposed = computed(() => addDays(this.assessedOn() || this.garden.today(), this.nextIn()(this.#state())));
  protected readonly nextAssessmentOn = linkedSignal(() => (this.look() ? (this.look()!.nextAssessmentOn ?? '') : this.#proposed()));
  protected readonly proposal = computed(() => `${fromToday(this.nextAssessmentOn(), this.garden.today())}`);
  /** more than the usual was told of the look that is corrected, or a part is looked at: parts are compared by counts */
  protected readonly hasMore = computed(
    () =>
      this.counts().length > 0 ||
      this.photos().length > 0 ||
      this.plantsLooked() !== '' ||
      !['whole', 'plant'].includes(this.whereLooked()),
  );

  protected readonly isFaulty = computed(() => {
    const looked = numberOf(this.plantsLooked());
    return (
      [
        numberFault(this.count(), 0, mostOfAll),
        numberFault(this.plantsLooked(), 1, this.plants()),
        numberFault(this.plantsMarked(), 0, looked ?? 0),
        numberFault(this.flowers(), 0, mostOfAll),
        this.whereLooked() === 'plant' ? numberFault(this.plant() || '0', 1, this.plants()) : '',
      ].join('') !== ''
    );
  });

  protected setScale(event: Event): void {
    this.scale.set((event.target as HTMLSelectElement).value as LookValue['scale']);
  }

  #state(): LookState {
    return { severity: this.severity(), count: numberOf(this.count()), newGrowth: this.newGrowth(), assessedOn: this.assessedOn() };
  }

  protected save(): void {
    // The day's own field says what is wrong with it.
    if (this.isFaulty() || !this.assessedOn() || this.busy()) return;
    const where = this.whereLooked();
    this.saved.emit({
      ...this.#state(),
      partId: where === 'whole' || where === 'plant' ? null : where,
      plant: where === 'plant' ? numberOf(this.plant()) : null,
      scale: this.scale(),
      counts: [...this.counts()],
      countedOn: this.counts().length > 0 ? this.countedOn() : 'plant',
      plantsLooked: numberOf(this.plantsLooked()),
      plantsMarked: numberOf(this.plantsMarked()),
      flowers: numberOf(this.flowers()),
      photos: [...this.photos()],
      nextAssessmentOn: this.nextAssessmentOn() || null,
      note: this.note().trim(),
    });
  }
}
