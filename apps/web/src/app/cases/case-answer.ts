import { computed, inject, resource } from '@angular/core';
import type { Signal } from '@angular/core';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { Calc } from '../calc/calc';
import { ClinicBook } from '../clinic/clinic-book';
import { Garden } from '../gardens/garden';
import { chipsOf } from './case-findings';
import { caseQuestion } from './case-question';

/** The causes of a case from what was confirmed by hand, for pages beside the case's own. Call it where things are injected. */
export function caseAnswer(caseId: Signal<string>): Signal<DifferentialAnswer | undefined> {
  const [garden, clinics, calc] = [inject(Garden), inject(ClinicBook), inject(Calc)];
  const question = computed(() => {
    const one = garden.case(caseId());
    const planting = garden.planting(one?.plantingId ?? '');
    return (
      one &&
      planting &&
      caseQuestion(one, planting, chipsOf(one.findings, []), {
        garden: garden.summary(),
        plantings: garden.plantings(),
        cases: garden.cases(),
        temperatureC: undefined,
        tests: clinics.testsOf(one.id),
      })
    );
  });
  const answer = resource({ params: () => question(), loader: ({ params }) => calc.differential(params) });
  return computed(() => (answer.hasValue() ? answer.value() : undefined));
}
