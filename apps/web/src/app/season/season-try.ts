import { computed, DestroyRef, inject, Injectable, linkedSignal, resource, signal } from '@angular/core';
import { susceptibility } from '@field-nurse/core/diagnosis';
import type { SeasonStanding, TriedSeason, TriedStrategy, TroubleModel } from '@field-nurse/core/season';
import { standingsOf, whatDecides } from '@field-nurse/core/season';
import { addDays, seasonOf, weatherDays } from '@field-nurse/core/timing';
import { treatmentQuestion } from '@field-nurse/core/treatment';
import { seasonModelOf, troubleOf } from '@field-nurse/library/season';
import { deepEqual } from 'fast-equals';
import { Calc } from '../calc/calc';
import { SeasonPool } from '../calc/season-pool';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { PastYears } from '../gardens/past-years';
import { Library } from '../library/library';
import { keepLatest } from '../shared/keep-latest';
import { GardenWeather } from '../weather/garden-weather';
import type { SetRound } from './own-strategies';
import { plannedRounds, setStrategy } from './own-strategies';
import { knownDays, seasonAsked } from './season-asked';
import type { SeasonFrom } from './season-asked';

/** A trouble on a planting. */
export interface SeasonSubject {
  readonly planting: string;
  readonly condition: string;
  /** the open case of it */
  readonly caseId: string | null;
}

export const runs = 200;
const particles = 200;
const seed = 1;
/** a week, as in "what if I am a week late?" */
const lateDays = 7;
export const ownPlan = 'own-plan';
export const ownMix = 'own-mix';
const usualAhead = 91;

