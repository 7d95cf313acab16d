import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { addDays, seasonOf } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { deepEqual } from 'fast-equals';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { caseInEdit } from '../cases/case-edits';
import { CaseHead } from '../cases/case-head';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { GardenActions } from '../store/garden-state';
import { advice, stanceWords } from '../shared/words';
import type { CaseFacts } from './about-today';
import { AboutToday } from './about-today';
import { AssumedElsewhere } from './assumed-elsewhere';
import { caseOptions } from '../cases/case-options';
import { packInHand } from '../gardens/pack-in-hand';
import type { JudgedIntervention } from './ladder';
import { firstChoice, ladderOf } from './ladder';
import { newPlan, oneByOne } from './new-plan';
import { OptionCard } from './option-card';
import { usualRogueQuestion } from './rogue-question';
import { RogueTree } from './rogue-tree';
import { SchoolsPanel } from './schools';
import { TradeOff } from './trade-off';
import { TodaysWeather } from '../cases/todays-weather';

const usualLookDays = 7;

/** What can be done for this planting today: the ladder, each rung with what fits and what is ruled out. */
@Component({
  selector: 'fn-options-page',
  imports: [RouterLink, MatButtonModule, AboutToday, AssumedElsewhere, CaseHead, OptionCard, RogueTree, SchoolsPanel, TradeOff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './options-page.scss',
  templateUrl: './options-page.html',
})
export class OptionsPage {
  readonly #records = inject(Records);
  readonly #library = inject(Library);
  readonly #router = inject(Router);
  readonly #weather = inject(TodaysWeather);
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  protected readonly garden = inject(Garden);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly edits = caseInEdit(this.case);
  protected readonly options = caseOptions(this.case);
  protected readonly advice = advice;
  protected readonly refusal = signal('');

  protected readonly stance = computed(() => stanceWords[this.edits.stored()?.stance ?? this.garden.summary().stance].word);
  protected readonly rungs = computed(() => ladderOf(this.options.answer()?.options ?? []));
  protected readonly first = computed(() => firstChoice(this.options.answer()?.options ?? [])?.id);
  protected readonly conditions = computed(() => this.options.situation()?.conditions ?? []);
  protected readonly notifiable = computed(() => this.options.answer()?.alerts.find(({ code }) => code === 'notifiable'));
  protected readonly askFirst = computed(() => this.options.answer()?.alerts.find(({ code }) => code === 'ask-first'));
  protected readonly isOwner = computed(() => this.garden.summary().role === 'owner');
  /** "Cabbage white: caterpillars, by what was seen (92 %)." */
  protected readonly stages = computed(() =>
    (this.options.answer()?.stages ?? []).map(
      ({ condition, stage, probability }) =>
        `${this.#library.conditionName(condition)}: ${stage.replaceAll('-', ' ')}, by what was seen (${Math.round(probability * 100)} %).`,
    ),
  );
  protected readonly canWrite = computed(() => this.garden.canWrite() && !this.options.case()?.closedOn);
  protected readonly openCount = computed(() => this.rungs().reduce((sum, { open }) => sum + open.length, 0));
  /** whether the library can reckon a season of what it may be */
  protected readonly hasSeason = computed(() => {
    const models = this.#library.index()?.seasonModels ?? [];
    const of = this.options.situation()?.conditions ?? [];
    return models.some(({ kind, conditions }) => kind !== 'ground' && conditions.some((id) => of.includes(id)));
  });
  protected readonly ruledOutCount = computed(() => this.rungs().reduce((sum, { ruledOut }) => sum + ruledOut.length, 0));

  /** figures to begin with for taking out against treating */
  protected readonly rogue = computed(
    () => {
      const [answer, situation, sick] = [this.options.answer(), this.options.situation(), this.edits.stored()];
      const host = this.#library.hosts().get(situation?.host ?? '');
      const conditions = this.conditions().flatMap((id) => this.#library.conditions().get(id) ?? []);
      return answer && situation && sick && host ? usualRogueQuestion(sick, situation, host, conditions, answer) : undefined;
    },
    { equal: deepEqual },
  );

  protected names = (ids: readonly string[]) => ids.map((id) => this.#library.conditionName(id)).join(', ');

  /** Keep for this garden what the authority answered: these suspects are not listed here. */
  protected async noteNotListed(): Promise<void> {
    const { id, role: _, fixedNow: __, ...settings } = this.garden.summary();
    const notListed = [...new Set([...settings.notListed, ...this.conditions()])];
    try {
      const garden = await firstValueFrom(this.#api.changeGarden(id, { ...settings, notListed }));
      this.#store.dispatch(GardenActions.settingsChanged({ garden }));
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }

  protected change(facts: Partial<CaseFacts>): void {
    this.edits.change((value) => ({ ...value, ...facts }));
  }

  /** Note the decision, with the rounds that it leads to, then go where the work is: to the mix, to the log, or back to the looks. */
  protected async choose({ id, name, verdict }: JudgedIntervention): Promise<void> {
    if (verdict === 'ruled-out') return;
    const today = this.garden.today();
    const nextAssessmentOn = addDays(today, this.#lookDays());
    try {
      // The server judges by what it knows: what was just said of the case goes before.
      await this.edits.write();
      const weather = this.#weather.said(this.options.planting()?.setting);
      // What was decided before has its rounds already.
      const known = this.garden.planOf(this.case(), id);
      const plan = known ? undefined : this.#planFor(id);
      const planId = known?.id ?? (plan ? crypto.randomUUID() : null);
      const value = { caseId: this.case(), intervention: id, decidedOn: today, nextAssessmentOn, weather, planId, note: '' };
      await this.#records.saveAll(
        [
          ...(plan ? [{ subject: 'treatmentPlans' as const, id: planId!, value: plan }] : []),
          { subject: 'decisions', id: crypto.randomUUID(), value },
        ],
        `Decided: ${name}.`,
      );
      const entry = this.#library.interventions().get(id);
      const base = ['/g', this.garden.summary().id];
      if (entry?.rate) await this.#router.navigate([...base, 'cases', this.case(), 'mix', id]);
      else if (entry?.rung === 'none') await this.#router.navigate([...base, 'cases', this.case(), 'recovery']);
      else await this.#router.navigate([...base, 'log', 'new'], { queryParams: { case: this.case(), intervention: id } });
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }

  /** The rounds that follow from choosing it. */
  #planFor(id: string) {
    const [entry, planting, today] = [this.#library.interventions().get(id), this.options.planting(), this.garden.today()];
    const host = this.#library.hosts().get(planting?.host ?? '');
    if (!entry || !planting || !host) return undefined;
    const best = this.options.answer()?.options.find((one) => one.id === id)?.products[0]?.id;
    const pack = this.garden.shelf().find(({ product }) => product.id === best);
    const season = seasonOf(today, this.garden.seasonStart()).from;
    return newPlan({
      entry,
      conditions: this.conditions().flatMap((one) => this.#library.conditions().get(one) ?? []),
      caseId: this.case(),
      plantingId: planting.id,
      today,
      card: pack ? packInHand(entry, pack, host, this.conditions(), planting.plants).card : entry,
      oneByOne: oneByOne(entry, this.options.situation()?.schools ?? []),
      used: this.garden.appliedDays(planting.id).filter(({ intervention, appliedOn }) => intervention === id && appliedOn >= season).length,
    });
  }

  #lookDays(): number {
    const days = this.conditions().map((id) => this.#library.conditions().get(id)?.recovery.lookAgainDays ?? usualLookDays);
    return Math.min(...days);
  }
}
