import { z } from 'zod';
import { application, applicationLaw, applicationTarget, decision, decisionVerdict, notPickedBefore } from './applications.js';
import { clinicSample } from './clinic.js';
import {
  clockMended,
  leafMeasurement,
  ownEntry,
  ownThreshold,
  preventionTask,
  scoutingRound,
  stop,
  trap,
  trapCatch,
} from './fieldRecords.js';
import { plannedApplication, treatmentPlan, workTime } from './plans.js';
import { planting } from './plantings.js';
import { drill } from './drills.js';
import { labelCard, product, stockMove } from './shelf.js';
import { groundEvent } from './groundEvents.js';
import { assessment, caseParts, harvest, lesson } from './recovery.js';
import { removal } from './removals.js';
import { sprayer, testSpray } from './treatment.js';
import { shape } from './shapes.js';
import {
  day,
  entry,
  hiding,
  id,
  instant,
  light,
  longText,
  monthDay,
  onset,
  pattern,
  placeKind,
  schools,
  setting,
  shortText,
  stance,
  timeZone,
  unitSystem,
} from './words.js';

/** What a gardener says about a garden. */
export const gardenSettings = z.strictObject({
  name: shortText,
  latitude: z.number().min(-90).max(90).nullable(),
  longitude: z.number().min(-180).max(180).nullable(),
  timeZone,
  units: unitSystem,
  stance,
  region: entry,
  /** month and day on which a season begins; none: 1 January in the north, 1 July in the south */
  seasonStart: monthDay.nullable().default(null),
  /** reportable suspects of which the authority said that they are not listed where the garden is, by condition */
  notListed: z.array(entry).max(100).default([]),
  /** the weather station that is read for it, by its id; none: weather comes from files alone */
  weatherStation: entry.nullable().default(null),
  /** its answers where growers disagree */
  schools: schools.default([]),
});

export const place = z.strictObject({
  name: shortText,
  kind: placeKind,
  setting,
  areaM2: z.number().positive().max(1_000_000).nullable(),
  shape: shape.nullable().default(null),
  /** none: not said */
  light: light.nullable().default(null),
  note: longText,
  endedOn: day.nullable(),
});

/**
 * A sign that was seen, looked for and absent, seen as an old scar (which says nothing of what is at work now), or read from the words but not
 * meant (struck), which says nothing at all.
 */
export const caseFinding = z.strictObject({
  sign: entry,
  state: z.enum(['seen', 'absent', 'old', 'struck']),
  source: z.enum(['text', 'tap', 'look']),
  phrase: z.string().max(300).nullable(),
  on: day,
});

/** A working diagnosis with its day, so that a wrong one can be traced. */
export const diagnosis = z.strictObject({ on: day, conditions: z.array(entry).min(1).max(3), why: longText });

export const caseRecord = z.strictObject({
  plantingId: id,
  openedOn: day,
  words: z.string().max(10_000),
  findings: z.array(caseFinding).max(200),
  onset: onset.nullable(),
  pattern: pattern.nullable(),
  stage: entry.nullable(),
  hidden: hiding.nullable(),
  helpersSeen: z.boolean(),
  /** for this case alone; none: as the garden has it */
  stance: stance.nullable().default(null),
  schools: schools.default([]),
  /** parts of the stand that are looked at apart */
  parts: caseParts.default([]),
  diagnoses: z.array(diagnosis).max(50),
  photos: z.array(id).max(10).default([]),
  closedOn: day.nullable(),
  outcome: z.enum(['recovered', 'left-alone', 'removed', 'lost', 'other']).nullable(),
  note: longText,
});

/** A word on a case, by a member or an adviser. */
export const comment = z.strictObject({
  caseId: id,
  writtenAt: instant,
  text: z.string().trim().min(1).max(4000),
});

/** A stored record: its id, its version (1 at first, one more with each change), and what was written. */
const stored = <T extends z.ZodRawShape>(schema: z.ZodObject<T>) => z.strictObject({ id, version: z.int().min(1), ...schema.shape });

