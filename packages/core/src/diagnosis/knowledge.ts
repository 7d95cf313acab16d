import type { ClinicTest } from './clinicTest.js';
import type { Continent } from './continentAt.js';
import type { Onset } from './onset.js';
import type { LanguageFacts } from './text/language.js';

/** How often a sign is seen where a condition is at work. */
export type Frequency = 'always' | 'often' | 'sometimes' | 'seldom' | 'never';
export type Setting = 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic';
export type Pattern = 'one-plant' | 'patches' | 'whole-planting' | 'one-side' | 'edges' | 'scattered';

export interface HostFacts {
  readonly id: string;
  readonly name: string;
  readonly names: readonly string[];
  readonly family: string;
  readonly kind: string;
  /** how the whole plant stands */
  readonly habit?: string | undefined;
  /** what of it is gathered and goes by its name: fruit, root, bulb, pod */
  readonly crop?: string | undefined;
  /** a plant whose troubles it has unless something else is said of it */
  readonly like?: string | undefined;
}

export interface SignFacts {
  readonly id: string;
  readonly name: string;
  readonly part: string;
  readonly words: readonly string[];
  /** how readily it turns up with no cause at all */
  readonly common: 'everywhere' | 'now-and-then' | 'telling';
  /** what it is drawn on: "creature" for an animal, which is no part of the plant */
  readonly drawing?: { readonly organ: string } | undefined;
  /** hosts, families, kinds or habits that can show it; any when left out */
  readonly only?: readonly string[] | undefined;
}

export interface ConditionFacts {
  readonly id: string;
  readonly name: string;
  readonly names?: readonly string[] | undefined;
  readonly summary?: string | undefined;
  readonly latin?: string | undefined;
  readonly kind: string;
  readonly role: string;
  readonly common: 'common' | 'occasional' | 'rare';
  /** host ids, families or kinds of host */
  readonly hosts: {
    readonly often: readonly string[];
    readonly sometimes: readonly string[];
    readonly seldom: readonly string[];
    readonly never?: readonly string[] | undefined;
  };
  readonly settings: readonly Setting[];
  /** months of the northern hemisphere, 1 to 12 */
  readonly months: readonly number[];
  readonly onset: Onset;
  readonly patterns: readonly Pattern[];
  readonly signs: Readonly<Record<string, Frequency>>;
  readonly treat: readonly { readonly intervention: string; readonly efficacy?: readonly number[] | undefined }[];
  /** continents where it lives; everywhere when empty */
  readonly range?: readonly Continent[] | undefined;
  /** events, or weather and care, in whose wake it comes */
  readonly after?: readonly string[] | undefined;
  /** mean temperatures in which it thrives: lowest and highest, °C */
  readonly temperatureC?: readonly number[] | undefined;
  /** conditions in whose wake it comes */
  readonly follows?: readonly string[] | undefined;
  /** conditions that it carries from plant to plant */
  readonly carries?: readonly string[] | undefined;
}

export interface CheckFacts {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly harm: 'none' | 'slight' | 'plant';
  readonly reveals: readonly string[];
}

/** What the reasoner knows; it holds no entry of its own. */
export interface Knowledge {
  readonly hosts: readonly HostFacts[];
  readonly signs: readonly SignFacts[];
  readonly conditions: readonly ConditionFacts[];
  readonly checks: readonly CheckFacts[];
  /** at least one */
  readonly languages: readonly LanguageFacts[];
}

/** What the grower found. A sign that was not looked at is simply not listed. */
export interface Finding {
  readonly sign: string;
  readonly state: 'seen' | 'absent';
  /** chance that this is what was meant, above 0 to 1, for what was read from words and nobody has confirmed; 1 when it is not given */
  readonly sure?: number | undefined;
  /** signs that are told in much the same words, with the chance that they were meant where they are there */
  readonly kin?: readonly { readonly sign: string; readonly share: number }[] | undefined;
}

/** The circumstances that shift the odds before any sign is weighed. */
export interface Circumstances {
  readonly host: HostFacts;
  readonly setting?: Setting | undefined;
  readonly month?: number | undefined;
  readonly hemisphere?: 'north' | 'south' | undefined;
  readonly onset?: Onset | undefined;
  readonly pattern?: Pattern | undefined;
  readonly continent?: Continent | undefined;
  /** mean of the last days, °C */
  readonly temperatureC?: number | undefined;
  /** what this garden has had confirmed before */
  readonly history?: readonly Sighting[] | undefined;
  /** what is at work now on other plants of the garden */
  readonly nearby?: readonly Neighbour[] | undefined;
  /** what happened, and weather and care, by the names that conditions use in `after` */
  readonly events?: readonly string[] | undefined;
  /** what was said beside the signs, for each condition whose own words it resembles, in log odds */
  readonly hints?: ReadonlyMap<string, number> | undefined;
  /** words that tell something and could not be read */
  readonly unreadTelling?: number | undefined;
  /** what a plant clinic found */
  readonly tests?: readonly ClinicTest[] | undefined;
}

/** Confirmed cases of one condition on one host. */
export interface Sighting {
  readonly condition: string;
  readonly host: string;
  readonly family: string;
  readonly count: number;
}

/** A condition at work on another plant, in the same place or elsewhere in the garden. */
export interface Neighbour {
  readonly condition: string;
  readonly near: 'place' | 'garden';
}
