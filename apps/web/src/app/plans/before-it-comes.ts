import { ChangeDetectionStrategy, Component, computed, inject, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { OptionsAnswer } from '@field-nurse/contract';
import { comingSights } from '@field-nurse/core/planning';
import { addDays, daysBetween } from '@field-nurse/core/timing';
import { treatmentQuestion } from '@field-nurse/core/treatment';
import { deepEqual } from 'fast-equals';
import { ApiError } from '../api/api-error';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { dayWord } from '../shared/days';

type Option = OptionsAnswer['options'][number];

const lookAheadDays = 28;
const mostShown = 6;
const mostOptions = 3;
// From its beginning to three weeks past its usual day it is kept off.
const keptOffDays = 42;
const usualBetweenDays = 14;
const mostRounds = 8;
const diseases = new Set(['fungus', 'oomycete', 'bacterium']);
// What is done before there is a case knows nothing of one.
const noCase = { stage: null, hidden: null, helpersSeen: false, stance: null, schools: [], findings: [] } as const;

/** Troubles of earlier years that are due again, each with what keeps it off, to be planned before there is a case. */
@Component({
  selector: 'fn-before-it-comes',
  imports: [MatButtonModule, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    h2 {
      margin-top: 28px;
    }
    ul {
      list-style: none;
    }
    li {
      padding: 10px 0;
      border-top: 1px solid var(--fn-line);
    }
  `,
  template: `
    @if (coming().length > 0) {
      <section aria-labelledby="before">
        <h2 id="before">Before it comes</h2>
        <ul>
          @for (one of coming(); track one.planting + one.condition) {
            <li>
              <b>{{ one.name }}</b>, <fn-planting-title [planting]="one.planting" />
              <p class="fn-small">{{ one.words }}</p>
              @if (garden.canWrite()) {
                <div class="fn-actions">
                  @for (option of one.options; track option.id) {
                    <button matButton="outlined" type="button" (click)="plan(one, option)">Plan: {{ option.name }}</button>
                  } @empty {
                    @if (!isJudging()) {
                      <span class="fn-small">Nothing that keeps it off is open here now.</span>
                    }
                  }
                </div>
              }
            </li>
          }
        </ul>
        @if (refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
      </section>
    }
  `,
})
export class BeforeItComes {
  readonly #calc = inject(Calc);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  protected readonly refusal = signal('');

  readonly #sights = computed(
    () => {
      const planned = this.garden.openPlans();
      return comingSights(this.garden.plantings(), this.garden.caseLines(), this.garden.today(), lookAheadDays)
        .filter(({ planting, condition }) => !planned.some((one) => one.plantingId === planting && one.against.includes(condition)))
        .slice(0, mostShown);
    },
    { equal: deepEqual },
  );
  readonly #judged = resource({
    params: () => this.#sights(),
    loader: ({ params }) => Promise.all(params.map(({ planting, condition }) => this.#optionsFor(planting, condition))),
  });
  protected readonly isJudging = computed(() => this.#judged.isLoading());
  protected readonly coming = computed(() => {
    const options = this.#judged.hasValue() ? this.#judged.value() : undefined;
    const today = this.garden.today();
    return this.#sights().map((one, i) => ({
      ...one,
      name: this.#library.conditionName(one.condition),
      words: `First seen about ${dayWord(one.expectedOn, today)} in ${one.years.join(', ')}. ${
        one.beginOn <= today ? 'Begin now' : `Begin by ${dayWord(one.beginOn, today)}`
      }, before it is there.`,
      options: options?.[i] ?? [],
    }));
  });

  /** What may be done on the planting now and acts before there is anything to cure, best first. */
  async #optionsFor(plantingId: string, condition: string): Promise<readonly Option[]> {
    const planting = this.garden.planting(plantingId);
    if (!planting) return [];
    const question = treatmentQuestion({
      on: this.garden.today(),
      conditions: [condition],
      case: noCase,
      planting,
      tests: this.garden.testSprays().filter((one) => one.plantingId === plantingId),
      applied: this.garden.appliedDays(plantingId),
      garden: { ...this.garden.summary(), seasonStart: this.garden.seasonStart() },
      shelf: this.garden.atHand(),
      weather: null,
    })!;
    const { options } = await this.#calc.options(question);
    const kind = this.#library.conditions().get(condition)?.kind ?? '';
    return options
      .filter((one) => one.verdict !== 'ruled-out' && this.#keepsOff(one, diseases.has(kind)))
      .sort((a, b) => Number(b.rung === 'barrier') - Number(a.rung === 'barrier'))
      .slice(0, mostOptions);
  }

  /** A barrier, a helper that waits, and against a disease what stays on the leaf for days; a pest that is not there yet is not sprayed. */
  #keepsOff({ id, rung }: Option, isDisease: boolean): boolean {
    const entry = this.#library.interventions().get(id);
    if (!entry || entry.restricted) return false;
    return rung === 'barrier' || entry.release === 'animals' || (isDisease && entry.residualDays > 0);
  }

  protected async plan(
    { planting, condition, beginOn, expectedOn }: ReturnType<typeof this.coming>[number],
    { id, name }: Option,
  ): Promise<void> {
    const [today, entry] = [this.garden.today(), this.#library.interventions().get(id)];
    const startsOn = beginOn < today ? today : beginOn;
    const betweenDays = entry?.repeatDays?.[0] ?? usualBetweenDays;
    const days = Math.max(0, Math.min(keptOffDays, daysBetween(startsOn, addDays(expectedOn, keptOffDays / 2))));
    // What stands there, like a mesh, is put up once.
    const rounds = entry?.repeatDays ? Math.min(mostRounds, entry.seasonMax ?? mostRounds, 1 + Math.floor(days / betweenDays)) : 1;
    const value = {
      plantingId: planting,
      caseId: null,
      against: [condition],
      interventions: [id],
      startsOn,
      rounds,
      betweenDays,
      endedOn: null,
      note: 'before it comes',
    };
    this.refusal.set('');
    try {
      await this.#records.save('treatmentPlans', crypto.randomUUID(), 0, value, `Planned: ${name}, from ${dayWord(startsOn, today)}.`);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }
}
