import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatProgressBarModule } from '@angular/material/progress-bar';
import { Router, RouterLink } from '@angular/router';
import type { TriedSeason, TriedStrategy } from '@field-nurse/core/season';
import { addDays, daysBetween } from '@field-nurse/core/timing';
import { scaleLinear } from 'd3';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { dayWord } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';
import { advice } from '../shared/words';
import { ModelNumbers } from './model-numbers';
import { OwnRounds } from './own-rounds';
import { SeasonStrip } from './season-strip';
import { ownMix, runs, SeasonTry } from './season-try';
import type { SeasonSubject } from './season-try';
import { deciderWord, differences, hoursWord, moneyWord, percentWord, tellingPull, timesWord, verdictWords } from './season-words';
import { endedPlans, plansOf } from './take-strategy';

const left = 44;
const aheads = [
  { days: 28, word: 'four weeks' },
  { days: 56, word: 'eight weeks' },
  { days: 91, word: 'three months' },
  { days: 150, word: 'five months' },
];
const mostDeciders = 4;

/** Ways to meet a season, tried on this garden before a season is spent on them. */
@Component({
  selector: 'fn-season-page',
  imports: [MatButtonModule, MatProgressBarModule, MeasuredWidth, ModelNumbers, OwnRounds, PlantingTitle, RouterLink, SeasonStrip],
  providers: [SeasonTry],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './season-page.scss',
  templateUrl: './season-page.html',
})
export class SeasonPage {
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly season = inject(SeasonTry);
  /** id of a case, or of a planting, and a trouble, from a link */
  readonly case = input<string>();
  readonly planting = input<string>();
  readonly condition = input<string>();

  protected readonly left = left;
  protected readonly runs = runs;
  protected readonly aheads = aheads;
  protected readonly ownMix = ownMix;
  protected readonly advice = advice;
  protected readonly width = signal(560);
  protected readonly refusal = signal('');
  protected readonly isTaking = signal(false);
  protected readonly money = moneyWord;
  protected readonly percent = percentWord;
  protected readonly hours = hoursWord;
  protected readonly times = timesWord;

