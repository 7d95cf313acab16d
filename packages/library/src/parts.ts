import { decidingTreatment } from '@field-nurse/core/diagnosis';
import type { Check, Condition, Library, Sign } from './entries.js';

/** What a device fetches one after the other: first what reads words and names causes, then what is told and done about them. */
export const partNames = ['diagnosis', 'treatment'] as const;
export type PartName = (typeof partNames)[number];

// What comes with the second part, and what stands there until then.
const untoldCondition = {
  eppo: undefined,
  fewOptions: undefined,
  stages: [],
  lookalikes: [],
  threshold: { act: '', basis: '' },
  levels: [],
  prevention: [],
  persistence: '',
  spread: '',
  heat: undefined,
  infection: undefined,
  recovery: { sign: '', lookAgainDays: 7 },
  disputes: [],
  cautions: [],
} satisfies Partial<Condition>;
const untoldSign = { look: '' } satisfies Partial<Sign>;
const untoldCheck = { tools: [], steps: [], caution: undefined } satisfies Partial<Check>;

/** The library as far as it reads words and names causes; of the treatments only the one of each cause that decides which causes to tell apart. */
export interface DiagnosisPart extends Omit<
  Library,
  'conditions' | 'signs' | 'checks' | 'interventions' | 'tasks' | 'seasonModels' | 'companions'
> {
  readonly conditions: readonly Omit<Condition, keyof typeof untoldCondition>[];
  readonly signs: readonly Omit<Sign, keyof typeof untoldSign>[];
  readonly checks: readonly Omit<Check, keyof typeof untoldCheck>[];
}

/** The rest; entries stand in the order of the first part. */
export interface TreatmentPart extends Pick<Library, 'version' | 'interventions' | 'tasks' | 'seasonModels' | 'companions'> {
  readonly conditions: readonly Pick<Condition, 'treat' | keyof typeof untoldCondition>[];
  readonly signs: readonly Pick<Sign, keyof typeof untoldSign>[];
  readonly checks: readonly Pick<Check, keyof typeof untoldCheck>[];
}

export interface LibraryParts {
  readonly diagnosis: DiagnosisPart;
  readonly treatment: TreatmentPart;
}

/** The library in two parts. */
export function partsOf(library: Library): LibraryParts {
  const { conditions, signs, checks, interventions, tasks, seasonModels, companions, ...others } = library;
  const [condition, sign, check] = [divided(untoldCondition), divided(untoldSign), divided(untoldCheck)];
  return {
    diagnosis: {
      ...others,
      conditions: conditions.map((one) => ({ ...condition.known(one), treat: deciding(one) })),
      signs: signs.map(sign.known),
      checks: checks.map(check.known),
    },
    treatment: {
      version: library.version,
      interventions,
      tasks,
      seasonModels,
      companions,
      conditions: conditions.map((one) => ({ ...condition.told(one), treat: one.treat })),
      signs: signs.map(sign.told),
      checks: checks.map(check.told),
    },
  };
}

/** What the first part alone can be used as: causes are named as by the whole, nothing is told of them, and nothing can be done yet. */
export const beforeTreatment = (part: DiagnosisPart): Library => ({
  ...part,
  conditions: part.conditions.map((one) => ({ ...untoldCondition, ...one })),
  signs: part.signs.map((one) => ({ ...untoldSign, ...one })),
  checks: part.checks.map((one) => ({ ...untoldCheck, ...one })),
  interventions: [],
  tasks: [],
  seasonModels: [],
  companions: [],
});

/** The library of both parts. @throws Error where they are of two versions */
export function joinParts(diagnosis: DiagnosisPart, treatment: TreatmentPart): Library {
  if (diagnosis.version !== treatment.version) throw new Error('The library has just been renewed: load the page again.');
  return {
    ...diagnosis,
    conditions: diagnosis.conditions.map((one, i) => ({ ...one, ...treatment.conditions[i]! })),
    signs: diagnosis.signs.map((one, i) => ({ ...one, ...treatment.signs[i]! })),
    checks: diagnosis.checks.map((one, i) => ({ ...one, ...treatment.checks[i]! })),
    interventions: treatment.interventions,
    tasks: treatment.tasks,
    seasonModels: treatment.seasonModels,
    companions: treatment.companions,
  };
}

function deciding(condition: Condition): Condition['treat'] {
  const one = decidingTreatment(condition);
  return one ? [{ intervention: one.intervention, stages: ['any'], efficacy: one.efficacy, evidence: 'moderate' }] : [];
}

/** An entry in two: without these fields, and these alone. */
const divided = <U extends object>(untold: U) => {
  const part =
    (keep: boolean) =>
    <T extends object>(entry: T) =>
      Object.fromEntries(Object.entries(entry).filter(([name]) => name in untold === keep));
  return {
    known: part(false) as <T extends object>(entry: T) => Omit<T, keyof U>,
    told: part(true) as <T extends object>(entry: T) => Pick<T, keyof U & keyof T>,
  };
};
