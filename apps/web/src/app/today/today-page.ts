import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { quarantineOf } from '@field-nurse/core/ground';
import { statusOf } from '@field-nurse/core/recovery';
import { spotNow } from '@field-nurse/core/sampling';
import { workingConditions } from '../cases/case-diagnoses';
import { stepWords } from '../clinic/clinic-words';
import { Garden } from '../gardens/garden';
import { TestLeaves } from '../gardens/test-leaves';
import { LeafTest } from '../gardens/leaf-test';
import { jobsOf } from '../gardens/jobs';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { StatusMark } from '../gardens/status-mark';
import { dayWord, fromToday, instantWord, longDay } from '../shared/days';
import { RestingGround } from '../prevention/resting-ground';
import { PreventionWalk } from '../prevention/prevention-walk';
import { Scouting } from '../scouting/scouting';
import { JobLine } from './job-line';
import { morningSentence } from './morning';
import { Agenda } from '../shell/agenda';
import { GardenWeather } from '../weather/garden-weather';
import { WeatherRibbon } from '../weather/weather-ribbon';
import { windowWord } from '../weather/window-words';

const stopsShown = 4;
// A market garden has more cases than a morning's page has room for.
const mostLooks = 8;

/** What the garden wants today. */
@Component({
  selector: 'fn-today-page',
  imports: [RouterLink, JobLine, LeafTest, MatButtonModule, PlantingTitle, StatusMark, WeatherRibbon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './today-page.scss',
  templateUrl: './today-page.html',
})
export class TodayPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  readonly #zone = this.garden.summary().timeZone;

  readonly #agenda = inject(Agenda);
  protected readonly agenda = this.#agenda.today;
  protected readonly book = inject(Scouting);
  readonly #weather = inject(GardenWeather);
  readonly #ground = inject(RestingGround);
  protected readonly roundStops = computed(() => this.book.due().slice(0, stopsShown));
  /** what last year's dates say of these weeks, as far as the round does not say it */
  readonly #warnings = computed(() => {
    const onRound = new Set(this.book.due().map(({ id }) => id));
    return this.book
      .stops()
      .filter(({ id }) => !onRound.has(id))
      .flatMap(({ id, why }) =>
        why.filter(({ code }) => code === 'last-year').map((reason) => ({ planting: id, text: this.book.word(reason) })),
      );
  });
  /** what was set into ground that rests from it */
  readonly #resting = computed(() =>
    this.#ground.broken().map(({ id, placeId, host }) => ({ planting: id, text: this.#ground.word(placeId, host, this.garden.today()) })),
  );
  /** what the years before say of today */
  protected readonly remembered = computed(() =>
    [
      { id: 'resting', title: 'In ground that should rest', lines: this.#resting() },
      { id: 'warnings', title: 'From earlier years', lines: this.#warnings() },
    ].filter(({ lines }) => lines.length > 0),
  );
  /** what the plan has for today and tomorrow, and what was left undone */
  protected readonly jobs = this.#agenda.jobsDue;
  protected readonly testLeaves = inject(TestLeaves).due;
  protected readonly lessons = this.#agenda.lessonsDue;
  protected readonly traps = computed(() =>
    this.#agenda.trapsDue().map(({ trap, on }) => ({ id: trap.id, name: trap.name, on, spot: spotNow(trap).name })),
  );
  protected readonly held = computed(() =>
    this.garden.plantings().flatMap((planting) => {
      const [stops, today, { timeZone }] = [this.garden.stops(), this.garden.today(), this.garden.summary()];
      const state = planting.endedOn ? undefined : quarantineOf(planting, { stops, timeZone, today });
      if (!state) return [];
      const next = state.nextLookOn
        ? `look ${state.nextLookOn <= today ? 'due' : this.fromToday(state.nextLookOn)}`
        : `until ${this.day(state.until)}`;
      return [{ id: planting.id, words: state.mayRelease ? 'may join the others' : next }];
    }),
  );
  readonly #walk = inject(PreventionWalk);
  protected readonly prevention = computed(() => {
    const places = this.#walk.places().filter((one) => one.due > 0);
    const due = this.#walk.due();
    const named = places.slice(0, 3).map(({ place }) => place.name);
    return due === 0
      ? ''
      : `${due} ${due === 1 ? 'thing' : 'things'} to look at: ${named.join(', ')}${places.length > 3 ? ` and ${places.length - 3} more places` : ''}.`;
  });
  protected readonly around = computed(() => {
    const due = this.#walk.aroundDue();
    return due === 0 || !this.#walk.hasAround() ? '' : `${due} ${due === 1 ? 'thing' : 'things'} to look at: flies, rats and mice, mulch.`;
  });
  protected readonly nextWindow = computed(() => {
    const [first] = this.#weather.windows();
    return first ? windowWord(first, this.#zone) : '';
  });
  protected readonly heading = computed(() => longDay(this.garden.today()));
  protected readonly isQuiet = computed(() =>
    [
      ...(Object.values(this.agenda()) as (readonly unknown[])[]),
      this.book.due(),
      this.traps(),
      this.held(),
      this.jobs(),
      this.testLeaves(),
      this.lessons(),
      this.#resting(),
    ].every((list) => list.length === 0),
  );
  readonly #sick = (id: string, planting: string) =>
    `${this.caseName(id)} on the ${this.#library.hostName(this.garden.planting(planting)?.host ?? '').toLowerCase()}`;
  /** cases whose look comes up, those that get worse first; what waits for a decision is looked at when that is taken */
  protected readonly looks = computed(() => {
    const { assessments, toDecide, toRepeat } = this.agenda();
    const waiting = new Set(toDecide.map((one) => one.case));
    const planned = new Set(this.#planned());
    const again = new Map(toRepeat.filter((one) => !planned.has(one.case)).map(({ case: id, intervention }) => [id, intervention]));
    const status = (id: string) => statusOf(this.garden.assessmentsOf(id));
    return assessments
      .filter((one) => !waiting.has(one.case))
      .map((one) => ({ ...one, worse: status(one.case) === 'relapsing', again: again.get(one.case) }))
      .sort((a, b) => Number(b.worse) - Number(a.worse));
  });
  /** cases whose next round stands in the plan */
  readonly #planned = computed(() =>
    jobsOf(this.garden.openPlans(), this.garden.plannedApplications()).flatMap(({ rounds }) =>
      rounds.flatMap(({ plan }) => plan.caseId ?? []),
    ),
  );
  protected readonly looksShown = computed(() => this.looks().slice(0, mostLooks));
  /** treatments that may come again on what no look is due for */
  protected readonly toRepeat = computed(() => {
    const told = new Set([...this.looks().map((one) => one.case), ...this.#planned()]);
    return this.agenda().toRepeat.filter((one) => !told.has(one.case));
  });
  protected readonly harvests = computed(() => this.agenda().harvests.filter(({ safe }) => safe));
  /** anything grows where the weather reaches it */
  protected readonly outdoors = computed(() => this.garden.plantings().some(({ setting, endedOn }) => setting !== 'indoor' && !endedOn));
  protected readonly summary = computed(() => {
    const { keepOut, toDecide } = this.agenda();
    const due = this.looks().filter(({ on }) => on <= this.garden.today());
    const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
    return morningSentence({
      keepOut: keepOut.map(({ planting, until }) => ({ name: this.#placeOf(planting), until: this.at(until) })),
      looks: due.map(({ case: id, planting, worse }) => ({
        name: worse ? upper(this.#sick(id, planting)) : this.#sick(id, planting).toLowerCase(),
        worse,
      })),
      toDecide: toDecide.map(({ planting }) => `The ${this.#library.hostName(this.garden.planting(planting)?.host ?? '').toLowerCase()}`),
      jobs: this.jobs().filter(({ day }) => day <= this.garden.today()).length,
      round: this.book.due().length,
      traps: this.traps().length,
    });
  });
  readonly #placeOf = (planting: string) => this.garden.place(this.garden.planting(planting)?.placeId ?? '')?.name ?? '';

  protected readonly sampleWord = stepWords;
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());
  protected readonly at = (instant: string) => instantWord(instant, this.#zone);
  protected readonly interventionName = (id: string) => this.#library.interventionName(id);
  protected readonly caseName = (id: string) => this.#library.conditionNames(workingConditions(this.garden.case(id)?.diagnoses ?? []));
}