/** Ways to meet a season, tried on one trouble of one planting: what is asked, and what came of it. */
@Injectable()
export class SeasonTry {
  readonly #calc = inject(Calc);
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #years = inject(PastYears);
  readonly #weather = inject(GardenWeather);
  readonly #pool = new SeasonPool();
  readonly #key = () => this.#garden.summary().id;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#pool.close());
    this.#years.refresh();
  }

  /** what the address asks for */
  readonly wanted = signal<Partial<SeasonSubject>>({});

  /** Troubles that can be tried: open cases first, then what each planting may get. */
  readonly subjects = computed<readonly SeasonSubject[]>(() => {
    const index = this.#library.index();
    if (!index) return [];
    const models = new Set(index.seasonModels.flatMap(({ kind, conditions }) => (kind === 'ground' ? [] : conditions)));
    const standing = this.#garden.plantings().filter(({ endedOn }) => !endedOn);
    const cases = this.#garden
      .cases()
      .flatMap(({ id, plantingId, closedOn, diagnoses }) =>
        closedOn || !standing.some((one) => one.id === plantingId)
          ? []
          : workingConditions(diagnoses).flatMap((condition) =>
              models.has(condition) ? [{ planting: plantingId, condition, caseId: id }] : [],
            ),
      );
    const others = standing.flatMap(({ id, host }) => {
      const plant = this.#library.hosts().get(host);
      return index.conditions.flatMap((condition) =>
        plant &&
        models.has(condition.id) &&
        ['often', 'sometimes'].includes(susceptibility(condition, plant)) &&
        !cases.some((one) => one.planting === id && one.condition === condition.id)
          ? [{ planting: id, condition: condition.id, caseId: null }]
          : [],
      );
    });
    return [...cases, ...others];
  });
  readonly subject = linkedSignal<SeasonSubject | undefined>(() => {
    const { planting, condition, caseId } = this.wanted();
    const all = this.subjects();
    return (
      all.find(
        (one) =>
          (!caseId || one.caseId === caseId) && (!planting || one.planting === planting) && (!condition || one.condition === condition),
      ) ?? (caseId ? undefined : all[0])
    );
  });

  readonly from = signal<SeasonFrom>('today');
  readonly ahead = signal(usualAhead);
  /** what is set in place of what is taken for granted; forgotten with the subject */
  readonly seen = linkedSignal<unknown, number | null>({ source: this.subject, computation: () => null });
  readonly plantValue = linkedSignal<unknown, number | null>({ source: this.subject, computation: () => null });
  readonly hourPrice = signal<number | null>(null);
  readonly model = linkedSignal<unknown, TroubleModel | null>({ source: this.subject, computation: () => null });

  readonly planting = computed(() => this.#garden.planting(this.subject()?.planting ?? ''));
  readonly host = computed(() => this.#library.hosts().get(this.planting()?.host ?? ''));
  readonly entry = computed(() => {
    const [index, subject] = [this.#library.index(), this.subject()];
    const entry = index && subject && seasonModelOf(index, subject.condition);
    return entry && entry.kind !== 'ground' ? entry : undefined;
  });
  readonly looks = computed(() =>
    this.#garden
      .assessments()
      .filter(({ caseId, plantingId }) => caseId === this.subject()?.caseId && plantingId === this.subject()?.planting),
  );
  readonly #known = computed(() => {
    const days = this.#years.answer()?.days ?? [];
    const hours = this.#weather.forecast();
    const { timeZone } = this.#garden.summary();
    const last = hours.at(-1)?.at.slice(0, 10);
    const from = addDays(this.#garden.today(), 1);
    return knownDays([...days, ...(last && last >= from ? weatherDays(hours, timeZone, from, last) : [])]);
  });
  /** the last day of which the weather is measured or forecast */
  readonly lastKnown = computed(() => this.#known().at(-1)?.day);

  readonly #season = computed(
    () => {
      const [subject, planting, host, entry] = [this.subject(), this.planting(), this.host(), this.entry()];
      if (!subject || !planting || !host || !entry || !this.#years.isReady()) return undefined;
      const today = this.#garden.today();
      const applied = this.#garden.appliedDays(planting.id);
      const options = treatmentQuestion({
        on: today,
        conditions: [subject.condition],
        case: { stage: null, hidden: null, helpersSeen: false, stance: null, schools: [], findings: [] },
        planting,
        tests: [],
        applied: [],
        garden: { ...this.#garden.summary(), seasonStart: this.#garden.seasonStart() },
        shelf: this.#garden.atHand(),
        weather: null,
      })!;
      return seasonAsked({
        condition: subject.condition,
        kind: entry.kind,
        actAt: (this.model() ?? entry).actAt,
        ...{ host, planting, options, applied, today },
        looks: subject.caseId ? this.looks() : [],
        known: this.#known(),
        seasonFrom: seasonOf(today, this.#garden.seasonStart()).from,
        from: this.from(),
        ahead: this.ahead(),
        isHere: subject.caseId !== null,
        seen: this.seen(),
        plantValue: this.plantValue(),
        hourPrice: this.hourPrice(),
        model: this.model(),
      });
    },
    { equal: deepEqual },
  );
  readonly asked = computed(() => this.#season()?.asked);
  readonly counted = computed(() => this.#season()?.looks ?? []);
  readonly #question = resource({ params: () => this.#season(), loader: ({ params }) => this.#calc.seasonQuestion(params.asked) });
  readonly question = keepLatest(this.#key, () => (this.#question.hasValue() ? this.#question.value() : undefined));

  readonly planned = computed(() => {
    const subject = this.subject();
    return subject && this.from() === 'today'
      ? plannedRounds(this.#garden.openPlans(), this.#garden.plannedApplications(), { ...subject, today: this.#garden.today() })
      : [];
  });
  /** rounds that the grower puts together; at first those of the garden's plan */
  readonly mix = linkedSignal<readonly SetRound[], readonly SetRound[]>({ source: this.planned, computation: () => [] });

  /** try doing nothing alone: how it goes on by itself */
  readonly isAlone = signal(false);
  readonly strategies = computed<readonly TriedStrategy[]>(() => {
    const question = this.question();
    if (!question) return [];
    if (this.isAlone()) return question.strategies.slice(0, 1);
    const own = setStrategy(ownPlan, 'The garden’s plan', this.planned(), question.actions);
    const mix = setStrategy(ownMix, 'Put together here', this.mix(), question.actions);
    return [...question.strategies, ...(own.actions.length > 0 ? [own] : []), ...(mix.actions.length > 0 ? [mix] : [])];
  });

  readonly #fit = resource({
    params: () => {
      const question = this.question();
      return question && this.counted().length > 0 ? { trial: question.trial, looks: this.counted() } : undefined;
    },
    loader: ({ params, abortSignal }) => this.#pool.fit(params.trial, params.looks, particles, seed, abortSignal),
  });
  readonly fitted = computed(() => (this.counted().length > 0 && this.#fit.hasValue() ? this.#fit.value() : undefined));
  readonly trial = computed(() => {
    const question = this.question();
    return question && (this.fitted() ? { ...question.trial, fitted: this.fitted() } : question.trial);
  });

  readonly #shares = signal<ReadonlyMap<string, number>>(new Map());
  readonly #tried = resource({
    params: () => {
      const [trial, strategies] = [this.trial(), this.strategies()];
      return trial && strategies.length > 0 && !this.#fit.isLoading() ? { trial, strategies } : undefined;
    },
    loader: ({ params: { trial, strategies }, abortSignal }) => {
      this.#shares.set(new Map());
      const told = (id: string, share: number) => this.#shares.update((all) => new Map(all).set(id, share));
      return this.#pool.run(trial, strategies, { runs, seed, signal: abortSignal, told });
    },
  });
  /** what came of each, the cheapest first */
  readonly tried = keepLatest<readonly TriedSeason[]>(this.#key, () =>
    this.#tried.hasValue() ? [...this.#tried.value()].sort((a, b) => a.cost - b.cost) : undefined,
  );
  readonly isWorking = computed(() => this.#question.isLoading() || this.#fit.isLoading() || this.#tried.isLoading());
  /** how much of the work is done, 0 to 1 */
  readonly progress = computed(() => {
    const all = this.strategies().length;
    return all === 0 ? 0 : [...this.#shares().values()].reduce((sum, one) => sum + one, 0) / all;
  });
  readonly fault = computed(() => (this.#question.error() ?? this.#fit.error() ?? this.#tried.error())?.message ?? this.#years.fault());

  readonly standings = computed<readonly SeasonStanding[]>(() => standingsOf(this.tried() ?? []));
  readonly standing = (id: string): SeasonStanding | undefined => this.standings().find((one) => one.id === id);
  readonly deciders = computed(() => {
    const [first, second] = this.tried() ?? [];
    return first && second ? whatDecides(first, second, seed, this.#chances(first.costs.length)) : [];
  });
  #chances(count: number) {
    const fitted = this.fitted();
    return fitted && Array.from({ length: count }, (_, run) => fitted[run % fitted.length]!.chances);
  }

  /** whether it is asked what a week's delay would cost */
  readonly isLateAsked = signal(false);
  readonly #late = resource({
    params: () => {
      const [trial, tried] = [this.trial(), this.tried()];
      return this.isLateAsked() && trial && tried && !this.#tried.isLoading() ? { trial, strategies: this.strategies() } : undefined;
    },
    loader: ({ params: { trial, strategies }, abortSignal }) =>
      this.#pool.run(
        trial,
        strategies.map((one) => ({ ...one, lateDays })),
        { runs, seed, signal: abortSignal },
      ),
  });
  /** the same, each begun a week late */
  readonly late = computed(() => (this.isLateAsked() && this.#late.hasValue() ? this.#late.value() : []));
  readonly isLateWorking = computed(() => this.#late.isLoading());

  /** The library's numbers, as they can be changed. */
  readonly numbers = computed<TroubleModel | undefined>(() => {
    const entry = this.entry();
    return this.model() ?? (entry && troubleOf(entry));
  });
}
