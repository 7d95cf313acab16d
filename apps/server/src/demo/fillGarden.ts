import type { ClinicOffer, Subject, Written } from '@field-nurse/contract';
import { seededRandom } from '@field-nurse/core/statistics';
import { addDays } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import type { ApiClient } from './apiClient.js';
import { demoNow, demoPeople, demoPlaces, demoPlantings, demoSettings } from './osierReach.js';
import { demoCases } from './osierReachCases.js';
import type { CaseSketch } from './osierReachCases.js';
import { demoDrills } from './osierReachDrills.js';
import { demoHarvests, demoLessons, demoPlans, demoSprayers, demoWorkTimes } from './osierReachPlans.js';
import { demoPacks, demoShelf } from './osierReachShelf.js';
import { demoArrival, demoFinds, demoLeafMeasurements, demoRounds, demoThresholds, demoTraps } from './osierReachRounds.js';

/** Ids that are the same at each load, in the shape of a random UUID. */
function idsFrom(random: () => number): () => string {
  const hex = (digits: number) => Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('');
  return () => `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;
}
const random = seededRandom(18072026);
const nextId = idsFrom(random);

export const demoGardenId = nextId();

/** Make a garden with everything that the demo shows. @param client - signed in; whose garden it is */
export async function fillGarden(client: ApiClient, library: Library, gardenId: string): Promise<void> {
  await client.send('post', '/api/v1/gardens', { id: gardenId, settings: demoSettings });

  const write = writer(client, gardenId, nextId);
  const partId = idsFrom(seededRandom(1407));
  const placeIds = new Map<string, string>();
  for (const [key, place] of Object.entries(demoPlaces)) placeIds.set(key, await write('places', place));
  const plantingIds = new Map<string, string>();
  for (const [key, { at, planted, harvest, flower, ended, note, ...rest }] of Object.entries(demoPlantings)) {
    const planting: Written<'plantings'> = {
      ...rest,
      placeId: placeIds.get(at)!,
      plantedOn: planted,
      setting: demoPlaces[at].setting,
      events: [
        ...(flower ? [{ kind: 'flowering' as const, on: flower, until: null }] : []),
        ...(harvest ? [{ kind: 'harvest' as const, on: harvest, until: null }] : []),
        ...(ended ? [{ kind: 'ended' as const, on: ended }] : []),
      ],
      quarantine: key === demoArrival.planting ? demoArrival.quarantine : null,
      assumed: [],
      note: note ?? '',
    };
    plantingIds.set(key, await write('plantings', planting));
  }
  const [clinic] = await client.send<ClinicOffer[]>('get', '/api/v1/clinics');
  const packs = await fillShelf(client, gardenId);
  const caseIds = new Map<string, string>();
  for (const sketch of demoCases)
    caseIds.set(sketch.planting, await fillCase(sketch, plantingIds.get(sketch.planting)!, clinic, packs, write, partId));
  await fillTraps(placeIds, write);
  await fillRounds(plantingIds, write);
  await fillPreventionTasks(library, placeIds, write);
  for (const { planting, ...value } of demoLeafMeasurements)
    await write('leafMeasurements', { ...value, plantingId: plantingIds.get(planting)! });
  for (const value of demoThresholds) await write('thresholds', value);
  await fillPlans(client, gardenId, { plantingIds, caseIds, packs });
  await fillAlmanac(client, gardenId, plantingIds);
  const writeDrill = writer(client, gardenId, idsFrom(seededRandom(3011)));
  for (const value of demoDrills(library)) await writeDrill('drills', value);
}

/** @returns the products by what the demo calls them */
async function fillShelf(client: ApiClient, gardenId: string): Promise<ReadonlyMap<string, string>> {
  const write = writer(client, gardenId, idsFrom(seededRandom(2210)));
  const packs = new Map<string, string>();
  for (const [key, { product, moves, ...rest }] of Object.entries(demoShelf)) {
    const productId = await write('products', product);
    packs.set(key, productId);
    for (const card of 'cards' in rest ? rest.cards : []) await write('labelCards', { ...card, productId });
    for (const move of moves) await write('stockMoves', { ...move, productId });
  }
  return packs;
}

/** What was picked, and what was learnt. */
async function fillAlmanac(client: ApiClient, gardenId: string, plantingIds: ReadonlyMap<string, string>): Promise<void> {
  const write = writer(client, gardenId, idsFrom(seededRandom(2511)));
  for (const { planting, ...value } of demoHarvests) await write('harvests', { ...value, plantingId: plantingIds.get(planting)! });
  for (const value of demoLessons) await write('lessons', value);
}

interface Known {
  readonly plantingIds: ReadonlyMap<string, string>;
  readonly caseIds: ReadonlyMap<string, string>;
  readonly packs: ReadonlyMap<string, string>;
}

async function fillPlans(client: ApiClient, gardenId: string, { plantingIds, caseIds, packs }: Known): Promise<void> {
  const write = writer(client, gardenId, idsFrom(seededRandom(1807)));
  for (const value of demoWorkTimes) await write('workTimes', value);
  for (const value of demoSprayers) await write('sprayers', value);
  for (const { planting, against, interventions, starts, rounds, betweenDays, placed } of demoPlans) {
    const planId = await write('treatmentPlans', {
      plantingId: plantingIds.get(planting)!,
      caseId: caseIds.get(planting) ?? null,
      against: [...against],
      interventions: [...interventions],
      startsOn: starts,
      rounds,
      betweenDays,
      endedOn: null,
      note: '',
    });
    for (const [i, { on, slot, intervention, pack, person, held = false }] of placed.entries())
      await write('plannedApplications', {
        planId,
        ordinal: i + 1,
        intervention,
        productId: packs.get(pack ?? '') ?? null,
        plannedFor: on,
        slot,
        held,
        person,
        state: 'planned',
        startedAt: null,
        applicationId: null,
        note: '',
      });
  }
}

type Write = <S extends Subject>(subject: S, value: Written<S>) => Promise<string>;

const writer =
  (client: ApiClient, gardenId: string, id: () => string): Write =>
  async (subject, value) => {
    const record = id();
    await client.send('put', `/api/v1/gardens/${gardenId}/${subject}/${record}`, { change: id(), version: 0, value });
    return record;
  };

async function fillCase(
  sketch: CaseSketch,
  plantingId: string,
  clinic: ClinicOffer | undefined,
  packs: ReadonlyMap<string, string>,
  write: Write,
  id: () => string,
): Promise<string> {
  const parts = (sketch.parts ?? []).map((part) => ({ ...part, id: id(), strips: [...part.strips] }));
  const caseId = await write('cases', {
    parts,
    plantingId,
    openedOn: sketch.opened,
    words: sketch.words,
    findings: sketch.found.map(([sign, state = 'seen']) => ({
      sign,
      state,
      source: state === 'seen' ? 'text' : 'tap',
      phrase: null,
      on: sketch.opened,
    })),
    onset: null,
    pattern: null,
    stage: sketch.stage ?? null,
    hidden: sketch.hidden ?? null,
    helpersSeen: sketch.helpers ?? false,
    photos: [],
    diagnoses: sketch.taken.map(({ on, for: conditions, why = '' }) => ({ on, conditions: [...conditions], why })),
    closedOn: sketch.closed?.on ?? null,
    outcome: sketch.closed?.outcome ?? null,
    note: sketch.closed?.note ?? '',
  });
  for (const { on, lookAgain, note = '', intervention } of sketch.decided ?? [])
    await write('decisions', { caseId, intervention, decidedOn: on, nextAssessmentOn: lookAgain, note });
  for (const one of sketch.applied ?? [])
    await write('applications', {
      intervention: one.intervention,
      productId: packs.get(demoPacks[one.intervention] ?? '') ?? null,
      appliedAt: one.at,
      targets: [{ plantingId, caseId, plants: one.plants, coveredPart: one.part }],
      productMl: null,
      productG: one.productG ?? null,
      productPieces: null,
      collected: one.collected ?? null,
      waterL: one.waterL ?? null,
      kit: one.kit ?? '',
      appliedBy: one.by ?? demoPeople[0].name,
      temperatureC: one.temperatureC ?? null,
      windKmh: one.windKmh ?? null,
      sky: one.sky ?? '',
      why: one.why,
    });
  // Without a clinic that can be asked there are no samples.
  if (clinic && sketch.sample)
    await write('clinicSamples', {
      caseId,
      clinic: clinic.id,
      clinicName: clinic.name,
      material: sketch.sample.material,
      testFor: [...sketch.sample.for],
      registeredOn: sketch.sample.registered,
      packed: clinic.packing[sketch.sample.material]!.map(({ id }) => id),
      sentOn: sketch.sample.sent,
      results: [],
      reportedOn: null,
      note: '',
    });
  for (const { on, part, plant = null, severity, count, counts = [], growth, next = null, note = '' } of sketch.looks ?? [])
    await write('assessments', {
      caseId,
      plantingId,
      assessedOn: on,
      partId: part === undefined ? null : parts[part]!.id,
      plant,
      severity,
      count: count ?? (counts.length > 0 ? counts.reduce((sum, one) => sum + one, 0) : null),
      counts: [...counts],
      newGrowth: growth,
      nextAssessmentOn: next,
      note,
    });
  return caseId;
}

type Ids = ReadonlyMap<string, string>;

async function fillTraps(placeIds: Ids, write: Write): Promise<void> {
  for (const { at, name, kind, target, what, spots, pauses = [], note = '', read } of demoTraps) {
    const trap = { placeId: placeIds.get(at)!, name, kind, target, spots, pauses, weeklyLevel: null, note, endedOn: null };
    const trapId = await write('traps', trap);
    for (const [checkedOn, count, others = []] of read)
      await write('catches', { trapId, checkedOn, caught: [{ what, count }, ...others], emptied: true, note: '' });
  }
}

const minuteMs = 60_000;

/** Each round goes past what grew then and had no open case, one stop every minute and a half. */
async function fillRounds(plantingIds: Ids, write: Write): Promise<void> {
  for (const [number, { at, by, places }] of demoRounds.entries()) {
    const day = at.slice(0, 10);
    const sick = new Set(
      demoCases.flatMap(({ planting, opened, closed }) => (opened <= day && (closed?.on ?? day) >= day ? [planting] : [])),
    );
    const walk = Object.entries(demoPlantings).filter(
      ([key, { planted, ended, at: place }]) =>
        planted <= day && (ended ?? day) >= day && !sick.has(key as CaseSketch['planting']) && (places?.includes(place) ?? true),
    );
    const seen = (stop: number) => new Date(Date.parse(at) + stop * 1.5 * minuteMs).toISOString();
    const ids = walk.map(([key]) => plantingIds.get(key)!);
    const roundId = await write('scoutingRounds', { startedAt: at, endedAt: seen(walk.length + 1), by, walk: ids });
    for (const [i, [key]] of walk.entries())
      await write('stops', {
        ...nothingFound,
        ...demoFinds.find(({ round, planting }) => round === number && planting === key)?.stop,
        roundId,
        plantingId: ids[i]!,
        lookedAt: seen(i),
      });
  }
}

const nothingFound = {
  found: false,
  signs: [],
  target: null,
  measure: null,
  sample: [],
  decision: null,
  severity: null,
  gauged: null,
  damage: null,
  helpers: 0,
  droppings: false,
  eggs: false,
  caseId: null,
  photos: [],
  note: '',
};

/** The prevention walk of the last weeks: most of it lately, some a little overdue. */
async function fillPreventionTasks(library: Library, placeIds: Ids, write: Write): Promise<void> {
  const today = demoNow.slice(0, 10);
  const month = Number(today.slice(5, 7));
  for (const [key, { kind }] of Object.entries(demoPlaces))
    for (const { id, kinds, months, everyDays, measures } of library.tasks) {
      if (!kinds.includes(kind) || !months.includes(month)) continue;
      const doneOn = addDays(today, -Math.max(1, Math.floor(random() * everyDays * 1.12)));
      const outcome = random() < 0.75 ? 'fine' : 'done';
      await write('preventionTasks', { placeId: placeIds.get(key)!, task: id, doneOn, outcome, amount: measures ? 5 : null, note: '' });
    }
}
