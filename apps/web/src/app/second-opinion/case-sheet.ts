import type { Case, DifferentialAnswer, Place } from '@field-nurse/contract';
import type { SampleState } from '../clinic/sample-state';
import type { Planting } from '../gardens/plantings-now';
import type { Chip } from '../cases/case-findings';

export interface SheetParts {
  readonly one: Case;
  readonly planting: Planting;
  readonly place: Place | undefined;
  readonly garden: { readonly name: string; readonly region: string; readonly latitude: number | null };
  /** read from the words, and not yet confirmed */
  readonly read: readonly Pick<Chip, 'sign' | 'state' | 'phrase' | 'sure'>[];
  readonly answer: DifferentialAnswer;
  readonly nameOf: {
    readonly sign: (id: string) => string;
    readonly condition: (id: string) => string;
    readonly host: (id: string) => string;
    readonly intervention: (id: string) => string;
  };
  /** what plant clinics found */
  readonly samples: readonly SampleState[];
  readonly treatments: readonly { readonly intervention: string; readonly appliedAt: string }[];
  readonly made: string;
}

/**
 * One case as a file for whoever is asked for a second opinion: what stands in it needs no library of ours to be read. Nothing that tells where
 * the garden lies is in it beyond its region and half of the earth.
 *
 * The format is described in docs/data-formats.md.
 */
export function caseSheet({ one, planting, place, garden, read, answer, nameOf, samples, treatments, made }: SheetParts) {
  return {
    format: 'field-nurse-case',
    version: 1,
    made,
    garden: { name: garden.name, region: garden.region, hemisphere: (garden.latitude ?? 1) < 0 ? 'south' : 'north' },
    plant: {
      id: planting.host,
      name: nameOf.host(planting.host),
      cultivar: planting.cultivar,
      count: planting.plants,
      plantedOn: planting.plantedOn,
      setting: planting.setting,
      eaten: planting.eaten,
      place: place?.name ?? '',
    },
    openedOn: one.openedOn,
    words: one.words,
    onset: one.onset,
    pattern: one.pattern,
    findings: one.findings
      .filter(({ state }) => state !== 'struck')
      .map(({ sign, state, on }) => ({ sign, name: nameOf.sign(sign), state, on })),
    read: read.map(({ sign, state, phrase, sure }) => ({ sign, name: nameOf.sign(sign), state, phrase, sure })),
    takenFor: one.diagnoses.map(({ on, conditions, why }) => ({
      on,
      conditions: conditions.map((id) => ({ id, name: nameOf.condition(id) })),
      why,
    })),
    causes: answer.ranked.map(({ condition, name, scientificName, probability, for: pro, against }) => ({
      id: condition,
      name,
      scientificName,
      probability,
      evidence: [...pro, ...against].map(({ sign, state, decibans }) => ({ sign, name: nameOf.sign(sign), state, decibans })),
    })),
    noneOfThese: answer.otherProbability,
    clinic: samples.map(({ sample, since, reference, results }) => ({
      name: sample.clinicName,
      reference,
      on: since,
      results: results.map(({ condition, ...rest }) => ({ id: condition, name: nameOf.condition(condition), ...rest })),
    })),
    treatments: treatments.map(({ intervention, appliedAt }) => ({
      id: intervention,
      name: nameOf.intervention(intervention),
      at: appliedAt,
    })),
    note: one.note,
  };
}
