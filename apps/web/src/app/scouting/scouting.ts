import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { ScoutingRound, Stop } from '@field-nurse/contract';
import type { LookPlan } from '@field-nurse/core/diagnosis';
import { cleanToSick, planScoutingRound, toWalk } from '@field-nurse/core/ground';
import type { RoundReason, RoundStop } from '@field-nurse/core/ground';
import { Calc } from '../calc/calc';
import type { LookPlace } from '../calc/calc.worker';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { Records } from '../gardens/records';
import { middleOf, planShapes } from '../gardens/plan-shapes';
import { Library } from '../library/library';
import { GardenWeather } from '../weather/garden-weather';
import { roundReasonWord } from './round-words';

const spreading = new Set(['insect', 'mite', 'mollusc', 'fungus', 'oomycete', 'bacterium', 'virus', 'nematode']);

/** The round: what wants a look today and why, the walk that is under way, and its stops. */
@Injectable({ providedIn: 'root' })
export class Scouting {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #calc = inject(Calc);
  readonly #weather = inject(GardenWeather);
  /** where to look, by host and kind of place, for this month */
  readonly #plans = signal<ReadonlyMap<string, LookPlan>>(new Map());

  readonly shapes = computed(() => planShapes(this.#garden.places(), this.#garden.plantings(), this.#garden.today()));
  readonly #places = computed(() => {
    const month = Number(this.#garden.today().slice(5, 7));
    const south = (this.#garden.summary().latitude ?? 0) < 0;
    const places = this.#growing().map(({ host, setting }): LookPlace => ({ host, setting, month, hemisphere: south ? 'south' : 'north' }));
    return [...new Map(places.map((place) => [keyOf(place), place])).values()];
  });
  readonly #growing = computed(() => this.#garden.plantings().filter(({ endedOn }) => !endedOn));

  readonly #toWalk = computed(() =>
    toWalk(
      {
        plantings: this.#garden.plantings(),
        cases: this.#garden.cases(),
        caseLines: this.#garden.caseLines(),
        decisions: this.#garden.decisions(),
        assessments: this.#garden.assessments(),
        stops: this.#garden.stops(),
        today: this.#garden.today(),
        timeZone: this.#garden.summary().timeZone,
      },
      {
        riskOf: (planting) => this.#riskOf(planting),
        catching: (condition) => spreading.has(this.#library.conditions().get(condition)?.kind ?? ''),
        at: (id) => middleOf(this.shapes(), id),
      },
    ),
  );
  /** all plantings in growth: those that are due in walking order, then the others by their day */
  readonly stops = computed<readonly RoundStop[]>(() => planScoutingRound(this.#toWalk(), this.#garden.today(), this.#weather.recent()));
  readonly due = computed(() => this.stops().filter(({ due }) => due));
  readonly later = computed(() => this.stops().filter(({ due }) => !due));
  /** a round that was begun and not ended; the newest */
  readonly underWay = computed<ScoutingRound | undefined>(() =>
    this.#garden
      .scoutingRounds()
      .filter(({ endedAt }) => !endedAt)
      .sort((a, b) => a.startedAt.localeCompare(b.startedAt))
      .at(-1),
  );

  constructor() {
    effect(() => {
      const missing = this.#places().filter((place) => !untracked(this.#plans).has(keyOf(place)));
      if (missing.length > 0) void this.#learn(missing);
    });
  }

  /** a reason in a sentence */
  word = (reason: RoundReason): string =>
    roundReasonWord(reason, {
      today: this.#garden.today(),
      system: this.#garden.summary().units,
      conditionName: this.#library.conditionName,
    });

  round = (id: string): ScoutingRound | undefined => this.#garden.scoutingRounds().find((one) => one.id === id);
  stopsOf = (roundId: string): Stop[] => this.#garden.stops().filter((stop) => stop.roundId === roundId);
  /** the first planting of the walk that has no stop yet */
  next = ({ id, walk }: ScoutingRound, after?: string): string | undefined => {
    const done = new Set(this.stopsOf(id).map(({ plantingId }) => plantingId));
    const left = walk.filter((planting) => !done.has(planting) && this.#garden.planting(planting));
    const from = after ? walk.indexOf(after) : -1;
    return left.find((planting) => walk.indexOf(planting) > from) ?? left.find((planting) => planting !== after);
  };

  whereToLook = (planting: Planting): LookPlan | undefined => {
    const place = this.#places().find(({ host, setting }) => host === planting.host && setting === planting.setting);
    return place && this.#plans().get(keyOf(place));
  };

  /** These plantings in the order in which they are looked at together: clean ones first, what is held apart last. */
  together = (ids: readonly string[]): string[] =>
    cleanToSick(
      this.#toWalk().filter(({ id }) => ids.includes(id)),
      this.#garden.today(),
    );

  /** Begin a round over these plantings. @returns its id */
  async begin(walk: readonly string[], by: string): Promise<string> {
    const id = crypto.randomUUID();
    await this.#records.keep('scoutingRounds', id, 0, { startedAt: this.#garden.now(), endedAt: null, by, walk: [...walk] });
    return id;
  }

  async end(round: ScoutingRound): Promise<void> {
    const { startedAt, by, walk } = round;
    await this.#records.keep('scoutingRounds', round.id, round.version, { startedAt, by, walk, endedAt: this.#garden.now() }, round);
  }

  #riskOf(planting: Planting): { risk: number; feared: string | null } {
    const plan = this.whereToLook(planting);
    return { risk: plan?.risk ?? 0.2, feared: plan?.feared[0]?.condition ?? null };
  }

  async #learn(places: readonly LookPlace[]): Promise<void> {
    const plans = await this.#calc.whereToLook(places);
    this.#plans.update((known) => new Map([...known, ...places.map((place, i) => [keyOf(place), plans[i]!] as const)]));
  }
}

const keyOf = ({ host, setting, month, hemisphere }: LookPlace) => `${host} ${setting} ${month} ${hemisphere}`;
