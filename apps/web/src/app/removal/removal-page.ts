import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Written } from '@field-nurse/contract';
import { susceptibility } from '@field-nurse/core/diagnosis';
import { removalSteps, sourceHunt } from '@field-nurse/core/ground';
import { daysBetween } from '@field-nurse/core/timing';
import { mustReport } from '@field-nurse/core/treatment';
import { Store } from '@ngrx/store';
import { ApiError } from '../api/api-error';
import { workingConditions } from '../cases/case-diagnoses';
import { CaseHead } from '../cases/case-head';
import { Garden } from '../gardens/garden';
import { PhotoTaker } from '../gardens/photo-taker';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { hidingOf } from '../recovery/case-facts';
import { ContactTimer } from '../shared/contact-timer';
import { dayWord, instantWord } from '../shared/days';
import { advice } from '../shared/words';
import { sessionFeature } from '../store/session-state';
import { sourceWord, stepWords } from './removal-words';
import type { RemovalRules } from './removal-words';

const mostSources = 8;
const usualRules: RemovalRules = {
  authority: 'your plant-health authority',
  burning: 'check your local rules first.',
  disposal: 'Check your local rules; take nothing off the site before you know them.',
};

/** Taking plants out, step by step on a phone: who did what when, what must be called in first, and where it may have come from. */
@Component({
  selector: 'fn-removal-page',
  imports: [CaseHead, ContactTimer, MatButtonModule, PhotoTaker, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './removal-page.scss',
  templateUrl: './removal-page.html',
})
export class RemovalPage {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  protected readonly garden = inject(Garden);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly advice = advice;
  protected readonly refusal = signal('');
  protected readonly isBusy = signal(false);
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);

  protected readonly one = computed(() => this.garden.case(this.case()));
  protected readonly planting = computed(() => this.garden.planting(this.one()?.plantingId ?? ''));
  /** the newest of the case */
  protected readonly removal = computed(() =>
    this.garden
      .removals()
      .filter(({ caseId }) => caseId === this.case())
      .sort((a, b) => a.startedOn.localeCompare(b.startedOn))
      .at(-1),
  );
  readonly #condition = computed(() => this.#library.conditions().get(workingConditions(this.one()?.diagnoses ?? [])[0] ?? ''));
  readonly #region = computed(() => this.#library.known()?.regions.find(({ id }) => id === this.garden.summary().region));

  protected readonly mustCall = computed(() => {
    const [condition, region] = [this.#condition(), this.#region()];
    return (
      condition !== undefined &&
      region !== undefined &&
      mustReport(condition, { region, notListed: this.garden.summary().notListed }) !== 'no'
    );
  });
  protected readonly authority = computed(() => this.#region()?.authority ?? usualRules.authority);
  /** instant at which the disinfectant began to act */
  protected readonly startedAt = signal<string | undefined>(undefined);
  /** The clock goes by the device's own time. */
  protected startClock(): void {
    this.startedAt.set(new Date().toISOString());
  }

  protected readonly steps = computed(() => {
    const [condition, planting] = [this.#condition(), this.planting()];
    if (!planting) return [];
    const done = new Map((this.removal()?.done ?? []).map((step) => [step.step, step]));
    const { timeZone } = this.garden.summary();
    return removalSteps({
      mustReport: this.mustCall(),
      kind: condition?.kind ?? '',
      lastsInSoil: condition?.restYears !== undefined,
      setting: planting.setting,
      hiddenDays: condition ? hidingOf(condition, planting.setting).hiddenDays : 0,
    }).map((step) => {
      const ticked = done.get(step.code);
      return {
        ...step,
        ...stepWords(step, this.#region() ?? usualRules),
        done: ticked && `${instantWord(ticked.at, timeZone)}${ticked.by ? `, ${ticked.by}` : ''}`,
      };
    });
  });
  protected readonly isAllDone = computed(() => this.steps().every(({ done }) => done));
  /** what follows once it is out */
  protected readonly restWord = computed(() => {
    const years = this.#condition()?.restYears;
    return years ? `Its ground is then closed for ${years} years to what takes it: see Rests.` : '';
  });
  protected readonly sources = computed(() => {
    const [condition, planting] = [this.#condition(), this.planting()];
    if (!condition || !planting) return [];
    const today = this.garden.today();
    const plants = this.garden
      .plantings()
      .filter(({ endedOn }) => !endedOn)
      .flatMap((plant) => {
        const host = this.#library.hosts().get(plant.host);
        const sick = this.garden
          .cases()
          .some(
            ({ plantingId, closedOn, diagnoses }) =>
              plantingId === plant.id && !closedOn && workingConditions(diagnoses).includes(condition.id),
          );
        return host
          ? [
              {
                ...{ id: plant.id, placeId: plant.placeId, isSick: sick, takes: susceptibility(condition, host) },
                arrivedDaysAgo: plant.assumed.includes('plantedOn') || !plant.quarantine ? null : daysBetween(plant.plantedOn, today),
              },
            ]
          : [];
      });
    const places = this.garden.places().filter(({ endedOn }) => !endedOn);
    return sourceHunt(planting, plants, places)
      .slice(0, mostSources)
      .map(({ id, kind }) => {
        const plant = this.garden.planting(id);
        return {
          id,
          link: plant ? ['plantings', id] : ['ground', 'places', id],
          name: plant ? `${this.#library.hostName(plant.host)} ${plant.cultivar}`.trim() : (this.garden.place(id)?.name ?? ''),
          place: plant ? (this.garden.place(plant.placeId)?.name ?? '') : '',
          why: sourceWord(kind),
        };
      });
  });
  protected readonly day = (day: string) => dayWord(day, this.garden.today());

  protected async begin(typed: string): Promise<void> {
    const planting = this.planting();
    const plants = Math.max(1, Math.min(planting?.plants ?? 1, Math.round(Number(typed) || 1)));
    if (planting)
      await this.#write({
        caseId: this.case(),
        plantingId: planting.id,
        startedOn: this.garden.today(),
        plants,
        reported: '',
        done: [],
        photos: [],
        endedOn: null,
        note: '',
      });
  }

  protected tick(step: string): Promise<void> {
    const by = this.#person()?.name ?? '';
    return this.#change(({ done, ...value }) => ({
      ...value,
      done: done.some((one) => one.step === step)
        ? done.filter((one) => one.step !== step)
        : [...done, { step, at: this.garden.now(), by }],
    }));
  }

  protected reported = (reported: string): Promise<void> => this.#change((value) => ({ ...value, reported: reported.trim() }));
  protected photograph = (photos: readonly string[]): Promise<void> => this.#change((value) => ({ ...value, photos: [...photos] }));

  /** It is out: the case is closed, and the planting ends, or has fewer plants. */
  protected async finish(): Promise<void> {
    const [removal, one, planting] = [this.removal(), this.one(), this.planting()];
    if (!removal || !one || !planting) return;
    const today = this.garden.today();
    const { id, version, ...value } = removal;
    const { id: caseId, version: caseVersion, ...caseValue } = one;
    const record = this.garden.plantingRecord(planting.id)!;
    const { id: plantingId, version: plantingVersion, ...plantingValue } = record;
    const isAll = removal.plants >= record.plants;
    this.refusal.set('');
    this.isBusy.set(true);
    try {
      await this.#records.saveAllOrKeep(
        [
          { subject: 'removals', id, version, value: { ...value, endedOn: today } },
          { subject: 'cases', id: caseId, version: caseVersion, value: { ...caseValue, closedOn: today, outcome: 'removed' } },
          {
            subject: 'plantings',
            id: plantingId,
            version: plantingVersion,
            value: isAll
              ? { ...plantingValue, events: [...record.events, { kind: 'ended', on: today }] }
              : { ...plantingValue, plants: record.plants - removal.plants },
          },
        ],
        'It is out, and the case is closed.',
        new Map([removal, one, record].map((known) => [known.id, known])),
      );
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.isBusy.set(false);
    }
  }

  protected print = (): void => window.print();

  async #change(change: (value: Written<'removals'>) => Written<'removals'>): Promise<void> {
    const removal = this.removal();
    if (!removal) return;
    const { id, version, ...value } = removal;
    await this.#write(change(value), { id, version });
  }

  async #write(
    value: Written<'removals'>,
    at: { readonly id: string; readonly version: number } = { id: crypto.randomUUID(), version: 0 },
  ): Promise<void> {
    this.refusal.set('');
    this.isBusy.set(true);
    try {
      await this.#records.saveOrQueue('removals', at.id, at.version, value, undefined, this.removal() ?? null);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.isBusy.set(false);
    }
  }
}
