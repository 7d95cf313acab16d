import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Case } from '@field-nurse/contract';
import { nextAssessmentOn } from '@field-nurse/core/recovery';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { StatusMark } from '../gardens/status-mark';
import { dayWord, fromToday } from '../shared/days';
import { outcomeWords } from '../shared/words';
import { workingConditions } from './case-diagnoses';

/** All cases: the open ones by their next look, then the closed ones by year. */
@Component({
  selector: 'fn-cases-page',
  imports: [RouterLink, MatButtonModule, PlantingTitle, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './cases-page.scss',
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Cases</h1>
          <p>{{ open().length }} open, {{ closed().length }} closed</p>
        </div>
        @if (garden.canWrite()) {
          <a matButton="filled" [routerLink]="['/g', garden.summary().id, 'wrong']">Open a case</a>
        }
      </div>
      @if (garden.cases().length + garden.pastCases().length === 0) {
        <div class="fn-empty">
          <h2>Nothing is sick here</h2>
          <p>When something looks wrong, say which plant and what you see: the causes come at once.</p>
          <a [routerLink]="['/g', garden.summary().id, 'wrong']">Something is wrong</a>
        </div>
      }
      @if (open().length > 0) {
        <section aria-labelledby="open">
          <h2 id="open">Open</h2>
          <ul>
            @for (one of open(); track one.case.id) {
              <li>
                <fn-status-mark [case]="one.case.id" />
                <span class="what">
                  <a [routerLink]="['/g', garden.summary().id, 'cases', one.case.id]">{{ name(one.case) }}</a>
                  <fn-planting-title [planting]="one.case.plantingId" />
                </span>
                <span class="when">{{ one.next ? 'look ' + fromToday(one.next) : 'no look planned' }}</span>
              </li>
            }
          </ul>
        </section>
      }
      @if (closed().length > 0) {
        <section aria-labelledby="closed">
          <h2 id="closed">Closed</h2>
          <ul>
            @for (one of closed(); track one.id) {
              <li class="closed">
                <span class="what">
                  <a [routerLink]="['/g', garden.summary().id, 'cases', one.id]">{{ name(one) }}</a>
                  <fn-planting-title [planting]="one.plantingId" />
                </span>
                <span class="when">{{ outcomes[one.outcome ?? 'other'] }}, {{ day(one.closedOn ?? one.openedOn) }}</span>
              </li>
            }
          </ul>
        </section>
      }
      @if (garden.pastCases().length > 0) {
        <section aria-labelledby="past">
          <h2 id="past">Earlier seasons</h2>
          <ul>
            @for (one of past(); track one.id) {
              <li class="closed">
                <span class="what">
                  <a [routerLink]="['/g', garden.summary().id, 'cases', one.id]">{{ names(one.conditions) }}</a>
                  <span class="fn-small">{{ host(one.host) }} · {{ garden.place(one.placeId)?.name }}</span>
                </span>
                <span class="when">{{ day(one.openedOn) }}</span>
              </li>
            }
          </ul>
          @if (past().length < garden.pastCases().length) {
            <button matButton="outlined" type="button" (click)="most.set(most() + 50)">Show more</button>
          }
        </section>
      }
    </div>
  `,
})
export class CasesPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly outcomes = outcomeWords;

  protected readonly open = computed(() =>
    this.garden
      .cases()
      .filter(({ closedOn }) => !closedOn)
      .map((one) => ({ case: one, next: nextAssessmentOn(this.garden.assessmentsOf(one.id), this.garden.decisionsOf(one.id)) }))
      .sort((a, b) => (a.next ?? '9999').localeCompare(b.next ?? '9999')),
  );
  protected readonly closed = computed(() =>
    this.garden
      .cases()
      .filter(({ closedOn }) => closedOn)
      .sort((a, b) => b.closedOn!.localeCompare(a.closedOn!)),
  );

  /** how many of the earlier seasons are shown */
  protected readonly most = signal(20);
  protected readonly past = computed(() =>
    [...this.garden.pastCases()].sort((a, b) => b.openedOn.localeCompare(a.openedOn)).slice(0, this.most()),
  );
  protected readonly names = (conditions: readonly string[]) => this.#library.conditionNames(conditions);
  protected readonly host = (id: string) => this.#library.hostName(id);

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());
  protected readonly name = ({ diagnoses }: Case) => this.#library.conditionNames(workingConditions(diagnoses));
}
