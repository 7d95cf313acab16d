import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { planRotation, swapCost } from '@field-nurse/core/ground';
import type { BedRest, RotationReason } from '@field-nurse/core/ground';
import { groundYears } from '@field-nurse/core/season';
import { daysBetween } from '@field-nurse/core/timing';
import { seasonModelOf } from '@field-nurse/library/season';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { PastYears } from '../gardens/past-years';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { RestingGround } from '../prevention/resting-ground';
import { dayWord } from '../shared/days';
import { advice } from '../shared/words';
import { GoingIn } from './going-in';
import { rotationQuestion } from './next-places';
import { RestYears } from './rest-years';

const daysInYear = 365.2425;
const usualYearC = 10;
// A year of which fewer days are known tells no mean.
const fewestDays = 200;

/** Ground that rests: for how long, what is left in it, who goes in, and where next season's crops go instead. */
@Component({
  selector: 'fn-rests-page',
  imports: [GoingIn, MatButtonModule, PlantingTitle, RestYears, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './rests-page.scss',
  templateUrl: './rests-page.html',
})
export class RestsPage {
  readonly #records = inject(Records);
  readonly #years = inject(PastYears);
  readonly #resting = inject(RestingGround);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly advice = advice;
  protected readonly refusal = signal('');
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);

  constructor() {
    this.#years.refresh();
  }

  readonly #yearC = computed(() => {
    const days = (this.#years.answer()?.days ?? [])
      .flatMap(({ minC, maxC }) => (minC === null || maxC === null ? [] : [(minC + maxC) / 2]))
      .slice(-365);
    return days.length < fewestDays ? usualYearC : days.reduce((sum, one) => sum + one, 0) / days.length;
  });
  /** of each place and trouble the longest rest, the last to end first */
  readonly #rests = computed(() => {
    const longest = new Map<string, BedRest>();
    for (const rest of this.#resting.all()) {
      const key = `${rest.placeId} ${rest.condition}`;
      if ((longest.get(key)?.until ?? '') < rest.until) longest.set(key, rest);
    }
    return [...longest.values()].sort((a, b) => b.until.localeCompare(a.until));
  });
  protected readonly resting = computed(() => [
    ...new Set(this.#rests().flatMap(({ placeId, until }) => (until > this.garden.today() ? [placeId] : []))),
  ]);
  protected readonly rests = computed(() => {
    const today = this.garden.today();
    return this.#rests().map((rest) => {
      const model = this.library.index() && seasonModelOf(this.library.index()!, rest.condition);
      const years = model?.kind === 'ground' ? groundYears(model, { years: 26, yearC: this.#yearC() }) : [];
      const is = rest.until > today;
      const tests = this.garden
        .groundEvents()
        .filter(({ placeId, condition, kind }) => placeId === rest.placeId && condition === rest.condition && kind.startsWith('tested'));
      return {
        ...rest,
        key: `${rest.placeId} ${rest.condition}`,
        isClosed: is,
        place: this.garden.place(rest.placeId)?.name ?? '',
        trouble: this.library.conditionName(rest.condition),
        takes: this.#takesWord(rest.families),
        at: yearOf(rest.from),
        end: yearOf(rest.until),
        years,
        untilWord: dayWord(rest.until, today),
        tests: tests.map(({ id, happenedOn, kind }) => ({
          id,
          words: `${dayWord(happenedOn, today)}: ${kind === 'tested-clean' ? 'tested, nothing found' : 'tested, still there'}`,
        })),
        now: this.#nowWord(years, yearOf(today) - yearOf(rest.from)),
        label: `${this.garden.place(rest.placeId)?.name ?? ''}: ${this.library.conditionName(rest.condition)}, closed until ${dayWord(rest.until, today)}.`,
      };
    });
  });
  protected readonly closed = computed(() => this.rests().filter(({ isClosed }) => isClosed));
  protected readonly over = computed(() => this.rests().filter(({ isClosed }) => !isClosed));
  protected readonly now = computed(() => yearOf(this.garden.today()));

  /** "onions, garlic, leeks": of the families those that the garden knows as plants */
  #takesWord(families: readonly string[]): string {
    const names = [...this.library.hosts().values()]
      .filter(
        ({ family, id, kind }) => (families.includes(family) || families.includes(id)) && ['vegetable', 'fruit', 'herb'].includes(kind),
      )
      .map(({ name }) => name.toLowerCase());
    return names.slice(0, mostNamed).join(', ') + (names.length > mostNamed ? ' and their kin' : '');
  }

  #nowWord(years: ReturnType<typeof groundYears>, passed: number): string {
    const here = years[Math.max(0, Math.round(passed))];
    if (!here) return '';
    const percent = (share: number) => `${Math.round(share * 100)} %`;
    return `About ${percent(here.left.p50)} of it is left. A crop now would lose ${percent(here.loss.p10)} to ${percent(here.loss.p90)}.`;
  }

  /** A test ends the rest, or begins its years anew. */
  protected async test(
    rest: { readonly placeId: string; readonly condition: string },
    kind: 'tested-clean' | 'tested-there',
  ): Promise<void> {
    const value = {
      ...{ placeId: rest.placeId, condition: rest.condition, kind, happenedOn: this.garden.today() },
      ...{ person: '', things: [], disinfectant: '', minutes: null, note: '' },
    };
    this.refusal.set('');
    try {
      const said = kind === 'tested-clean' ? 'The rest has ended with this test.' : 'Still there: its years begin anew.';
      await this.#records.save('groundEvents', crypto.randomUUID(), 0, value, said);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }

  // Next season's places
  readonly #question = computed(() =>
    rotationQuestion({
      plantings: this.garden.plantings(),
      places: this.garden.places(),
      hosts: this.library.hosts(),
      rests: this.#resting.all(),
      sights: this.#years.answer()?.sights ?? [],
      today: this.garden.today(),
      seasonStart: this.garden.seasonStart(),
    }),
  );
  protected readonly year = computed(() => this.#question().on.slice(0, 4));
  /** a crop that is wanted in a certain place */
  protected readonly wanted = signal<{ readonly crop: string; readonly placeId: string } | null>(null);
  readonly #best = computed(() => planRotation(this.#question()));
  readonly #swap = computed(() => {
    const wanted = this.wanted();
    return wanted && this.#question().crops.some(({ id }) => id === wanted.crop)
      ? swapCost(this.#question(), wanted.crop, wanted.placeId)
      : undefined;
  });
  protected readonly proof = computed(() => (this.#best().isOptimal ? 'No other order breaks less: that is proven.' : ''));
  protected readonly swapWord = computed(() => {
    const [swap, wanted] = [this.#swap(), this.wanted()];
    if (!swap || !wanted) return '';
    const crop = this.library.hostName(this.garden.planting(wanted.crop)?.host ?? '').toLowerCase();
    const place = this.garden.place(wanted.placeId)?.name ?? '';
    const moved = swap.plan.places.filter(
      ({ crop: id, placeId }) => id !== wanted.crop && this.#best().places.find((one) => one.crop === id)?.placeId !== placeId,
    ).length;
    const others = moved === 0 ? 'Nothing else moves.' : moved === 1 ? 'One other crop moves.' : `${moved} other crops move.`;
    if (swap.extra < 0.5) return `The ${crop} in ${place} is as good. ${others}`;
    const [reason] = swap.plan.places.find(({ crop: id }) => id === wanted.crop)!.reasons;
    return `The ${crop} in ${place} is worse${reason ? `: ${this.#reasonWord(reason)}` : ' for what has to move'}. ${others}`;
  });
  protected readonly places = computed(() => [
    ...new Map(this.#question().slots.map(({ placeId }) => [placeId, this.garden.place(placeId)?.name ?? ''])).entries(),
  ]);
  protected readonly rotation = computed(() =>
    (this.#swap()?.plan ?? this.#best()).places
      .map(({ crop, placeId, reasons }) => {
        const planting = this.garden.planting(crop);
        return {
          crop,
          name: this.library.hostName(planting?.host ?? ''),
          placeId,
          from: this.garden.place(planting?.placeId ?? '')?.name ?? '',
          to: this.garden.place(placeId)?.name ?? '',
          isMoved: planting?.placeId !== placeId,
          reasons: reasons.map((one) => this.#reasonWord(one)),
          isBad: reasons.some(({ code }) => code === 'rests' || code === 'setting'),
        };
      })
      .sort((a, b) => a.to.localeCompare(b.to)),
  );
  #reasonWord({ code, of, years }: RotationReason): string {
    if (code === 'rests') return `${this.library.conditionName(of ?? '').toLowerCase()} lasts in its soil`;
    if (code === 'setting') return 'it stands otherwise: under glass or in the open';
    if (code === 'light') return 'it gets less sun there than this wants';
    if (code === 'same-family') return years === 1 ? 'its family was there this season' : `its family was there ${years} years before`;
    return 'its ground is much smaller or larger';
  }
}

const mostNamed = 5;
const yearOf = (day: string): number => Number(day.slice(0, 4)) + daysBetween(`${day.slice(0, 4)}-01-01`, day) / daysInYear;