  constructor() {
    effect(() => {
      const [caseId, planting, condition] = [this.case(), this.planting(), this.condition()];
      this.season.wanted.set({ ...(caseId && { caseId }), ...(planting && { planting }), ...(condition && { condition }) });
    });
  }

  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  protected readonly keyOf = ({ planting, condition }: SeasonSubject) => `${planting} ${condition}`;
  protected readonly chosen = computed(() => {
    const subject = this.season.subject();
    return subject ? this.keyOf(subject) : '';
  });
  /** Troubles to choose from, by planting. */
  protected readonly groups = computed(() => {
    const cases = this.season.subjects().filter(({ caseId }) => caseId);
    const others = this.season.subjects().filter(({ caseId }) => !caseId);
    const named = (list: readonly SeasonSubject[]) =>
      list.map((one) => ({
        key: this.keyOf(one),
        word: `${this.library.conditionName(one.condition)}, ${this.#plantingName(one.planting)}`,
      }));
    return [
      { name: 'Open cases', subjects: named(cases) },
      { name: 'What may come', subjects: named(others).sort((a, b) => a.word.localeCompare(b.word)) },
    ].filter(({ subjects }) => subjects.length > 0);
  });
  #plantingName(id: string): string {
    const one = this.garden.planting(id);
    return one
      ? `${this.library.hostName(one.host)}${one.cultivar ? ` ${one.cultivar}` : ''}, ${this.garden.place(one.placeId)?.name ?? ''}`
      : '';
  }

  protected choose(key: string): void {
    this.season.subject.set(this.season.subjects().find((one) => this.keyOf(one) === key));
  }

  protected readonly counted = computed(() => this.season.entry()?.counted ?? '');
  /** "Leaf with rust at the first look, %" */
  protected readonly seenWord = computed(() => {
    const words = `${this.counted().slice(0, 1).toUpperCase()}${this.counted().slice(1)}`;
    return `${words}${this.decidesFrom() > 0 ? ' at the first look' : ' now'}${this.isDisease() ? ', %' : ''}`;
  });
  protected readonly isDisease = computed(() => this.season.entry()?.kind === 'disease');
  /** What is there now in the words of a field: of a disease in percent of leaf. */
  protected readonly seenShown = computed(() => {
    const seen = this.season.asked()?.seen ?? 0;
    return Number((this.isDisease() ? seen * 100 : seen).toPrecision(3));
  });
  protected setSeen(typed: string): void {
    const value = Number(typed);
    if (typed.trim() === '' || !(value >= 0)) return;
    this.season.seen.set(this.isDisease() ? Math.min(1, value / 100) : value);
  }
  protected setMoney(field: 'plantValue' | 'hourPrice', typed: string): void {
    const value = Number(typed);
    if (typed.trim() !== '' && value >= 0) this.season[field].set(value);
  }

  protected readonly amountWord = (amount: number): string =>
    this.isDisease() ? `${Number((amount * 100).toPrecision(2))} %` : String(Number(amount.toPrecision(2)));
  protected readonly dayOf = (day: number): string => dayWord(addDays(this.season.asked()!.start, day), this.garden.today());
  /** of a day that is counted from the one on which it is decided */
  protected readonly roundDay = (day: number): string => this.dayOf(day + this.decidesFrom());
  protected readonly decidesFrom = computed(() => this.season.asked()?.decidesFrom ?? 0);
  protected readonly actAt = computed(() => this.season.numbers()?.actAt ?? 1);
  protected readonly most = computed(() =>
    Math.max(this.actAt(), ...(this.season.tried() ?? []).flatMap(({ band }) => band.map(({ p90 }) => p90))),
  );

  protected readonly spanWord = computed(() => {
    const asked = this.season.asked();
    if (!asked) return '';
    const end = addDays(asked.start, asked.days - 1);
    return `${dayWord(asked.start, this.garden.today())} to ${dayWord(end, this.garden.today())}`;
  });
  /** Months, and where the weather is known from. */
  protected readonly axis = computed(() => {
    const asked = this.season.asked();
    if (!asked) return undefined;
    const x = scaleLinear([0, Math.max(1, asked.days - 1)], [left, this.width() - 4]);
    const firsts = Array.from({ length: asked.days }, (_, i) => i).filter((i) => addDays(asked.start, i).endsWith('-01'));
    const at = (day: string | undefined) => (day === undefined ? 0 : Math.max(0, Math.min(asked.days, daysBetween(asked.start, day) + 1)));
    const [measured, forecast] = [at(addDays(this.garden.today(), -1)), at(this.season.lastKnown())];
    const spans = [
      { word: 'measured', from: 0, until: measured, kind: 'measured' },
      { word: 'forecast', from: measured, until: Math.max(measured, forecast), kind: 'forecast' },
      { word: 'as in other years', from: Math.max(measured, forecast), until: asked.days, kind: 'drawn' },
    ].filter(({ from, until }) => until > from);
    return {
      months: firsts.map((day) => ({ day, x: x(day), word: dayWord(addDays(asked.start, day)).replace(/^1 /, '') })),
      spans: spans.map((one) => ({ ...one, x: x(one.from), width: x(Math.min(asked.days - 1, one.until)) - x(one.from) })),
    };
  });

  protected readonly rows = computed(() => {
    const strategies = this.season.strategies();
    return (this.season.tried() ?? []).flatMap((tried, i) => {
      const strategy = strategies.find(({ id }) => id === tried.id);
      const standing = this.season.standing(tried.id);
      const late = this.season.late().find(({ id }) => id === tried.id);
      return strategy && standing
        ? [{ tried, strategy, standing, late, isFirst: i === 0, uses: this.#usesWord(strategy), label: this.#label(tried) }]
        : [];
    });
  });
  #usesWord({ actions, first = [], when, growing }: TriedStrategy): string {
    const names = (list: TriedStrategy['actions']) => list.map(({ id }) => this.library.interventionName(id));
    const once = names(first).map((name) => `${name} at once`);
    const [how, ...rest] = names(actions);
    if (!how) return once.join('. ') || 'Whatever comes.';
    const lookEvery = when.kind === 'threshold' ? `A look each week; from ${this.amountWord(when.actAt)} on: ` : '';
    const by = when.kind === 'calendar' ? `Each ${when.everyDays} days: ` : '';
    const joined = [how, ...rest].join(growing ? ', then ' : when.kind === 'rounds' ? ', ' : ' and ');
    return [...once, `${lookEvery}${by}${joined}`].join('. ');
  }
  #label({ name, band, kept }: TriedSeason): string {
    const last = band.at(-1)!;
    return `${name}: ${this.counted()} on ${this.dayOf(last.day)} between ${this.amountWord(last.p10)} and ${this.amountWord(last.p90)}, in the middle ${this.amountWord(last.p50)}; ${percentWord(kept.p50)} of the harvest kept.`;
  }

  protected readonly verdict = computed(() => verdictWords(this.season.tried() ?? [], this.season.standings()));
  /** How the garden's own plan stands beside the best. */
  protected readonly ownVerdict = computed(() => {
    const tried = this.season.tried() ?? [];
    const [first] = tried;
    const own = tried.find(({ id }) => id === 'own-plan');
    if (!first || !own) return '';
    if (own === first) return 'The garden’s plan is the best of these.';
    return `The garden’s plan costs ${moneyWord(own.cost - first.cost)} more in the mean than “${first.name}”: it ${differences(own, first)}.`;
  });
  protected readonly deciders = computed(() => {
    const [first, second] = this.season.tried() ?? [];
    if (!first || !second) return [];
    return this.season
      .deciders()
      .filter(({ pull }) => Math.abs(pull) >= tellingPull)
      .slice(0, mostDeciders)
      .map((one) => ({ ...one, share: Math.abs(one.pull), word: deciderWord(one, first.name, second.name) }));
  });

  /** Take a way over into the plan, in place of what was planned against it. */
  protected async take(strategy: TriedStrategy, tried: TriedSeason): Promise<void> {
    const subject = this.season.subject();
    if (!subject) return;
    const about = { ...subject, today: this.garden.today() };
    const ended = endedPlans(this.garden.openPlans(), about);
    const written = plansOf(strategy, tried, about, () => crypto.randomUUID());
    if (written.length + ended.length === 0) return;
    this.refusal.set('');
    this.isTaking.set(true);
    try {
      await this.#records.saveAll(
        [...ended, ...written],
        written.length === 0 ? 'Left alone: nothing is planned against it any more.' : 'Taken into the plan.',
      );
      if (written.length > 0) await this.#router.navigate([this.base(), 'plan']);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.isTaking.set(false);
    }
  }
  protected readonly canTake = (strategy: TriedStrategy, tried: TriedSeason): boolean => {
    const subject = this.season.subject();
    if (!subject || this.season.from() !== 'today' || !this.garden.canWrite() || strategy.id === 'own-plan') return false;
    const about = { ...subject, today: this.garden.today() };
    return plansOf(strategy, tried, about, () => '').length > 0 || endedPlans(this.garden.openPlans(), about).length > 0;
  };
}
