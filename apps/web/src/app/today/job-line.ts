import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import type { Job } from '../gardens/jobs';
import { NotNeeded } from '../gardens/not-needed';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { slotWord } from '../shared/days';

/** A job of the plan on today's page: do it, move it, or say why it is not needed any more. */
@Component({
  selector: 'fn-job-line',
  imports: [RouterLink, MatButtonModule, NotNeeded, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 4px;
    }
    .when {
      color: var(--fn-faint-ink);
      &::first-letter {
        text-transform: uppercase;
      }
    }
    .when.due {
      color: var(--fn-ink);
      font-weight: 700;
    }
  `,
  template: `
    <span class="when" [class.due]="job().day <= garden.today()">{{ when() }}</span>
    <div>
      <b>{{ name() }}</b>
      @for (one of job().rounds; track one.planned.id) {
        <div><fn-planting-title [planting]="one.plan.plantingId" /></div>
      }
    </div>
    @if (garden.canWrite()) {
      <div class="fn-actions">
        <a matButton="outlined" [routerLink]="[base(), 'plan', 'jobs', job().id]">{{ job().isUnderWay ? 'Go on' : 'Do it' }}</a>
        <a matButton [routerLink]="[base(), 'plan']" [queryParams]="{ case: job().rounds[0]?.plan?.caseId }">Move it</a>
        <fn-not-needed (told)="drop($event)" />
      </div>
      @if (refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
    }
  `,
})
export class JobLine {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly job = input.required<Job>();
  protected readonly refusal = signal('');
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  protected readonly when = computed(() => slotWord(this.job().day, this.job().slot, this.garden.today()));
  protected readonly name = computed(() => {
    const { productId, intervention } = this.job();
    return this.garden.products().find(({ id }) => id === productId)?.name ?? this.#library.interventionName(intervention);
  });

  protected async drop(note: string): Promise<void> {
    const rounds = this.job().rounds.map(({ planned: { id, version, ...value } }) => ({
      subject: 'plannedApplications' as const,
      id,
      version,
      value: { ...value, state: 'not-needed' as const, note },
    }));
    try {
      await this.#records.saveAll(rounds, 'Taken out of the plan.');
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }
}
