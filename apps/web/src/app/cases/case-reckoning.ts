import type { Signal } from '@angular/core';
import { computed, inject, resource } from '@angular/core';
import type { DifferentialAnswer, DifferentialRequest, Written } from '@field-nurse/contract';
import { daysBetween } from '@field-nurse/core/timing';
import { caseQuestion } from '@field-nurse/core/diagnosis';
import { Calc } from '../calc/calc';
import { ClinicSamples } from '../clinic/clinic-samples';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { deepEqual } from 'fast-equals';
import { keepLatest } from '../shared/keep-latest';
import { GardenWeather } from '../weather/garden-weather';
import type { Chip } from './case-findings';
import { chipsOf, evidenceOf } from './case-findings';

// The weather that is known says nothing of a case that is older than it.
const freshDays = 7;

/** What a case is reckoned from: by its record alone, or by what is being entered just now. */
export interface CaseInHand {
  readonly value: Signal<Written<'cases'> | undefined>;
  readonly planting: Signal<Planting | undefined>;
  /** the words as they are being typed */
  readonly words: Signal<string>;
  /** a cause that is asked about by name */
  readonly asked: Signal<string | undefined>;
}

/** What the words and findings of a case come to. Each is kept while the next is on its way. */
export interface CaseReckoning {
  readonly chips: Signal<readonly Chip[]>;
  /** words that nothing was read from */
  readonly unread: Signal<readonly string[]>;
  /** phrases that tell of weather, care or what happened */
  readonly events: Signal<readonly string[]>;
  /** true where the words themselves say that this sign is there or not, confirmed or no */
  readonly isRead: (sign: string) => boolean;
  readonly answer: Signal<DifferentialAnswer | undefined>;
  readonly busy: Signal<boolean>;
  readonly failure: Signal<string | undefined>;
}

/** Reckon a case of the garden, the same on every page that speaks of it. Call it where things are injected. */
export function caseReckoning(caseId: Signal<string>, inHand?: CaseInHand): CaseReckoning {
  const [garden, clinics, weather, calc] = [inject(Garden), inject(ClinicSamples), inject(GardenWeather), inject(Calc)];
  const { value, planting, words, asked } = inHand ?? asRecorded(garden, caseId);

  const reading = resource({
    params: () => ({ words: words(), host: planting()?.host ?? '' }),
    loader: ({ params }) => calc.readWords(params.words, params.host),
  });
  const read = keepLatest(caseId, () => (reading.hasValue() ? reading.value() : undefined));
  const chips = computed(() => chipsOf(value()?.findings ?? [], read()?.read ?? []));

  /** Mean of the last days, for a case of the last days that stands in the open. */
  const warmth = computed(() => {
    const openedOn = value()?.openedOn;
    if (!openedOn || daysBetween(openedOn, garden.today()) > freshDays || planting()?.setting !== 'outdoor') return undefined;
    const known = weather.measured().flatMap(({ temperatureC }) => (temperatureC === null ? [] : [temperatureC]));
    return known.length > 0 ? Math.round(known.reduce((sum, degrees) => sum + degrees, 0) / known.length) : undefined;
  });
  const question = computed(
    (): DifferentialRequest | undefined => {
      const [one, plant, cause] = [value(), planting(), asked()];
      const stillReading = !read() && !reading.error();
      if (!one || !plant || stillReading) return undefined;
      return {
        ...caseQuestion({ ...one, id: caseId(), onset: one.onset ?? read()?.onset ?? null }, plant, evidenceOf(chips()), {
          garden: garden.summary(),
          caseLines: garden.caseLines(),
          temperatureC: warmth(),
          tests: clinics.testsOf(caseId()),
        }),
        ...(words().trim() !== '' && { context: words() }),
        ...(cause && { asked: [cause] }),
      };
    },
    { equal: deepEqual },
  );
  const differential = resource({ params: () => question(), loader: ({ params }) => calc.differential(params) });
  return {
    chips,
    unread: computed(() => read()?.unread ?? []),
    events: computed(() => read()?.events.map(({ phrase }) => phrase) ?? []),
    isRead: (sign) => read()?.read.some((one) => one.sign === sign) ?? false,
    answer: keepLatest(caseId, () => (differential.hasValue() ? differential.value() : undefined)),
    busy: computed(() => reading.isLoading() || differential.isLoading()),
    failure: computed(() => differential.error()?.message ?? reading.error()?.message),
  };
}

function asRecorded(garden: Garden, caseId: Signal<string>): CaseInHand {
  const value = computed(() => garden.case(caseId()));
  return {
    value,
    planting: computed(() => garden.planting(value()?.plantingId ?? '')),
    words: computed(() => value()?.words ?? ''),
    asked: computed(() => undefined),
  };
}
