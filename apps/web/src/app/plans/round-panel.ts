import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { jobsOf } from '../gardens/jobs';
import { NotNeeded } from '../gardens/not-needed';
import { PlantingTitle } from '../library/planting-title';
import { durationWord, slotWord } from '../shared/days';
import { GardenPlan } from './garden-plan';
import type { MovedRound } from './plan-board';
import { costWord } from './plan-words';

const offered = 5;

/** One round of a plan: when, who, how long, what waits after it; where else it could be and what that costs. */
@Component({
  selector: 'fn-round-panel',
  imports: [RouterLink, MatButtonModule, NotNeeded, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ul {
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
    }
    h3 {
      margin-top: 14px;
    }
  `,
  template: `
    @if (row(); as row) {
      <section class="fn-panel" aria-labelledby="round">
        <h2 id="round">{{ name() }}</h2>
        <p>
          <fn-planting-title [planting]="row.plan.plantingId" />
          @if (row.plan.rounds > 1) {
            <span class="fn-small">, round {{ row.ordinal }} of {{ row.plan.rounds }}</span>
          }
        </p>
        @for (fact of facts(); track fact) {
          <p>{{ fact }}</p>
        }
        @if (row.stored?.note; as note) {
          <p class="fn-small">{{ note }}</p>
        }
        @if (isOpen() && garden.canWrite()) {
          <div class="fn-actions">
            @if (job(); as job) {
              <a matButton="filled" [routerLink]="[base(), 'plan', 'jobs', job.id]">Do it</a>
            }
            @if (mixLink(); as link) {
              <a matButton="outlined" [routerLink]="link">Mix it</a>
            }
            @if (row.stored?.held) {
              <button matButton type="button" (click)="plan.letGo(row)">Let the planner move it</button>
            }
            @if (row.stored) {
              <fn-not-needed (told)="plan.notNeeded(row, $event)" />
            }
          </div>
          <h3>When else, and what it costs</h3>
          @if (plan.isReckoning()) {
            <p class="fn-small" role="status">
              Reckoning{{ plan.progress().of > 0 ? ': ' + plan.progress().done + ' of ' + plan.progress().of : '' }} …
            </p>
          }
          <ul>
            @for (one of others(); track one.when) {
              <li>
                <span
                  >{{ one.when }} <span class="fn-small">{{ one.cost }}</span></span
                >
                <button matButton type="button" [attr.aria-label]="'Move it to ' + one.when" (click)="moved.emit({ row, to: one.to })">
                  Move
                </button>
              </li>
            } @empty {
              @if (!plan.isReckoning()) {
                <li class="fn-small">Nowhere else in these four weeks.</li>
              }
            }
          </ul>
        }
      </section>
    }
  `,
})
export class RoundPanel {
  protected readonly garden = inject(Garden);
  protected readonly plan = inject(GardenPlan);
  /** id of the round, as the planner has it */
  readonly round = input.required<string>();
  readonly moved = output<MovedRound>();
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  protected readonly row = computed(() => this.plan.round(this.round()));
  readonly #way = computed(() => this.row() && this.plan.wayOf(this.row()!));
  protected readonly name = computed(() => (this.#way() ? this.plan.wayName(this.#way()!) : 'Round'));
  protected readonly isOpen = computed(() => !['done', 'not-needed'].includes(this.row()?.stored?.state ?? 'planned'));
  protected readonly job = computed(() =>
    jobsOf(this.plan.plans(), this.garden.plannedApplications()).find(({ rounds }) =>
      rounds.some(({ planned }) => planned.id === this.row()?.stored?.id),
    ),
  );
  protected readonly mixLink = computed(() => {
    const [row, way] = [this.row(), this.#way()];
    return row?.plan.caseId && way ? [this.base(), 'cases', row.plan.caseId, 'mix', way.intervention] : undefined;
  });
  protected readonly facts = computed(() => {
    const [row, way, today] = [this.row(), this.#way(), this.garden.today()];
    if (!row) return [];
    const { stored, change } = row;
    const at = stored ? { date: stored.plannedFor, slot: stored.slot } : change?.to;
    const person = stored?.person || this.plan.personOf(row.id);
    const when = at && slotWord(at.date, at.slot, today);
    const state = { done: 'Done', 'not-needed': 'Taken out of the plan', 'under-way': 'Under way, planned for', planned: 'Planned for' }[
      stored?.state ?? 'planned'
    ];
    const reEntry = way?.reEntryHours ? `Nobody goes there for ${way.reEntryHours} hours after it.` : '';
    const harvest = way?.preHarvestDays
      ? `Nothing is picked for ${way.preHarvestDays} ${way.preHarvestDays === 1 ? 'day' : 'days'} after it.`
      : '';
    return [
      when ? `${stored ? state : 'Proposed for'} ${when}${person ? `, ${person}` : ''}.` : '',
      way && this.isOpen() ? `${durationWord(way.minutes)} of work.` : '',
      this.isOpen() ? [reEntry, harvest].filter(Boolean).join(' ') : '',
    ].filter(Boolean);
  });
  protected readonly others = computed(() =>
    this.plan
      .moves()
      .flatMap(({ date, slot, extraLoss }) => (extraLoss === undefined ? [] : [{ to: { date, slot }, extraLoss }]))
      .sort((a, b) => a.extraLoss - b.extraLoss || a.to.date.localeCompare(b.to.date))
      .slice(0, offered)
      .map(({ to, extraLoss }) => ({ to, when: slotWord(to.date, to.slot, this.garden.today()), cost: costWord(extraLoss) })),
  );
}
