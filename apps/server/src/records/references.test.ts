import type { Subject } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import {
  application,
  bed,
  preventionTask,
  decision,
  fresh,
  groundEvent,
  harvest,
  labelCard,
  leafMeasurement,
  assessment,
  ownThreshold,
  plannedApplication,
  planting,
  product,
  removal,
  round,
  sickness,
  stockMove,
  stop,
  testSpray,
  trap,
  trapCatch,
  treatmentPlan,
} from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// What a record names must be there: in this garden, or in the library. The answer names the field.

let server: TestServer;
let garden: TestGarden;
let place: string;
let plant: string;
let walk: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  place = await garden.add('places', bed);
  plant = await garden.add('plantings', planting(place));
  walk = await garden.add('scoutingRounds', round([plant]));
}, 60_000);
afterAll(() => server.stop());

interface Refusal {
  readonly error: { readonly code: string; readonly issues: readonly { readonly path: readonly string[]; readonly message: string }[] };
}

async function refusal(subject: Subject, value: object): Promise<{ status: number; path: string; message: string }> {
  const path = garden.path(subject, randomUUID());
  const status = await garden.owner.status('put', path, fresh(value));
  const text = await garden.owner.send('put', path, fresh(value)).then(
    () => '{}',
    (error: Error) => error.message.slice(error.message.indexOf('{')),
  );
  const { error } = JSON.parse(text) as Partial<Refusal>;
  const issue = error?.issues[0];
  return { status, path: issue?.path.join('.') ?? '', message: issue?.message ?? '' };
}

const nowhere = '00000000-0000-4000-8000-000000000000';

test.each<[string, Subject, () => object, string]>([
  ['a planting in no place', 'plantings', () => planting(nowhere), 'placeId'],
  ['a case on no planting', 'cases', () => sickness(nowhere), 'plantingId'],
  ['a decision on no case', 'decisions', () => decision(nowhere), 'caseId'],
  ['an application on no planting', 'applications', () => application(nowhere), 'targets'],
  ['an application for no case', 'applications', () => application(plant, nowhere), 'targets'],
  ['a look on no case', 'assessments', () => assessment(nowhere, plant), 'caseId'],
  ['a harvest of no planting', 'harvests', () => harvest(nowhere), 'plantingId'],
  ['a removal for no case', 'removals', () => removal(nowhere, plant), 'caseId'],
  ['a visit to no place', 'groundEvents', () => groundEvent(nowhere), 'placeId'],
  ['a trap in no place', 'traps', () => trap(nowhere), 'placeId'],
  ['a catch of no trap', 'catches', () => trapCatch(nowhere), 'trapId'],
  ['a stop of no round', 'stops', () => stop(nowhere, plant), 'roundId'],
  ['a stop at no planting', 'stops', () => stop(walk, nowhere), 'plantingId'],
  ['a stop that feeds no case', 'stops', () => ({ ...stop(walk, plant), caseId: nowhere }), 'caseId'],
  ['a leaf of no planting', 'leafMeasurements', () => leafMeasurement(nowhere), 'plantingId'],
  ['a label card of no product', 'labelCards', () => labelCard(nowhere), 'productId'],
  ['a plan for no planting', 'treatmentPlans', () => treatmentPlan(nowhere), 'plantingId'],
  ['a round of no plan', 'plannedApplications', () => plannedApplication(nowhere), 'planId'],
  ['a test on the leaves of no planting', 'testSprays', () => testSpray(nowhere), 'plantingId'],
  ['a test from a pack that is not there', 'testSprays', () => ({ ...testSpray(plant), productId: nowhere }), 'productId'],
  ['a change of stock of no product', 'stockMoves', () => stockMove(nowhere), 'productId'],
  ['an application of no product', 'applications', () => ({ ...application(plant), productId: nowhere }), 'productId'],
  ['a prevention task in no place', 'preventionTasks', () => preventionTask(nowhere), 'placeId'],
])('%s is refused beside its field', async (_, subject, value, field) => {
  const { status, path, message } = await refusal(subject, value());
  expect([status, path]).toEqual([400, `value.${field}`]);
  expect(message).toMatch(/is not in the garden/);
});

test.each<[string, Subject, () => object, string]>([
  ['a plant', 'plantings', () => ({ ...planting(place), host: 'triffid' }), 'host'],
  ['a trouble of a trap', 'traps', () => ({ ...trap(place), target: 'gremlins' }), 'target'],
  ['a sign at a stop', 'stops', () => ({ ...stop(walk, plant), signs: ['it-looks-sad'] }), 'signs.0'],
  ['a trouble that was sampled', 'stops', () => ({ ...stop(walk, plant), target: 'gremlins' }), 'target'],
  ['an ingredient on the shelf', 'products', () => ({ ...product, intervention: 'moonlight' }), 'intervention'],
  ['a task', 'preventionTasks', () => ({ ...preventionTask(place), task: 'dusting' }), 'task'],
  ['a trouble with a level', 'thresholds', () => ({ ...ownThreshold, condition: 'gremlins' }), 'condition'],
  ['a test of it', 'testSprays', () => ({ ...testSpray(plant), intervention: 'holy-water' }), 'intervention'],
  ['a treatment', 'applications', () => ({ ...application(plant), intervention: 'holy-water' }), 'intervention'],
])('%s that the library does not know is refused by name', async (_, subject, value, field) => {
  const { status, path, message } = await refusal(subject, value());
  expect([status, path]).toEqual([400, `value.${field}`]);
  expect(message).toMatch(/The library has no entry/);
});

test.each<[string, Subject, () => object, string]>([
  ['more rows than plants', 'plantings', () => ({ ...planting(place), plants: 2, rows: 3 }), 'value.rows'],
  [
    'an end before the beginning',
    'plantings',
    () => ({ ...planting(place), events: [{ kind: 'ended', on: '2026-04-01' }] }),
    'value.events',
  ],
  [
    'a move to no place',
    'plantings',
    () => ({ ...planting(place), events: [{ kind: 'moved', on: '2026-06-01', placeId: nowhere, setting: 'indoor' }] }),
    'value.events',
  ],
  ['a closed case without an outcome', 'cases', () => ({ ...sickness(plant), closedOn: '2026-07-12' }), 'value.outcome'],
])('%s is refused beside its field', async (_, subject, value, path) => {
  expect(await refusal(subject, value())).toMatchObject({ status: 400, path });
});

test('nothing of what was refused is in the garden', async () => {
  const contents = await garden.owner.send<Record<string, unknown[]>>('get', `/api/v1/gardens/${garden.garden}`);
  const { plantings, traps, stops, preventionTasks, catches, leafMeasurements, thresholds, applications } = contents;
  expect(plantings).toHaveLength(1);
  expect([traps, stops, preventionTasks, catches, leafMeasurements, thresholds, applications].flat()).toEqual([]);
});
