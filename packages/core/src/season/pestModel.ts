/** A stage of a pest's life as a distributed delay. */
export interface PestStage {
  readonly id: string;
  /** below this it stands still, °C */
  readonly lowerC: number;
  /** heat that it takes, degree days above `lowerC`; of the last stage, the adult: its life span */
  readonly degreeDays: number;
  /** how many steps the stage is cut into: the more, the less its length scatters; whole, 1 or more */
  readonly substages: number;
  /** deaths by all that is not modelled, as a rate per day, 0 or more */
  readonly mortalityPerDay: number;
}

/** A pest by the stages that follow each other; eggs enter the first, the last is the adult. */
export interface PestModel {
  readonly stages: readonly PestStage[];
  readonly eggsPerAdultDay: number;
  /** share of the adults that lays, 0 to 1 */
  readonly femaleShare: number;
  /** how many of each stage there are at the start of the first day; new ones, so that each has its stage before it */
  readonly initial: Readonly<Record<string, number>>;
}

/** What comes in from outside each day, evenly over the day. */
export interface Immigration {
  readonly stage: string;
  readonly count: number;
}

/** A treatment at the start of a day; the first day is 0. */
export interface SeasonTreatment {
  readonly day: number;
  /** share of each stage that it kills at once, 0 to 1; a stage that is not named is spared */
  readonly killByStage: Readonly<Record<string, number>>;
  /** what stays on the leaf goes on killing at a hazard of −ln(1 − share) per day, which halves in so many days; nothing stays without it */
  readonly halfLifeDays?: number | undefined;
}

/**
 * Refuse a model that cannot be.
 *
 * @throws RangeError that names the number which is wrong
 */
export function requirePestModel({ stages, eggsPerAdultDay, femaleShare, initial }: PestModel): void {
  const known = new Set(stages.map(({ id }) => id));
  if (stages.length === 0) throw new RangeError('pest.stages: at least one stage is needed');
  if (known.size < stages.length) throw new RangeError('pest.stages: each stage needs an id of its own');
  stages.forEach(({ lowerC, degreeDays, substages, mortalityPerDay }, i) => {
    if (!Number.isFinite(lowerC)) throw new RangeError(`pest.stages.${i}.lowerC: must be a number, got ${lowerC}`);
    if (!(degreeDays > 0)) throw new RangeError(`pest.stages.${i}.degreeDays: must be above 0, got ${degreeDays}`);
    if (!(Number.isInteger(substages) && substages >= 1))
      throw new RangeError(`pest.stages.${i}.substages: must be whole and 1 or more, got ${substages}`);
    if (!(mortalityPerDay >= 0)) throw new RangeError(`pest.stages.${i}.mortalityPerDay: must be 0 or more, got ${mortalityPerDay}`);
  });
  if (!(eggsPerAdultDay >= 0)) throw new RangeError(`pest.eggsPerAdultDay: must be 0 or more, got ${eggsPerAdultDay}`);
  if (!(femaleShare >= 0 && femaleShare <= 1)) throw new RangeError(`pest.femaleShare: must be from 0 to 1, got ${femaleShare}`);
  for (const [stage, count] of Object.entries(initial)) {
    if (!known.has(stage)) throw new RangeError(`pest.initial.${stage}: there is no such stage`);
    if (!(count >= 0)) throw new RangeError(`pest.initial.${stage}: must be 0 or more, got ${count}`);
  }
}

/**
 * Refuse a treatment that cannot be.
 *
 * @param within - where the treatments stand, for the words of a refusal
 * @throws RangeError that names the number or the stage which is wrong
 */
export function requireTreatments({ stages }: PestModel, treatments: readonly SeasonTreatment[], within: string): void {
  const known = new Set(stages.map(({ id }) => id));
  treatments.forEach(({ day, killByStage, halfLifeDays }, i) => {
    const at = `${within}.treatments.${i}`;
    if (!(Number.isInteger(day) && day >= 0)) throw new RangeError(`${at}.day: must be whole and 0 or more, got ${day}`);
    if (halfLifeDays !== undefined && !(halfLifeDays > 0)) throw new RangeError(`${at}.halfLifeDays: must be above 0, got ${halfLifeDays}`);
    for (const [stage, share] of Object.entries(killByStage)) {
      if (!known.has(stage)) throw new RangeError(`${at}.killByStage.${stage}: there is no such stage`);
      if (!(share >= 0 && share <= 1)) throw new RangeError(`${at}.killByStage.${stage}: must be from 0 to 1, got ${share}`);
    }
  });
}

/** @throws RangeError where what comes in is of no stage, or cannot be */
export function requireImmigration({ stages }: PestModel, { stage, count }: Immigration): void {
  if (stages.every(({ id }) => id !== stage)) throw new RangeError(`immigrationPerDay.stage: there is no stage ${stage}`);
  if (!(count >= 0)) throw new RangeError(`immigrationPerDay.count: must be 0 or more, got ${count}`);
}