export const storedRecords = {
  places: stored(place),
  plantings: stored(planting),
  cases: stored(caseRecord),
  products: stored(product),
  labelCards: stored(labelCard),
  stockMoves: stored(stockMove),
  treatmentPlans: stored(treatmentPlan),
  decisions: stored(z.strictObject({ ...decision.shape, ...decisionVerdict.shape })),
  applications: stored(
    z.strictObject({
      ...application.shape,
      targets: z.array(z.strictObject({ ...applicationTarget.shape, notPickedBefore })),
      ...applicationLaw.shape,
    }),
  ),
  plannedApplications: stored(plannedApplication),
  workTimes: stored(workTime),
  sprayers: stored(sprayer),
  testSprays: stored(testSpray),
  assessments: stored(assessment),
  harvests: stored(harvest),
  lessons: stored(lesson),
  removals: stored(removal),
  drills: stored(drill),
  traps: stored(trap),
  catches: stored(trapCatch),
  scoutingRounds: stored(z.strictObject({ ...scoutingRound.shape, clockMended })),
  stops: stored(z.strictObject({ ...stop.shape, clockMended })),
  leafMeasurements: stored(leafMeasurement),
  preventionTasks: stored(preventionTask),
  groundEvents: stored(groundEvent),
  thresholds: stored(ownThreshold),
  ownEntries: stored(ownEntry),
  clinicSamples: stored(clinicSample),
  comments: stored(z.strictObject({ ...comment.shape, personId: id.nullable(), by: z.string() })),
} as const;

/** What is written for each subject. */
export const writtenRecords = {
  places: place,
  plantings: planting,
  cases: caseRecord,
  products: product,
  labelCards: labelCard,
  stockMoves: stockMove,
  treatmentPlans: treatmentPlan,
  decisions: decision,
  applications: application,
  plannedApplications: plannedApplication,
  workTimes: workTime,
  sprayers: sprayer,
  testSprays: testSpray,
  assessments: assessment,
  harvests: harvest,
  lessons: lesson,
  removals: removal,
  drills: drill,
  traps: trap,
  catches: trapCatch,
  scoutingRounds: scoutingRound,
  stops: stop,
  leafMeasurements: leafMeasurement,
  preventionTasks: preventionTask,
  groundEvents: groundEvent,
  thresholds: ownThreshold,
  ownEntries: ownEntry,
  clinicSamples: clinicSample,
  comments: comment,
} as const;

export const subject = z.enum(Object.keys(writtenRecords) as [keyof typeof writtenRecords]);
export type Subject = z.infer<typeof subject>;

export type GardenSettings = z.infer<typeof gardenSettings>;
export type Place = z.infer<typeof storedRecords.places>;
export type Planting = z.infer<typeof storedRecords.plantings>;
export type Case = z.infer<typeof storedRecords.cases>;
export type CaseFinding = z.infer<typeof caseFinding>;
export type Product = z.infer<typeof storedRecords.products>;
export type LabelCard = z.infer<typeof storedRecords.labelCards>;
export type StockMove = z.infer<typeof storedRecords.stockMoves>;
export type TreatmentPlan = z.infer<typeof storedRecords.treatmentPlans>;
export type PlannedApplication = z.infer<typeof storedRecords.plannedApplications>;
export type WorkTime = z.infer<typeof storedRecords.workTimes>;
export type Sprayer = z.infer<typeof storedRecords.sprayers>;
export type TestSpray = z.infer<typeof storedRecords.testSprays>;
export type Decision = z.infer<typeof storedRecords.decisions>;
export type Application = z.infer<typeof storedRecords.applications>;
export type Assessment = z.infer<typeof storedRecords.assessments>;
export type Harvest = z.infer<typeof storedRecords.harvests>;
export type Drill = z.infer<typeof storedRecords.drills>;
export type Lesson = z.infer<typeof storedRecords.lessons>;
export type CasePart = Case['parts'][number];
export type Trap = z.infer<typeof storedRecords.traps>;
export type Catch = z.infer<typeof storedRecords.catches>;
export type ScoutingRound = z.infer<typeof storedRecords.scoutingRounds>;
export type Stop = z.infer<typeof storedRecords.stops>;
export type LeafMeasurement = z.infer<typeof storedRecords.leafMeasurements>;
export type GroundEvent = z.infer<typeof storedRecords.groundEvents>;
export type PreventionTask = z.infer<typeof storedRecords.preventionTasks>;
export type OwnThreshold = z.infer<typeof storedRecords.thresholds>;
export type OwnEntry = z.infer<typeof storedRecords.ownEntries>;
export type ClinicSample = z.infer<typeof storedRecords.clinicSamples>;
export type CaseComment = z.infer<typeof storedRecords.comments>;
export type Stored<S extends Subject> = z.infer<(typeof storedRecords)[S]>;
export type Written<S extends Subject> = z.input<(typeof writtenRecords)[S]>;
