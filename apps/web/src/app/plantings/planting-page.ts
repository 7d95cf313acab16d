import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { keepOutUntil, notPickedUntil } from '@field-nurse/core/timing';
import { workingConditions } from '../cases/case-diagnoses';
import { isAtHand } from '../cases/at-hand';
import { CorrectPlanting } from '../gardens/correct-planting';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { AssumedFacts } from '../library/assumed-facts';
import { Library } from '../library/library';
import { RestingGround } from '../prevention/resting-ground';
import { StatusMark } from '../gardens/status-mark';
import { dayWord, fromToday, instantWord } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';
import { outcomeWords, settingWords } from '../shared/words';
import { dayScale, monthStarts, monthWord } from './day-scale';
import { HeldApart } from './quarantine-panel';
import { PlantingStrip } from './planting-strip';
import { seasonSpan, stripsWithin } from './strips';

/** One planting: what it is, how it does, what was done, and the way to open a case. */
@Component({
  selector: 'fn-planting-page',
  imports: [RouterLink, MatButtonModule, AssumedFacts, Drawing, HeldApart, MeasuredWidth, PlantingStrip, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './planting-page.scss',
  template: `
    <div class="fn-page">
      @if (one(); as one) {
        <div class="fn-head">
          <div class="title">
            <fn-drawing organ="leaf" mark="" [leaf]="host()?.leaf ?? 'ovate'" />
            <div>
              <h1>{{ host()?.name ?? one.host }}</h1>
              <p>
                {{ one.cultivar }}{{ one.cultivar ? ' · ' : '' }}{{ garden.place(one.placeId)?.name }}
                @if (host()?.latin; as latin) {
                  · <span class="fn-latin">{{ latin }}</span>
                }
              </p>
            </div>
          </div>
          @if (garden.canWrite()) {
            <div class="fn-actions">
              <a matButton [routerLink]="[base(), 'plantings', one.id, 'edit']">Change it</a>
              @if (!one.endedOn) {
                <a matButton="outlined" [routerLink]="[base(), 'log', 'new']" [queryParams]="{ planting: one.id }">Log an application</a>
                <a matButton="filled" [routerLink]="[base(), 'wrong']" [queryParams]="{ planting: one.id }">Something is wrong</a>
              }
            </div>
          }
        </div>
        @if (keepOut(); as until) {
          <p class="fn-stop">
            <strong>Keep out until {{ until }}.</strong> It was treated and is not safe to touch yet.
          </p>
        }
        @if (unsafeUntil(); as day) {
          <p class="fn-stop">
            <strong>Don’t pick before {{ day }}.</strong> Something that was applied needs this many days.
          </p>
        }
        @if (rest(); as line) {
          <p class="fn-care">{{ line }}</p>
        }
        <fn-held-apart [planting]="one" />
        <dl class="facts">
          <div>
            <dt>Plants</dt>
            <dd>{{ one.plants }}{{ one.rows > 1 ? ' in ' + one.rows + ' rows' : '' }}</dd>
          </div>
          <div>
            <dt>Planted</dt>
            <dd>{{ one.assumed.includes('plantedOn') ? 'not said' : day(one.plantedOn) }}</dd>
          </div>
          <div>
            <dt>Stands</dt>
            <dd>{{ settings[one.setting] }}</dd>
          </div>
          <div>
            <dt>Flower</dt>
            <dd>{{ one.inFlower ? 'in flower' : 'not in flower' }}</dd>
          </div>
          <div>
            <dt>Next harvest</dt>
            <dd>
              {{ !one.eaten ? 'not eaten' : one.nextHarvestOn ? day(one.nextHarvestOn) + ', ' + fromToday(one.nextHarvestOn) : 'not set' }}
            </dd>
          </div>
          @if (one.endedOn) {
            <div>
              <dt>Ended</dt>
              <dd>{{ day(one.endedOn) }}</dd>
            </div>
          }
        </dl>
        @if (takenForGranted() && garden.canWrite() && !one.endedOn) {
          <fn-assumed-facts [facts]="one" (changed)="put.correct(one.id, $event)">
            @if (one.assumed.includes('plants')) {
              <a matButton [routerLink]="[base(), 'plantings', one.id, 'edit']"
                >{{ one.plants === 1 ? 'One plant' : one.plants + ' plants' }} …</a
              >
            }
            <button matButton type="button" (click)="put.confirm(one.id)">All of it is so</button>
          </fn-assumed-facts>
        }
        @if (one.note) {
          <p>{{ one.note }}</p>
        }
        @if (strip(); as strip) {
          <section aria-labelledby="season" (fnMeasuredWidth)="width.set($event)">
            <h2 id="season">This season</h2>
            @if (coming() && !garden.seasonFault()) {
              <p class="fn-small" role="status">Fetching what was seen on rounds …</p>
            }
            <fn-planting-strip [strip]="strip" [span]="span()" [today]="garden.today()" [width]="width()" [height]="90" />
            <p class="months fn-small" aria-hidden="true">
              @for (month of months(); track month.day) {
                <span [style.left.px]="month.x">{{ month.word }}</span>
              }
            </p>
          </section>
        }
        <section aria-labelledby="cases">
          <h2 id="cases">Cases</h2>
          <ul>
            @for (case of cases(); track case.id) {
              <li>
                <a [routerLink]="case.closedOn ? [base(), 'cases', case.id, 'recovery'] : [base(), 'cases', case.id]">{{ case.name }}</a>
                <span class="fn-small">opened {{ day(case.openedOn) }}</span>
                @if (case.closedOn) {
                  <span class="fn-small">{{ outcomes[case.outcome ?? 'other'] }}, {{ day(case.closedOn) }}</span>
                } @else {
                  <fn-status-mark [case]="case.id" />
                }
              </li>
            } @empty {
              <li class="fn-small">None. When something looks wrong, “Something is wrong” opens one.</li>
            }
          </ul>
        </section>
        <section aria-labelledby="log">
          <h2 id="log">What was done</h2>
          <ul>
            @for (done of applications(); track done.id) {
              <li>
                <a [routerLink]="[base(), 'log', done.id]">{{ library.interventionName(done.intervention) }}</a>
                <span class="fn-small">{{ at(done.appliedAt) }}, {{ done.appliedBy }}</span>
                <span class="fn-small">{{ done.why }}</span>
              </li>
            } @empty {
              <li class="fn-small">Nothing is logged for it.</li>
            }
          </ul>
        </section>
      } @else {
        <h1>This planting is not in the garden</h1>
        <p><a [routerLink]="[base(), 'ground']">Back to Ground</a></p>
      }
    </div>
  `,
})
export class PlantingPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly put = inject(CorrectPlanting);
  /** id of the planting in the address */
  readonly planting = input.required<string>();
  protected readonly settings = settingWords;
  protected readonly outcomes = outcomeWords;
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  readonly #zone = this.garden.summary().timeZone;

  protected readonly one = computed(() => this.garden.planting(this.planting()));
  /** something that a tap puts right */
  protected readonly takenForGranted = computed(() => this.one()?.assumed.some((fact) => fact !== 'plantedOn'));
  protected readonly host = computed(() => this.library.hosts().get(this.one()?.host ?? ''));
  protected readonly applications = computed(() => [...this.garden.applicationsOn(this.planting())].reverse());
  readonly #ground = inject(RestingGround);
  /** it stands in ground that should rest from it */
  protected readonly rest = computed(() => {
    const [one, today] = [this.one(), this.garden.today()];
    return one && !one.endedOn && this.#ground.isBroken(one, today) ? this.#ground.word(one.placeId, one.host, today) : '';
  });
  protected readonly keepOut = computed(() => {
    const until = keepOutUntil(this.applications(), this.garden.now());
    return until && instantWord(until, this.#zone);
  });
  protected readonly unsafeUntil = computed(() => {
    const day = notPickedUntil(this.applications(), this.garden.today());
    return day && this.day(day);
  });
  protected readonly cases = computed(() =>
    this.garden
      .cases()
      .filter(({ plantingId }) => plantingId === this.planting())
      .sort((a, b) => b.openedOn.localeCompare(a.openedOn))
      .map((one) => ({
        ...one,
        name: this.library.conditionNames(workingConditions(one.diagnoses)),
      })),
  );

  protected readonly width = signal(600);
  readonly #records = computed(() => ({
    plantings: this.garden.plantings().filter(({ id }) => id === this.planting()),
    cases: this.garden.cases(),
    assessments: this.garden.assessments().filter(({ plantingId }) => plantingId === this.planting()),
    applications: this.applications(),
    stops: this.garden.stops(),
  }));
  readonly #year = computed(() => (this.one()?.endedOn ?? this.garden.today()).slice(0, 4));
  /** stops of the season are on their way */
  protected readonly coming = computed(() => !this.garden.hasYear(this.#year(), true));
  protected readonly span = computed(() => seasonSpan(this.#year(), this.#records(), this.garden.today(), this.#zone));
  protected readonly strip = computed(() => stripsWithin(this.span(), this.#records(), this.garden.today(), this.#zone)[0]);
  protected readonly months = computed(() => {
    const x = dayScale(this.span(), this.width());
    return monthStarts(this.span()).map((day) => ({ day, word: monthWord(day, this.width()), x: x(day) }));
  });

  constructor() {
    isAtHand(() => ({ planting: this.planting() }));
    effect(() => {
      const year = this.#year();
      untracked(() => this.garden.openYear(year, true));
    });
  }

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());
  protected readonly at = (instant: string) => instantWord(instant, this.#zone);
}
