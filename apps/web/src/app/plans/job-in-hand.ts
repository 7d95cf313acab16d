import type { Signal } from '@angular/core';
import { computed, inject } from '@angular/core';
import { cardThatCounts, preHarvestFor } from '@field-nurse/core/label';
import { intervalsAfter } from '@field-nurse/core/timing';
import { cautionsOf } from '@field-nurse/library/texts';
import { judgeLogged } from '../applications/judge-logged';
import { isCollecting } from '../applications/product-amount';
import { TodaysWeather } from '../cases/todays-weather';
import { Garden } from '../gardens/garden';
import { jobsOf } from '../gardens/jobs';
import { Library } from '../library/library';
import { dayWord, instantWord, slotWord } from '../shared/days';
import { protectWords } from '../shared/words';

/** The steps that a job may have, in their order. */
export type StepId = 'wear' | 'clear' | 'mix' | 'try' | 'do' | 'after' | 'notice' | 'write';

/** What is known of a job while it is done: what, where, by whose label, and what waits after it. Make it where things are injected. */
export class JobInHand {
  readonly #id: Signal<string>;
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #weather = inject(TodaysWeather);
  readonly #zone = this.#garden.summary().timeZone;

  /** @param id - of one of its rounds */
  constructor(id: Signal<string>) {
    this.#id = id;
  }

  readonly known = computed(() =>
    jobsOf(this.#garden.openPlans(), this.#garden.plannedApplications()).find(({ rounds }) =>
      rounds.some(({ planned }) => planned.id === this.#id()),
    ),
  );
  /** a round of it, when all of it is done already */
  readonly past = computed(() => this.#garden.plannedApplications().find(({ id }) => id === this.#id()));
  readonly entry = computed(() => this.#library.interventions().get(this.known()?.intervention ?? this.past()?.intervention ?? ''));
  readonly pack = computed(() => this.#garden.shelf().find(({ product }) => product.id === this.known()?.productId));
  /** something is collected, and can be counted */
  readonly isByHand = computed(() => isCollecting(this.entry()));
  readonly name = computed(() => this.pack()?.product.name ?? this.entry()?.name ?? '');
  readonly when = computed(() => this.known() && slotWord(this.known()!.day, this.known()!.slot, this.#garden.today()));

  readonly targets = computed(() =>
    (this.known()?.rounds ?? []).flatMap(({ planned, plan }) => {
      const planting = this.#garden.planting(plan.plantingId);
      const host = this.#library.hosts().get(planting?.host ?? '');
      if (!planting || !host) return [];
      const name = [host.name, planting.cultivar, this.#garden.place(planting.placeId)?.name].filter(Boolean).join(' · ');
      return [{ planned, plan, planting, host, name, plants: planting.plants, plantingId: planting.id, against: plan.against }];
    }),
  );
  /** by whose label each planting is judged now, and what would be broken */
  readonly #judged = computed(() => {
    const [entry, today] = [this.entry(), this.#garden.today()];
    if (!entry) return [];
    const card = this.pack()?.card;
    return this.targets().map(({ planting, host, name, plan }) => {
      const said = this.#weather.said(planting.setting);
      const { card: counts, broken } = judgeLogged({
        typical: entry,
        product: card && cardThatCounts([card]),
        cards: this.#library.interventions(),
        planting,
        host,
        against: plan.against,
        on: today,
        others: this.#garden.appliedDays(planting.id),
        seasonStart: this.#garden.seasonStart(),
        weather: planting.setting === 'outdoor' ? { temperatureC: said.temperatureC ?? undefined, windKmh: said.windKmh ?? undefined } : {},
        used: undefined,
      });
      return { name, planting, card: { ...counts, preHarvestDays: preHarvestFor(counts, host) }, broken };
    });
  });
  /** why it may not be done now */
  readonly refusals = computed(() => this.#judged().flatMap(({ name, broken }) => broken.map((line) => `${name}: ${line}`)));
  /** how long each planting is closed, and not picked, if it is done now */
  readonly waits = computed(() =>
    this.#judged().map(({ name, planting, card }) => {
      const { reEntryAt, notPickedBefore } = intervalsAfter(
        this.#garden.now(),
        this.#zone,
        { ...card, repeatDays: undefined },
        planting.eaten,
      );
      const isLater = notPickedBefore !== null && notPickedBefore > this.#garden.today();
      return {
        name,
        keepOut: card.reEntryHours > 0 ? instantWord(reEntryAt, this.#zone) : 'it is dry',
        notPicked: isLater ? dayWord(notPickedBefore, this.#garden.today()) : '',
        isClosed: card.reEntryHours > 0 || isLater,
      };
    }),
  );

  readonly protection = computed(() => {
    const label = this.pack()?.card?.protect ?? [];
    return [...new Set([...label, ...(this.entry()?.protect ?? [])])].map((one) => protectWords[one] ?? one);
  });
  readonly cautions = computed(() => {
    const [entry, first] = [this.entry(), this.targets()[0]];
    return entry && first ? cautionsOf(entry, first.planting.setting, first.host.habit) : [];
  });
  readonly flowers = computed(() =>
    this.targets()
      .filter(({ planting }) => planting.inFlower)
      .map(({ name }) => name),
  );
  /** how it is done: as the trouble asks for it, or else as ever */
  readonly how = computed(() => {
    const against = new Set(this.targets().flatMap((one) => one.against));
    const effects = [...against].flatMap((id) => this.#library.conditions().get(id)?.treat ?? []);
    return effects.find(({ intervention, steps }) => intervention === this.entry()?.id && steps)?.steps ?? this.entry()?.steps ?? [];
  });
  readonly steps = computed<readonly StepId[]>(() => {
    const entry = this.entry();
    if (!entry) return [];
    const isProduct = entry.rate !== undefined || ['biological', 'soft', 'synthetic'].includes(entry.rung);
    const isLiquid = entry.order === 'spray' && entry.reach !== 'living';
    return [
      ...(this.protection().length > 0 ? (['wear'] as const) : []),
      ...(isProduct ? (['clear'] as const) : []),
      // What only licensed people may apply is not mixed by this page.
      ...(entry.rate && !entry.restricted ? (['mix'] as const) : []),
      ...(isLiquid && this.untried().length > 0 ? (['try'] as const) : []),
      'do',
      ...(isProduct ? (['after'] as const) : []),
      ...(this.waits().some(({ isClosed }) => isClosed) ? (['notice'] as const) : []),
      'write',
    ];
  });
  /** plantings of a kind that this was never used on */
  readonly untriedTargets = computed(() => {
    const used = new Set(
      this.#garden
        .applied()
        .filter(({ intervention }) => intervention === this.entry()?.id)
        .map(({ plantingId }) => this.#garden.planting(plantingId)?.host),
    );
    return this.targets().filter(({ host }) => !used.has(host.id));
  });
  readonly untried = computed(() => this.untriedTargets().map(({ name }) => name));
}
