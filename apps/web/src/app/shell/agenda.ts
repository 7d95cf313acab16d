import { computed, inject, Injectable } from '@angular/core';
import { agendaFor } from '@field-nurse/core/planning';
import { checkOn } from '@field-nurse/core/sampling';
import { ClinicSamples } from '../clinic/clinic-samples';
import { addDays } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { jobsOf } from '../gardens/jobs';
import { TestLeaves } from '../gardens/test-leaves';

/** What waits in the open garden today, and how much of it in each room. */
@Injectable({ providedIn: 'root' })
export class Agenda {
  readonly #testLeaves = inject(TestLeaves);
  readonly #garden = inject(Garden);
  readonly #clinic = inject(ClinicSamples);

  readonly today = computed(() =>
    agendaFor({
      plantings: this.#garden.plantings(),
      cases: this.#garden.cases(),
      decisions: this.#garden.decisions(),
      applications: this.#garden.applied(),
      assessments: this.#garden.assessments(),
      samples: this.#clinic.states(),
      today: this.#garden.today(),
      now: this.#garden.now(),
    }),
  );
  /** traps that want a look, with the day since when */
  readonly trapsDue = computed(() => {
    const today = this.#garden.today();
    return this.#garden.traps().flatMap((trap) => {
      const on = checkOn(trap, this.#garden.catches(), today);
      return on && on <= today ? [{ trap, on }] : [];
    });
  });

  /** jobs of the plan for today and tomorrow, and those that were left undone */
  readonly jobsDue = computed(() => {
    const tomorrow = addDays(this.#garden.today(), 1);
    return jobsOf(this.#garden.openPlans(), this.#garden.plannedApplications()).filter(({ day }) => day <= tomorrow);
  });

  /** what was put on the list for a day that has come */
  readonly lessonsDue = computed(() =>
    this.#garden
      .lessons()
      .filter(({ dueOn, doneOn }) => dueOn !== null && dueOn <= this.#garden.today() && doneOn === null)
      .sort((a, b) => a.dueOn!.localeCompare(b.dueOn!)),
  );

  /** by the room's word: the number on its door */
  readonly byRoom = computed((): Readonly<Record<string, number>> => {
    const { assessments, toDecide, toRepeat, samples } = this.today();
    const looks = assessments.filter(({ on }) => on <= this.#garden.today());
    const jobs = this.jobsDue().filter(({ day }) => day <= this.#garden.today());
    const waiting = new Set([...looks, ...toDecide, ...toRepeat, ...samples].map((one) => one.case));
    for (const { caseId, id } of this.#testLeaves.due()) waiting.add(caseId ?? id);
    for (const { rounds } of jobs) for (const { plan } of rounds) waiting.add(plan.caseId ?? plan.id);
    return { Walk: this.trapsDue().length, Cases: waiting.size, Learn: this.lessonsDue().length };
  });
}
