import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { differenceOf, separation } from '@field-nurse/core/diagnosis';
import { Garden } from '../gardens/garden';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { SeasonStrip } from '../entries/season-strip';
import { SignTile } from '../library/sign-tile';
import { StageList } from '../entries/stage-list';
import { kindWords } from '../shared/words';
import { CaseHead } from './case-head';

// A sign that differs by less tells too little to look for.
const telling = 0.25;
const shown = 0.3;
const most = 8;

/** Two causes side by side: the signs that tell them apart, those that they share, their stages and seasons. */
@Component({
  selector: 'fn-compare-page',
  imports: [CaseHead, EntryLink, RouterLink, SeasonStrip, SignTile, StageList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './compare-page.scss',
  template: `
    <div class="fn-page">
      <fn-case-head [case]="case()" />
      @if (first() && second()) {
        <div class="pair heads">
          @for (cause of pair(); track cause.id) {
            <div>
              <h2><fn-entry-link kind="conditions" [entry]="cause.id" /></h2>
              <p class="fn-small">
                {{ kinds[cause.kind] }}
                @if (cause.latin) {
                  · <span class="fn-latin">{{ cause.latin }}</span>
                }
              </p>
              <p>{{ cause.summary }}</p>
            </div>
          }
        </div>
        @if (tell(); as tell) {
          <p class="fn-care"><b>The difference:</b> {{ tell }}</p>
        }
        <section aria-labelledby="telling">
          <h2 id="telling">Tells them apart</h2>
          <ul>
            @for (row of tellingSigns(); track row.sign) {
              <li>
                <span class="side"
                  ><span class="bar left" [style.width.%]="row.first * 100"></span><span>{{ percent(row.first) }}</span></span
                >
                <fn-sign-tile [flat]="true" [sign]="row.sign" [leaf]="leaf()" [note]="found(row.sign)" />
                <span class="side"
                  ><span>{{ percent(row.second) }}</span
                  ><span class="bar" [style.width.%]="row.second * 100"></span
                ></span>
              </li>
            } @empty {
              <li>
                No sign tells them apart by itself.
                <a [routerLink]="['/g', garden.summary().id, 'cases', case(), 'clinic']">A plant clinic</a> can.
              </li>
            }
          </ul>
        </section>
        @if (sharedSigns().length > 0) {
          <section aria-labelledby="shared">
            <h2 id="shared">Both show</h2>
            <div class="tiles">
              @for (row of sharedSigns(); track row.sign) {
                <fn-sign-tile [sign]="row.sign" [leaf]="leaf()" [note]="found(row.sign)" />
              }
            </div>
          </section>
        }
        <div class="pair">
          @for (cause of pair(); track cause.id) {
            <div>
              <h3>When</h3>
              <fn-season-strip [months]="cause.months" [south]="south()" />
              <h3>Stages</h3>
              <fn-stage-list [stages]="cause.stages" />
            </div>
          }
        </div>
        <p><a [routerLink]="['/g', garden.summary().id, 'cases', case()]">Back to the case</a></p>
      } @else if (library.known()) {
        <p>The library does not hold both of these.</p>
      }
    </div>
  `,
})
export class ComparePage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** ids from the address */
  readonly case = input.required<string>();
  readonly one = input.required<string>();
  readonly other = input.required<string>();

  protected readonly kinds = kindWords;
  protected readonly first = computed(() => this.library.conditions().get(this.one()));
  protected readonly second = computed(() => this.library.conditions().get(this.other()));
  protected readonly pair = computed(() => [this.first()!, this.second()!]);
  protected readonly south = computed(() => (this.garden.summary().latitude ?? 1) < 0);
  readonly #planting = computed(() => this.garden.planting(this.garden.case(this.case())?.plantingId ?? ''));
  protected readonly leaf = computed(() => this.library.hosts().get(this.#planting()?.host ?? '')?.leaf ?? 'ovate');
  protected readonly tell = computed(
    () =>
      this.first()?.lookalikes.find(({ condition }) => condition === this.other())?.tell ??
      this.second()?.lookalikes.find(({ condition }) => condition === this.one())?.tell,
  );

  readonly #signs = computed(() => {
    const [first, second] = [this.first(), this.second()];
    return first && second ? separation(first, second, this.library.signs()) : [];
  });
  protected readonly tellingSigns = computed(() =>
    this.#signs()
      .filter((row) => differenceOf(row) >= telling)
      .slice(0, most),
  );
  protected readonly sharedSigns = computed(() =>
    this.#signs().filter((row) => differenceOf(row) < telling && row.first >= shown && row.second >= shown),
  );

  protected readonly percent = (chance: number) => `${Math.round(chance * 100)} %`;
  protected readonly found = (sign: string) => {
    const state = this.garden.case(this.case())?.findings.find((one) => one.sign === sign)?.state;
    return state === 'seen' ? 'seen here' : state === 'absent' ? 'looked, not there' : '';
  };
}
