import type { Signal } from '@angular/core';
import { computed, inject, resource } from '@angular/core';
import type { Case, OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { treatmentQuestion } from '@field-nurse/core/treatment';
import type { Planting } from '../gardens/plantings-now';
import { workingConditions } from './case-diagnoses';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { deepEqual } from 'fast-equals';
import { keepLatest } from '../shared/keep-latest';
import { asked, TodaysFacts } from './todays-facts';
import type { Answers } from './todays-facts';
import { TodaysWeather } from './todays-weather';

/** The options of one case, judged for today. */
export interface CaseOptions {
  readonly case: Signal<Case | undefined>;
  readonly planting: Signal<Planting | undefined>;
  readonly situation: Signal<OptionsRequest | undefined>;
  readonly answer: Signal<OptionsAnswer | undefined>;
  readonly failed: Signal<string | undefined>;
}

/** The options of the case whose id stands in the address. Call it where things are injected. */
export function caseOptions(id: Signal<string>): CaseOptions {
  const [garden, calc, weather, facts] = [inject(Garden), inject(Calc), inject(TodaysWeather), inject(TodaysFacts)];
  const one = computed(() => garden.case(id()));
  const planting = computed(() => garden.planting(one()?.plantingId ?? ''));
  const situation = computed(
    () => {
      const [sick, plant] = [one(), planting()];
      return sick && plant
        ? withAnswers(
            facts.answersOf(plant.id),
            treatmentQuestion({
              on: garden.today(),
              conditions: workingConditions(sick.diagnoses),
              case: sick,
              planting: plant,
              tests: garden.testSprays().filter(({ plantingId }) => plantingId === plant.id),
              applied: garden.appliedDays(plant.id),
              garden: { ...garden.summary(), seasonStart: garden.seasonStart() },
              shelf: garden.atHand(),
              weather: weather.said(plant.setting),
            }),
          )
        : undefined;
    },
    { equal: deepEqual },
  );
  const answer = resource({ params: () => situation(), loader: ({ params }) => calc.options(params) });
  return {
    case: one,
    planting,
    situation,
    answer: keepLatest(id, () => (answer.hasValue() ? answer.value() : undefined)),
    failed: computed(() => answer.error()?.message),
  };
}

const withAnswers = (answers: Answers, question: OptionsRequest | undefined): OptionsRequest | undefined =>
  question && { ...question, ...asked(answers) };
